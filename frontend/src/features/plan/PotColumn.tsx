import { useCallback, useId, useState } from "react";
import type { CutOut, PlanOut } from "@/api/client";
import { PotSection } from "@/drawing/PotSection";
import { PotTop } from "@/drawing/PotTop";
import { VIEW } from "@/drawing/pot-geometry";
import { FixIt } from "@/features/plan/FixIt";
import { Notes } from "@/features/plan/Notes";
import { type Planner, troubleAt } from "@/features/plan/usePlanner";
import { WhyBeside } from "@/features/plan/Why";
import type { Units } from "@/lib/format";
import { say } from "@/text/say";
import { Choice } from "@/ui/Choice";
import { useKeys } from "@/ui/useKeys";
import { useWidth } from "@/ui/useWidth";

interface Props {
  planner: Planner;
  cut: CutOut | undefined;
  units: Units;
  stale: boolean;
}

/** The pot in section or from above, and which pot it is. */
export function PotColumn({ planner, cut, units, stale }: Props) {
  const { request, change, plan, pots, problem } = planner;
  const id = useId();
  const [ref, width] = useWidth<HTMLDivElement>(560);
  const enlarge = Math.min(1.7, Math.max(1, (VIEW.width / width) * 0.95));
  const trouble = troubleAt(problem, "pot");
  const [view, setView] = useState("section");
  useKeys({ v: () => setView((now) => (now === "section" ? "top" : "section")) });
  const pour = useCallback(
    (liquid: string, how: "drag" | "set") => change({ liquid }, how),
    [change],
  );
  return (
    <section
      aria-label={say("plan-in-the-cooker")}
      className="order-3 flex min-h-0 min-w-0 flex-col border-rule px-4 py-3 lg:order-none lg:border-r"
    >
      <div className="flex flex-wrap items-center gap-2">
        <label htmlFor={id} className="font-dial font-semibold text-pencil">
          {say("plan-in-the-cooker")}
        </label>
        <select
          id={id}
          value={request.pot}
          onChange={(event) => change({ pot: event.target.value, liquid: "" })}
          className="rounded-sm border border-edge bg-sheet px-2 py-1 font-medium"
        >
          {pots.map((kept) => (
            <option key={kept.id} value={kept.id}>
              {kept.pot.name}
            </option>
          ))}
        </select>
        <Choice label={say("plan-view")} value={view} options={views()} onChange={setView} />
        <span className="ml-auto text-[0.8125rem] text-pencil">
          {say("plan-to-scale")}{" "}
          <WhyBeside plan={plan} about={["arrangement"]} of={say("plan-place-in-the-cooker")} />
        </span>
      </div>
      {trouble && (
        <p role="alert" className="mt-2 border-care border-l-4 pl-2">
          <strong className="font-semibold">{trouble.message}</strong> {trouble.hint}
        </p>
      )}
      <FixIt planner={planner} units={units} at="pot" />
      <div
        ref={ref}
        className={`mt-1 flex min-h-0 flex-1 items-center justify-center ${stale ? "stale" : ""}`}
      >
        {plan ? (
          <Drawing view={view} plan={plan} units={units} enlarge={enlarge} onPour={pour} />
        ) : (
          <Empty busy={planner.busy} wrong={problem !== null} />
        )}
      </div>
      {plan && <Notes planner={planner} plan={plan} cut={cut} units={units} />}
    </section>
  );
}

const views = () => [
  {
    value: "section",
    name: say("plan-side"),
    says: say("plan-the-cooker-cut-open-from-the"),
  },
  {
    value: "top",
    name: say("plan-top"),
    says: say("plan-the-cooker-from-above"),
  },
];

interface DrawingProps {
  view: string;
  plan: PlanOut;
  units: Units;
  enlarge: number;
  onPour: (liquid: string, how: "drag" | "set") => void;
}

function Drawing({ view, plan, units, enlarge, onPour }: DrawingProps) {
  if (view === "top") return <PotTop plan={plan} enlarge={enlarge} />;
  return <PotSection plan={plan} units={units} enlarge={enlarge} onPour={onPour} />;
}

function Empty({ busy, wrong }: { busy: boolean; wrong: boolean }) {
  const words = wrong
    ? say("plan-correct-what-is-marked-then-the-2")
    : say("plan-type-how-much-the-meat-weighs");
  return (
    <p className="max-w-[26ch] text-center text-pencil">{busy ? say("plan-calculating") : words}</p>
  );
}
