import { useId } from "react";
import type { FinishKind } from "@/api/client";
import type { Bench } from "@/features/bench/useBench";
import { FINISH_WORDS, namesOf } from "@/lib/words";
import { say } from "@/text/say";

/** How the crust is made after the pot. */
export function Crust({ bench }: { bench: Bench }) {
  const id = useId();
  const pot = bench.pots.find((kept) => kept.id === bench.wish.pot)?.pot;
  // a lid that the cooker does not have is not offered
  const finishes = namesOf(FINISH_WORDS).filter(
    ({ value }) => value !== "crisping" || pot?.has_crisping_lid || bench.wish.finish === value,
  );
  return (
    <>
      <label htmlFor={id} className="text-pencil">
        {say("plan-finish-2")}
      </label>
      <select
        id={id}
        value={bench.wish.finish ?? ""}
        onChange={(event) =>
          bench.change({ finish: event.target.value ? (event.target.value as FinishKind) : null })
        }
        className="min-w-0 flex-1 rounded-sm border border-edge bg-sheet px-1.5 py-0.5 font-medium text-[0.875rem]"
      >
        <option value="">{say("plan-usual")}</option>
        {finishes.map(({ value, name }) => (
          <option key={value} value={value}>
            {name}
          </option>
        ))}
      </select>
    </>
  );
}
