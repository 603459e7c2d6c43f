import { type Planner, troubleAt } from "@/features/plan/usePlanner";
import { say } from "@/text/say";
import { MeasureField } from "@/ui/MeasureField";

/** Minutes under pressure that the cook sets against the plan's: a recipe's, or a habit. */
export function OwnTime({ planner }: { planner: Planner }) {
  const trouble = troubleAt(planner.problem, "my_minutes");
  return (
    <MeasureField
      label={say("plan-my-own-time")}
      value={planner.request.ownMinutes}
      inputMode="numeric"
      placeholder={say("plan-as-calculated")}
      other="min"
      problem={trouble ? { message: trouble.message, hint: trouble.hint ?? null } : null}
      onChange={(ownMinutes) => planner.change({ ownMinutes }, "type")}
    />
  );
}
