import { useState } from "react";
import { type Body, type PlanOut, troubleOf } from "@/api/client";
import { useSauce, useSides } from "@/api/queries";
import type { Bench } from "@/features/bench/useBench";
import { smallMass, spanText, type Units } from "@/lib/format";
import { Answered } from "@/ui/Answered";
import { MeasureField } from "@/ui/MeasureField";
import { Pick } from "@/ui/Pick";

interface Props {
  bench: Bench;
  plan: PlanOut;
  units: Units;
}

/** What is left in the pot becomes a sauce; and what else can be eaten with it. */
export function SauceAndSides({ bench, plan, units }: Props) {
  return (
    <div className="grid gap-x-6 text-[0.875rem] sm:grid-cols-2">
      <Sauce bench={bench} plan={plan} units={units} />
      <Sides holdMin={plan.setting.hold_min} />
    </div>
  );
}

function Sauce({ bench, plan, units }: Props) {
  const [volume, setVolume] = useState("");
  const [left, setLeft] = useState("0.5");
  const [body, setBody] = useState<Body>("medium");
  const left_in_pot = plan.ending?.liquid_shown[units] ?? "";
  const { data, error, isPlaceholderData } = useSauce(
    bench.wish.pot,
    volume || left_in_pot,
    Number(left),
    body,
  );
  return (
    <div className="flex flex-col gap-1">
      <MeasureField
        label="liquid left in the pot"
        value={volume}
        placeholder={left_in_pot}
        problem={error ? troubleOf(error) : null}
        onChange={setVolume}
      />
      <div className="grid grid-cols-2 gap-x-3">
        <Pick label="reduce to" value={left} options={SHARES} onChange={setLeft} />
        <Pick
          label="thickness"
          value={body}
          options={BODIES}
          onChange={(value) => setBody(value as Body)}
        />
      </div>
      {data && !error && (
        <Answered busy={isPlaceholderData}>
          <p data-testid="sauce">
            Skim the fat. {spanText([data.reduction.heat_s + data.reduction.boil_s])} uncovered on
            the sear setting leave {data.reduction.left_shown[units]}. Then stir{" "}
            {smallMass([data.slurry.starch_kg], units)} of starch with cold water into a slurry and
            simmer it in, or use {smallMass([data.slurry.potatoes_kg], units)} of mashed potato.
            Salt it last.
          </p>
        </Answered>
      )}
    </div>
  );
}

const SHARES = [
  { value: "0.75", name: "three quarters" },
  { value: "0.67", name: "two thirds" },
  { value: "0.5", name: "half" },
  { value: "0.33", name: "a third" },
];
const BODIES = [
  { value: "thin", name: "thin" },
  { value: "medium", name: "coats a spoon" },
  { value: "thick", name: "thick" },
];

function Sides({ holdMin }: { holdMin: number }) {
  const { data, isPlaceholderData } = useSides(holdMin);
  return (
    <table
      className={`w-full text-[13.5px] ${isPlaceholderData ? "stale" : ""}`}
      aria-busy={isPlaceholderData}
      aria-label="sides"
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
                  ? `with it, ${side.vessel}`
                  : "with it"
                : `cook separately, ${side.hold_min} min`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
