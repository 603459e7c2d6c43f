import type { PlanOut } from "@/api/client";
import { useStoredPlan } from "@/api/plans";
import { useHousehold } from "@/api/queries";
import { TraceChart } from "@/drawing/TraceChart";
import { cookTime, spokenTime, type Units } from "@/lib/format";
import { totalSeconds } from "@/lib/total";
import { LIQUID_STYLE_WORDS, RACK_WORDS, RELEASE_WORDS, tendernessOf } from "@/lib/words";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { useWidth } from "@/ui/useWidth";

interface Props {
  ids: string[];
  onClose: () => void;
}

/** Two plans on one sheet: their traces over each other, and what differs in words. */
export function Compare({ ids, onClose }: Props) {
  const [first, second] = [useStoredPlan(ids[0] ?? null), useStoredPlan(ids[1] ?? null)];
  const household = useHousehold();
  const [ref, width] = useWidth<HTMLDivElement>(800);
  const units: Units = household.data?.units ?? "metric";
  const a = first.data;
  const b = second.data;
  return (
    <section aria-label={say("saved-two-plans-compared")} className="mb-4 border-2 border-ink p-3">
      <div className="flex items-center justify-between gap-2">
        <h2 className="font-semibold text-[1.125rem]">
          {a && b
            ? say("saved-solid-and-dashed", { name: a.name, name2: b.name })
            : say("saved-comparing")}
        </h2>
        <Button onClick={onClose}>{say("saved-close")}</Button>
      </div>
      <div ref={ref} className="mt-2">
        {a && b && (
          <TraceChart
            plan={a.results}
            others={[{ name: b.name, plan: b.results }]}
            width={width}
            units={units}
          />
        )}
      </div>
      {a && b && <Differences a={a.results} b={b.results} names={[a.name, b.name]} units={units} />}
    </section>
  );
}

interface DifferencesProps {
  a: PlanOut;
  b: PlanOut;
  names: [string, string];
  units: Units;
}

function Differences({ a, b, names, units }: DifferencesProps) {
  const lines = FACTS.map(([name, of]) => [say(name), of(a, units), of(b, units)] as const);
  return (
    <table className="mt-2 w-full text-[0.875rem]">
      <thead>
        <tr className="text-left text-pencil">
          <th scope="col" className="font-normal">
            {say("saved-what")}
          </th>
          <th scope="col" className="font-normal">
            {names[0]}
          </th>
          <th scope="col" className="font-normal">
            {names[1]}
          </th>
        </tr>
      </thead>
      <tbody>
        {lines.map(([name, one, other]) => (
          <tr
            key={name}
            className={`border-rule border-t ${one === other ? "text-pencil" : "font-semibold"}`}
          >
            <th scope="row" className="text-left font-normal">
              {name}
            </th>
            <td>{one}</td>
            <td>{other}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

type Fact = [string, (plan: PlanOut, units: Units) => string];

const FACTS: Fact[] = [
  ["saved-cook-time", (plan) => cookTime(plan.setting.hold_min)],
  ["saved-total-time-lid-on-to-lid-off", (plan) => spokenTime(totalSeconds(plan) / 60)],
  ["saved-tenderness", (plan) => tendernessOf(plan.setting.texture, plan.pieces[0]?.cut)],
  ["saved-thickness", (plan, units) => plan.pieces[0]?.thickness_shown[units] ?? ""],
  ["saved-weight", (plan, units) => plan.pieces[0]?.total_mass_shown[units] ?? ""],
  ["saved-liquid", (plan, units) => plan.liquid.shown[units]],
  ["saved-liquid-style", (plan) => LIQUID_STYLE_WORDS[plan.setting.liquid_style].name],
  ["saved-trivet", (plan) => RACK_WORDS[plan.setting.rack].name],
  ["saved-release", (plan) => RELEASE_WORDS[plan.setting.release].name],
  ["saved-pressure", (plan) => say("saved-level", { level: plan.setting.level })],
  ["saved-cooker", (plan) => plan.pot.name],
  ["saved-altitude", (plan, units) => plan.setting.altitude_shown[units]],
];
