import { type Bench, troubleAt } from "@/features/bench/useBench";
import { say } from "@/text/say";
import { MeasureField } from "@/ui/MeasureField";

/** Minutes under pressure that the cook sets against the plan's: a recipe's, or a habit. */
export function OwnTime({ bench }: { bench: Bench }) {
  const trouble = troubleAt(bench.problem, "my_minutes");
  return (
    <MeasureField
      label={say("plan-my-own-time")}
      value={bench.wish.ownMinutes}
      inputMode="numeric"
      placeholder={say("plan-as-calculated")}
      other="min"
      problem={trouble ? { message: trouble.message, hint: trouble.hint ?? null } : null}
      onChange={(ownMinutes) => bench.change({ ownMinutes }, "type")}
    />
  );
}
