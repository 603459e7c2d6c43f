import { useState } from "react";
import type { PlanOut, Texture } from "@/api/client";
import { useUnits } from "@/api/queries";
import { OwnTime } from "@/features/plan/OwnTime";
import { Taught } from "@/features/plan/Taught";
import type { Planner } from "@/features/plan/usePlanner";
import { WhyBeside } from "@/features/plan/Why";
import {
  cookTime,
  cookTimes,
  hoursMinutes,
  pressureText,
  spokenTime,
  type Units,
} from "@/lib/format";
import { tendernessOf } from "@/lib/words";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { RangeBar } from "@/ui/RangeBar";
import { useRested } from "@/ui/useSettled";

/** A number is read out once it stands still. */
const SAY_MS = 900;

/** The band of the plan's own time, also when the cook sets another. */
function bandOf({ expectation, setting }: PlanOut) {
  return expectation
    ? { low: expectation.usual_low_min, high: expectation.usual_high_min }
    : { low: setting.hold_low_min, high: setting.hold_high_min };
}

interface HoldProps {
  planner: Planner;
  plan: PlanOut | undefined;
  stale: boolean;
  /** What stands here cannot be answered; otherwise its answer is on its way. */
  refused: boolean;
}

/** The cook time, its range, and what else comes with it. */
export function Hold({ planner, plan, stale, refused }: HoldProps) {
  const units = useUnits();
  const now =
    plan && !stale
      ? say("plan-at", { hold_min: cookTime(plan.setting.hold_min), plan: levelWords(plan, units) })
      : null;
  const said = useRested(now, SAY_MS);
  const [opened, setOpened] = useState(false);
  if (!plan) return <NoMinutes wrong={planner.problem !== null} />;
  const { hold_min } = plan.setting;
  const { low, high } = bandOf(plan);
  const guessed = plan.range.some((part) => part.kind === "guessed_thickness");
  const own = opened || planner.request.ownMinutes !== "";
  const range = say("plan-likely-range", { low: cookTimes(low, high) });
  return (
    <div className={stale ? "stale" : ""}>
      <p aria-live="polite" className="sr-only">
        {said}
      </p>
      {stale && (
        <p className="font-semibold text-care">
          {refused ? say("plan-this-is-for-your-last-valid") : say("plan-calculating-the-new-time")}
        </p>
      )}
      <div className="flex items-end justify-between gap-2">
        <p
          className="overflow-clip font-bold font-dial text-[4.5rem] leading-[0.92] lg:text-[4rem]"
          data-testid="hold"
          data-thickness-mm={plan.pieces[0] && Math.round(1000 * plan.pieces[0].thickness_m)}
        >
          {hold_min}
          <span className="whitespace-pre font-semibold text-[1.5rem]"> {say("plan-min")}</span>
        </p>
        <p className="mb-1 shrink-0 text-right text-[0.875rem]">
          <KeyedIn minutes={hold_min} />
          {!own && (
            <button
              type="button"
              className="min-h-6 underline underline-offset-2"
              onClick={() => setOpened(true)}
            >
              {say("plan-use-my-own-time")}
            </button>
          )}
        </p>
      </div>
      <p className="font-semibold">
        {say("plan-at-2", { plan: levelWords(plan, units) })}{" "}
        <WhyBeside plan={plan} about={["hold"]} of={say("plan-cook-time")} /> <Taught plan={plan} />
      </p>
      <RangeBar
        low={low}
        value={hold_min}
        high={high}
        label={say("plan-cook-time-min", { hold_min, range })}
      />
      <p className="text-[0.875rem] text-pencil" data-testid="range">
        {plan.expectation &&
          `${say("plan-the-plan-would-set-min", { usual_min: plan.expectation.usual_min })} `}
        {say(guessed ? "plan-in-8-of-10-kitchens-guessed" : "plan-in-8-of-10-kitchens", { range })}{" "}
        <WhyBeside plan={plan} about={["range"]} of={say("plan-why-of-range")} />
      </p>
      {own && <OwnTime planner={planner} />}
      <Expected plan={plan} />
      <Later planner={planner} plan={plan} />
    </div>
  );
}

/** Some cookers take hours and minutes. */
function KeyedIn({ minutes }: { minutes: number }) {
  if (minutes < 60) return null;
  return (
    <span className="block text-pencil">
      {say("plan-on-a-cooker", { minutes: hoursMinutes(minutes) })}
      <br />
      {say("plan-that-shows-hours")}
    </span>
  );
}

/** Before there is a plan. */
function NoMinutes({ wrong }: { wrong: boolean }) {
  return (
    <div>
      <p
        className="overflow-clip font-bold font-dial text-[4.75rem] text-rule leading-none"
        aria-hidden="true"
      >
        –
      </p>
      <p className="text-pencil">
        {wrong
          ? say("plan-correct-what-is-marked-then-the")
          : say("plan-type-the-weight-and-the-cook")}
      </p>
    </div>
  );
}

/** What the cook's own minutes will make of it, and how sure that is. */
function Expected({ plan }: { plan: PlanOut }) {
  const own = plan.expectation;
  if (!own) return null;
  const words = (texture: Texture) => tendernessOf(texture, plan.pieces[0]?.cut);
  const [texture, low, high] = [own.texture_reached, own.low_reached, own.high_reached].map(words);
  const sure = low === high ? "plan-own-time-expect" : "plan-own-time-expect-between";
  return (
    <p data-testid="expected" className="mt-1 border-ink border-l-4 pl-2 text-[0.875rem]">
      <strong className="font-semibold">
        {own.below ? say("plan-own-time-only-warms") : say(sure, { texture, low, high })}
      </strong>{" "}
      {say("plan-the-chance-of-or-softer-is", {
        texture: words(plan.setting.texture),
        round: Math.round(100 * own.sure_ratio),
      })}
    </p>
  );
}

/** The batches after the first, and when the last is out. */
function Later({ planner, plan }: { planner: Planner; plan: PlanOut }) {
  const later = plan.later ?? [];
  if (later.length === 0) return null;
  if (later[0]?.goes_on) {
    return (
      <div data-testid="two-steps" className="mt-1 border-ink border-l-4 pl-2 text-[0.875rem]">
        <p>
          <strong className="font-semibold">
            {say("plan-two-steps", {
              first: cookTime(plan.setting.hold_min),
              second: cookTime(later[0].hold_min),
            })}
          </strong>{" "}
          {say("plan-two-steps-range", {
            range: cookTimes(later[0].hold_low_min, later[0].hold_high_min),
          })}{" "}
          {say("plan-two-steps-how", { all_done_s: spokenTime((plan.all_done_s ?? 0) / 60) })}
        </p>
        <Button className="mt-1" onClick={() => planner.change({ thinFirst: false })}>
          {say("plan-one-cook-time")}
        </Button>
      </div>
    );
  }
  const count = later.length + 1;
  const holds = [plan.setting.hold_min, ...later.map((batch) => batch.hold_min)];
  return (
    <p data-testid="batches" className="mt-1 text-[0.875rem]">
      <strong className="font-semibold">
        {say("plan-batches", { count, join: holds.map(cookTime).join(", ") })}
      </strong>{" "}
      {say("plan-at-a-hot-cooker-comes-to", {
        all_done_s: spokenTime((plan.all_done_s ?? 0) / 60),
      })}
    </p>
  );
}

/** A cut that is cooked in two ways: which one is meant? */
export function Habits({ planner, plan }: { planner: Planner; plan: PlanOut }) {
  const habits = plan.habits ?? [];
  if (habits.length === 0) return null;
  return (
    <fieldset
      data-testid="habits"
      className="flex flex-col gap-1 border-ink border-l-4 pl-2 text-[0.875rem]"
    >
      <legend className="float-left w-full font-semibold">
        {say("plan-this-cut-is-cooked-in-two")}
      </legend>
      <div className="flex flex-wrap gap-2">
        {habits.map((habit) => (
          <Button
            key={habit.code}
            onClick={() =>
              planner.change({
                texture: habit.texture,
                ownMinutes: habit.my_minutes === null ? "" : String(habit.my_minutes),
                finish: habit.finish,
              })
            }
          >
            {habit.code === "braised"
              ? say("plan-braised-until-fork-tender-min", { hold_min: plan.setting.hold_min })
              : say("plan-warmed-for-min-then-crisped", { my_minutes: habit.my_minutes })}
          </Button>
        ))}
      </div>
    </fieldset>
  );
}

function levelWords({ setting, pot }: PlanOut, units: Units): string {
  const ofLevel = setting.level === "high" ? pot.gauge_high_pa : pot.gauge_low_pa;
  const usual = Math.abs(setting.gauge_pa - ofLevel) < 500;
  return usual
    ? say("plan-pressure", { level: setting.level })
    : pressureText(setting.gauge_pa / 1000, units);
}
