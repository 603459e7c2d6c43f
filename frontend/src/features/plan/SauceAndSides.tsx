import { useState } from "react";
import { type Body, type PlanOut, troubleOf } from "@/api/client";
import { useSauce, useSides } from "@/api/queries";
import type { Planner } from "@/features/plan/usePlanner";
import { smallMass, spanText, type Units } from "@/lib/format";
import { say } from "@/text/say";
import { Answered } from "@/ui/Answered";
import { MeasureField } from "@/ui/MeasureField";
import { SelectField } from "@/ui/SelectField";

interface Props {
  planner: Planner;
  plan: PlanOut;
  units: Units;
}

/** What is left in the pot becomes a sauce; and what else can be eaten with it. */
export function SauceAndSides({ planner, plan, units }: Props) {
  return (
    <div className="grid gap-x-6 text-[0.875rem] sm:grid-cols-2">
      <Sauce planner={planner} plan={plan} units={units} />
      <Sides holdMin={plan.setting.hold_min} />
    </div>
  );
}

function Sauce({ planner, plan, units }: Props) {
  const [volume, setVolume] = useState("");
  const [left, setLeft] = useState("0.5");
  const [body, setBody] = useState<Body>("medium");
  const left_in_pot = plan.ending?.liquid_shown[units] ?? "";
  const { data, error, isPlaceholderData } = useSauce(
    planner.request.pot,
    volume || left_in_pot,
    Number(left),
    body,
  );
  return (
    <div className="flex flex-col gap-1">
      <MeasureField
        label={say("plan-liquid-left-in-the-pot")}
        value={volume}
        placeholder={left_in_pot}
        problem={error ? troubleOf(error) : null}
        onChange={setVolume}
      />
      <div className="grid grid-cols-2 gap-x-3">
        <SelectField
          label={say("plan-reduce-to")}
          value={left}
          options={shares()}
          onChange={setLeft}
        />
        <SelectField
          label={say("plan-thickness")}
          value={body}
          options={bodies()}
          onChange={(value) => setBody(value as Body)}
        />
      </div>
      {data && !error && (
        <Answered busy={isPlaceholderData}>
          <p data-testid="sauce">
            {say("plan-skim-the-fat-uncovered-on-the", {
              value: spanText([data.reduction.heat_s + data.reduction.boil_s]),
              left: data.reduction.left_shown[units],
              value2: smallMass([data.slurry.starch_kg], units),
              value3: smallMass([data.slurry.potatoes_kg], units),
            })}
          </p>
        </Answered>
      )}
    </div>
  );
}

const shares = () => [
  { value: "0.75", name: say("plan-three-quarters") },
  { value: "0.67", name: say("plan-two-thirds") },
  { value: "0.5", name: say("plan-half") },
  { value: "0.33", name: say("plan-a-third") },
];
const bodies = () => [
  { value: "thin", name: say("plan-thin") },
  { value: "medium", name: say("plan-coats-a-spoon") },
  { value: "thick", name: say("plan-thick") },
];

function Sides({ holdMin }: { holdMin: number }) {
  const { data, isPlaceholderData } = useSides(holdMin);
  return (
    <table
      className={`w-full text-[13.5px] ${isPlaceholderData ? "stale" : ""}`}
      aria-busy={isPlaceholderData}
      aria-label={say("plan-sides")}
    >
      <tbody>
        {data?.sides.map((side) => (
          <tr key={side.side} className="border-rule border-b align-baseline">
            <th scope="row" className="text-left font-normal">
              {side.name}
            </th>
            <td className="text-right">
              {side.way === "with_the_meat"
                ? side.vessel
                  ? say("plan-with-it", { vessel: side.vessel })
                  : say("plan-with-it-2")
                : say("plan-cook-separately-min", { hold_min: side.hold_min })}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
