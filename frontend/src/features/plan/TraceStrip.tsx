import { useState } from "react";
import type { PlanOut } from "@/api/client";
import { useOtherReleases } from "@/api/queries";
import { TraceChart } from "@/drawing/TraceChart";
import { phasesThrough, SHEET_HEIGHT } from "@/drawing/trace-geometry";
import type { Planner } from "@/features/plan/usePlanner";
import { spokenTime, type Units } from "@/lib/format";
import { totalSeconds } from "@/lib/total";
import { PHASE_WORDS, RELEASE_WORDS } from "@/lib/words";
import { say } from "@/text/say";
import { Checkbox } from "@/ui/Checkbox";
import { useWidth } from "@/ui/useWidth";
import { WhyMark } from "@/ui/WhyMark";

interface Props {
  planner: Planner;
  units: Units;
  stale: boolean;
}

/** What the strip shows: all of it, or the first of several times under pressure. */
function totalOf(plan: PlanOut): string {
  const next = plan.later?.[0];
  if (!next) return say("plan-total-time-lid-on-to-lid");
  return say("plan-first-lid-on-to-lid", { what: next.goes_on ? "step" : "batch" });
}

/** In two steps the chart goes through both. */
function shownSeconds(plan: PlanOut): number {
  return plan.later?.[0]?.goes_on ? totalSeconds(plan) : plan.lid_on_to_open_s;
}

/** The cook from lid on to lid off, with the honest total. */
export function TraceStrip({ planner, units, stale }: Props) {
  const { plan } = planner;
  const [laid, setLaid] = useState(false);
  const releases = useOtherReleases(laid && !stale ? planner.settled : null, plan?.setting.release);
  const others = laid
    ? releases.map(({ release, plan: other }) => ({
        name: RELEASE_WORDS[release].name,
        plan: other,
      }))
    : NONE;
  const [ref, width] = useWidth<HTMLDivElement>(1200);
  return (
    <section
      aria-label={say("plan-pressure-and-temperature")}
      className="border-ink border-t-2 px-3 pb-1"
    >
      <div className="-mt-[15px] flex items-center justify-between gap-2">
        {plan && (
          <div className="hidden items-center gap-3 bg-paper pr-2 lg:flex">
            <Checkbox label={say("plan-compare-other-releases")} on={laid} onChange={setLaid} />
            <span className="text-[0.8125rem] text-pencil">
              {others.map((other, index) => `${LINES[index]}: ${other.name}`).join("; ")}
            </span>
          </div>
        )}
        <p className="ml-auto w-fit bg-paper px-2 font-dial font-semibold text-[1.125rem] sm:text-[1.25rem]">
          {plan ? (
            <>
              {totalOf(plan)} <span data-testid="total">{spokenTime(shownSeconds(plan) / 60)}</span>{" "}
              <WhyMark of={say("plan-why-of-total")}>
                <ul>
                  {phasesThrough(plan).map((phase) => (
                    <li key={phase.start_s}>
                      {PHASE_WORDS[phase.kind].name}: {spokenTime(phase.duration_s / 60)}
                    </li>
                  ))}
                </ul>
                <p className="mt-1 text-pencil">
                  {say("plan-the-total-includes-coming-to-pressure")}
                </p>
              </WhyMark>
            </>
          ) : (
            say("plan-the-chart")
          )}
        </p>
      </div>
      <div ref={ref} className={stale ? "stale" : ""}>
        {plan ? (
          <TraceChart plan={plan} width={width} units={units} others={others} />
        ) : (
          <svg width={width} height={SHEET_HEIGHT} aria-hidden="true" className="block">
            {[52, 92, 132, 172].map((y) => (
              <line key={y} x1="46" x2={width - 52} y1={y} y2={y} stroke="var(--rule)" />
            ))}
          </svg>
        )}
      </div>
      {others.length > 0 && (
        <ul className="sr-only" aria-label={say("plan-other-releases")}>
          {others.map((other) => (
            <li key={other.name}>
              {say("plan-cook-time-lid-off-after", {
                name: other.name,
                hold_min: spokenTime(other.plan.setting.hold_min),
                lid_on_to_open_s: spokenTime(other.plan.lid_on_to_open_s / 60),
              })}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

const NONE: { name: string; plan: PlanOut }[] = [];

/** How the lines that are laid over are drawn, in their order. */
const LINES = ["dashed", "dotted"];
