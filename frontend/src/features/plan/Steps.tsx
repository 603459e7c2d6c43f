import { useSteps } from "@/api/queries";
import type { Planner } from "@/features/plan/usePlanner";
import { spokenTime } from "@/lib/format";
import { say } from "@/text/say";

/** The whole cook step by step: the same steps that Cook plays and Schedule lays on the clock. */
export function Steps({ planner }: { planner: Planner }) {
  const { data, isError, isPlaceholderData } = useSteps(planner.stale ? null : planner.settled);
  if (isError)
    return <p className="text-[0.875rem]">{say("plan-the-app-does-not-answer-right")}</p>;
  if (!data) return <p className="text-[0.875rem] text-pencil">{say("plan-calculating")}</p>;
  return (
    <ol
      aria-label={say("plan-steps-2")}
      aria-busy={isPlaceholderData}
      className={`text-[0.875rem] ${isPlaceholderData ? "stale" : ""}`}
    >
      {data.steps.map((step, index) => (
        <li
          key={step.step_id}
          data-step={step.step_id}
          className="grid grid-cols-[1.5rem_minmax(0,1fr)_auto] gap-x-2 border-rule border-b py-1"
        >
          <span className="font-bold font-dial">{index + 1}</span>
          <span>
            {step.title}
            <span className="block text-pencil">{step.look_for}</span>
          </span>
          <span className="whitespace-nowrap text-right">
            {spokenTime(Math.max(step.likely_s / 60, 1))}
            {!step.hands && <span className="block text-pencil">{say("plan-no-hands")}</span>}
          </span>
        </li>
      ))}
    </ol>
  );
}
