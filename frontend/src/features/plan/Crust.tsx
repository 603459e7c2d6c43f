import { useId } from "react";
import type { FinishKind } from "@/api/client";
import type { Planner } from "@/features/plan/usePlanner";
import { FINISH_WORDS, namesOf } from "@/lib/words";
import { say } from "@/text/say";

/** How the crust is made after the pot. */
export function Crust({ planner }: { planner: Planner }) {
  const id = useId();
  const pot = planner.pots.find((kept) => kept.id === planner.request.pot)?.pot;
  // a lid that the cooker does not have is not offered
  const finishes = namesOf(FINISH_WORDS).filter(
    ({ value }) =>
      value !== "crisping" || pot?.has_crisping_lid || planner.request.finish === value,
  );
  return (
    <>
      <label htmlFor={id} className="text-pencil">
        {say("plan-finish-2")}
      </label>
      <select
        id={id}
        value={planner.request.finish ?? ""}
        onChange={(event) =>
          planner.change({ finish: event.target.value ? (event.target.value as FinishKind) : null })
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
