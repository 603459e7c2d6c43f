import { useState } from "react";
import { type CutOut, type OtherMethod, troubleOf } from "@/api/client";
import { useGivenMinutes, useOtherWay, useUnits } from "@/api/queries";
import type { Planner } from "@/features/plan/usePlanner";
import { cookTime, spokenTime } from "@/lib/format";
import { tendernessOf } from "@/lib/words";
import { say } from "@/text/say";
import { Answered } from "@/ui/Answered";
import { MeasureField } from "@/ui/MeasureField";
import { SelectField } from "@/ui/SelectField";

interface Props {
  planner: Planner;
  cut: CutOut | undefined;
}

/** "All I have are the minutes of a recipe": what they would make of this piece, in this pot. */
export function GivenMinutes({ planner, cut }: Props) {
  const [minutes, setMinutes] = useState("");
  const [gauge, setGauge] = useState("");
  const given = /^\d{1,3}$/.test(minutes.trim()) ? Number(minutes) : null;
  const { here, there } = useGivenMinutes(
    planner.stale ? null : planner.settled,
    given || null,
    gauge.trim() || null,
  );
  const reached = here.data?.texture_reached;
  const looks = cut?.ladder.find((step) => step.texture === reached)?.looks;
  return (
    <div className="flex max-w-[30rem] flex-col gap-1 text-[0.875rem]">
      <MeasureField
        label={say("plan-minutes")}
        value={minutes}
        inputMode="numeric"
        placeholder={say("plan-minutes-from-a-recipe")}
        other="min"
        onChange={setMinutes}
      />
      <MeasureField
        label={say("plan-recipes-pressure")}
        value={gauge}
        placeholder={say("plan-if-not-this-cookers")}
        problem={there.error && gauge ? troubleOf(there.error) : null}
        onChange={setGauge}
      />
      {given !== null && reached && !gauge && (
        <Answered busy={here.isPlaceholderData}>
          <p data-testid="given">
            {say("plan-here-would-make-it", { given: cookTime(given) })}{" "}
            <strong className="font-semibold">{tendernessOf(reached, cut?.id)}</strong>
            {looks ? `: ${looks}.` : "."}{" "}
            <button
              type="button"
              className="underline underline-offset-2"
              onClick={() => planner.change({ ownMinutes: minutes.trim() })}
            >
              {say("plan-use-these-minutes")}
            </button>
          </p>
        </Answered>
      )}
      {given !== null && there.data && gauge && !there.error && (
        <Answered busy={there.isPlaceholderData}>
          <p data-testid="given">
            {say("plan-are", { given: cookTime(given) })}{" "}
            <strong className="font-semibold">{cookTime(there.data.hold_min)}</strong>{" "}
            {say("plan-here-and-make-it", {
              texture_reached: tendernessOf(there.data.texture_reached, cut?.id),
            })}
          </p>
        </Answered>
      )}
      <OtherWay planner={planner} />
    </div>
  );
}

/** On a day when the pot is in use: the same meal in the oven or in a slow cooker. */
function OtherWay({ planner }: { planner: Planner }) {
  const units = useUnits();
  const [method, setMethod] = useState("");
  const { data, error, isPlaceholderData } = useOtherWay(
    planner.stale ? null : planner.settled,
    method ? (method as OtherMethod) : null,
  );
  return (
    <div className="mt-1 border-rule border-t pt-1">
      <SelectField
        label={say("plan-without-the-cooker")}
        value={method}
        options={otherWays()}
        onChange={setMethod}
      />
      {method && error && <p role="alert">{troubleOf(error).message}</p>}
      {method && data && !error && (
        <Answered busy={isPlaceholderData}>
          <p data-testid="other-way">
            <strong className="font-semibold">{spokenTime(data.duration_s / 60)}</strong>{" "}
            {say("plan-with-of-liquid", {
              liquid: data.liquid_shown[units],
              join: data.advice.join(" "),
            })}
          </p>
        </Answered>
      )}
    </div>
  );
}

const otherWays = () => [
  { value: "", name: say("plan-the-cooker-is-free") },
  { value: "oven_lid", name: say("plan-in-the-oven-covered") },
  { value: "slow_low", name: say("plan-in-a-slow-cooker-low") },
  { value: "slow_high", name: say("plan-in-a-slow-cooker-high") },
];
