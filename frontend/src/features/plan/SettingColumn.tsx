import { useState } from "react";
import { Link } from "wouter";
import type { CutOut, LiquidStyle, PlanIn, PlanOut, Problem, ReleaseMethod } from "@/api/client";
import { useCatalogue, useUnits } from "@/api/queries";
import { Cautions } from "@/features/plan/Cautions";
import { Habits, Hold } from "@/features/plan/Hold";
import { SaveSheet } from "@/features/plan/SaveSheet";
import { StoredNote } from "@/features/plan/StoredNote";
import { looseTrouble, type Planner, troubleAt } from "@/features/plan/usePlanner";
import { WhyBeside } from "@/features/plan/Why";
import type { CookRequest, Rack } from "@/lib/cookRequest";
import { addDish } from "@/lib/day";
import { besideTyped, pressureText, type Units, unitsOf } from "@/lib/format";
import { LIQUID_STYLE_WORDS, RACK_WORDS, RELEASE_WORDS } from "@/lib/words";
import { CookNow } from "@/parts/CookNow";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { MeasureField } from "@/ui/MeasureField";
import { SelectField } from "@/ui/SelectField";
import { useKeys } from "@/ui/useKeys";

interface Props {
  planner: Planner;
  cut: CutOut | undefined;
  units: Units;
  stale: boolean;
}

/** The setting: the hold as the largest thing on the page, then liquid, rack, release and why. */
export function SettingColumn({ planner, cut, units, stale }: Props) {
  const [saving, setSaving] = useState(false);
  const plan = planner.plan;
  const cuts = useCatalogue().data?.cuts ?? [];
  const ready = plan !== undefined && !planner.stale && !planner.pending && planner.inputs !== null;
  useKeys({ s: () => ready && setSaving(true) });
  const loose = looseTrouble(planner.problem);
  return (
    <section
      aria-labelledby="set-title"
      className="order-2 flex flex-col gap-1 px-4 py-0.5 lg:order-none lg:gap-0.5 lg:overflow-y-auto lg:pb-3"
    >
      <div className="flex flex-wrap items-center justify-between gap-x-3 gap-y-0.5">
        <h2
          id="set-title"
          className="font-semibold text-[0.9375rem] text-pencil sr-only max-lg:not-sr-only"
        >
          {say("plan-set-your-cooker-to")}
        </h2>
        <div className="plan-actions flex w-full flex-wrap gap-2 whitespace-nowrap text-[0.875rem]">
          {plan && !planner.stale && planner.inputs && (
            <CookNow
              name={dishName(plan, planner.inputs, cuts, units)}
              plan={planner.inputs}
              wait={!ready}
            />
          )}
          {plan && !planner.stale && planner.inputs && (
            <Link
              href="/schedule"
              onClick={() =>
                planner.inputs &&
                addDish(dishName(plan, planner.inputs, cuts, units), planner.inputs)
              }
              className="min-h-8 rounded-sm border border-edge px-2 py-1 font-medium hover:border-ink"
            >
              {say("plan-add-to-schedule")}
            </Link>
          )}
          <Button disabled={!ready} onClick={() => setSaving(true)}>
            {planner.planId ? say("plan-save-changes") : say("plan-save-plan")}
          </Button>
        </div>
      </div>
      {planner.planId && <StoredNote planId={planner.planId} planner={planner} />}
      {loose && <Trouble problem={loose} />}
      <Hold planner={planner} plan={plan} stale={stale} refused={planner.stale} />
      {plan && <Habits planner={planner} plan={plan} />}
      <Settings planner={planner} cut={cut} units={units} plan={plan} />
      {plan && <Cautions plan={plan} stale={stale} />}
      {saving && <SaveSheet planner={planner} onClose={() => setSaving(false)} />}
    </section>
  );
}

/** What the dish is called on the day, until its plan has a name. */
/** A weight with its unit, as somebody types it. */
const WITH_UNIT = /\d.*[a-z#]/i;

/** The weight as it was typed, of all batches, and the cut; of both cuts where there are two. */
function dishName(plan: PlanOut, inputs: PlanIn, cuts: CutOut[], units: Units): string {
  const names = inputs.pieces.map(({ cut, mass }) => {
    const shown = plan.pieces.find((piece) => piece.cut === cut)?.total_mass_shown[units] ?? "";
    const known = cuts.find((item) => item.id === cut);
    const weight = WITH_UNIT.test(mass) ? mass.trim() : shown;
    return `${weight} ${known?.short_name ?? say("plan-meat")}`.trim();
  });
  const [first = "", second] = names;
  return second ? say("plan-dish-of-two", { first, second }) : first;
}

function Trouble({ problem }: { problem: Problem }) {
  return (
    <p role="alert" className="border-care border-l-4 pl-2">
      <strong className="font-semibold">{problem.message}</strong> {problem.hint}
    </p>
  );
}

interface SettingsProps {
  planner: Planner;
  cut: CutOut | undefined;
  units: Units;
  plan: PlanOut | undefined;
}

function Settings({ planner, cut, units, plan }: SettingsProps) {
  const { request, change, problem } = planner;
  const liquid = troubleAt(problem, "liquid");
  const liquidUnits = unitsOf(request.liquid, units);
  const shown = plan?.liquid;
  const liquidStyle = request.liquidStyle ?? cut?.default_liquid_style ?? "short_braise";
  const method = request.release ?? plan?.setting.release ?? cut?.default_release ?? "natural";
  return (
    <div className="flex flex-col gap-1.5 border-rule border-t pt-1">
      <MeasureField
        label={say("plan-liquid")}
        value={request.liquid}
        placeholder={shown ? shown.usual_shown[units] : say("plan-usual-amount")}
        other={request.liquid ? besideTyped(shown?.shown, request.liquid, units) : undefined}
        problem={liquid ? { message: liquid.message, hint: liquid.hint ?? null } : null}
        onChange={(text) => change({ liquid: text }, "type")}
        aside={<WhyBeside plan={plan} about={["liquid"]} of={say("plan-why-of-liquid")} />}
        canStep={plan !== undefined}
        onStep={(direction) => {
          const next = plan && steppedMark(plan, direction, liquidUnits);
          if (next) change({ liquid: next });
        }}
      />
      <div className="grid grid-cols-2 items-end gap-x-3">
        <SelectField
          label={say("plan-liquid-style")}
          value={liquidStyle}
          options={optionsOf(LIQUID_STYLE_WORDS)}
          onChange={(value) =>
            change({ liquidStyle: value as LiquidStyle, liquid: "", rack: null })
          }
          aside={null}
        />
        <SelectField
          label={say("plan-trivet")}
          value={request.rack ?? plan?.setting.rack ?? ""}
          options={plan ? optionsOf(RACK_WORDS) : [byStyle(), ...optionsOf(RACK_WORDS)]}
          onChange={(value) => change({ rack: value ? (value as Rack) : null, liquid: "" })}
          aside={<WhyBeside plan={plan} about={["rack"]} of={say("plan-why-of-trivet")} />}
        />
      </div>
      <div className="-mt-0.5 grid grid-cols-[minmax(0,8fr)_minmax(0,5fr)] items-end gap-x-3">
        <SelectField
          label={say("plan-release")}
          value={method}
          options={releasesOf(request.release === "timed" ? request.minutes : "")}
          onChange={(value) => change({ release: value as ReleaseMethod, minutes: "" })}
          aside={<WhyBeside plan={plan} about={["release"]} of={say("plan-why-of-release")} />}
        />
        <SelectField
          label={say("plan-pressure-2")}
          value={request.level}
          options={levels()}
          onChange={(value) => change({ level: value as CookRequest["level"] })}
          aside={null}
        />
      </div>
      {request.level === "own" && <OwnPressure planner={planner} />}
      <ReleaseMinutes planner={planner} method={method} />
      {plan && (
        <p className="text-[0.875rem]" data-testid="release-minutes">
          {releaseMinutes(plan)}
        </p>
      )}
    </div>
  );
}

/** The pressure as the manual gives it. */
function OwnPressure({ planner }: { planner: Planner }) {
  const units = useUnits();
  const trouble = troubleAt(planner.problem, "gauge");
  return (
    <MeasureField
      label={say("plan-own-pressure")}
      value={planner.request.gauge}
      placeholder={pressureText(75, units)}
      problem={trouble ? { message: trouble.message, hint: trouble.hint ?? null } : null}
      onChange={(gauge) => planner.change({ gauge }, "type")}
    />
  );
}

/** Before there is a plan, the rack is that of the liquid style. */
const byStyle = () => ({
  value: "",
  name: say("plan-usual"),
});

const levels = () => [
  { value: "high", name: say("plan-high") },
  { value: "low", name: say("plan-low") },
  { value: "own", name: say("plan-custom") },
];

/** How long it waits, soaks or is kept warm, where there is such a time. */
function ReleaseMinutes({ planner, method }: { planner: Planner; method: ReleaseMethod }) {
  const trouble = troubleAt(planner.problem, "wait") ?? troubleAt(planner.problem, "stay");
  const words = waitFields()[method];
  if (!words || planner.request.release === null) return null;
  return (
    <MeasureField
      label={words.label}
      value={planner.request.minutes}
      inputMode="numeric"
      placeholder={say("plan-min-2", { usual: words.usual })}
      other="min"
      problem={trouble ? { message: trouble.message, hint: trouble.hint ?? null } : null}
      onChange={(minutes) => planner.change({ minutes }, "type")}
      onStep={(direction) => {
        const now = Number(planner.request.minutes) || words.usual;
        planner.change({ minutes: String(Math.max(5, now + 5 * direction)) });
      }}
    />
  );
}

const waitFields = (): Partial<Record<ReleaseMethod, { label: string; usual: number }>> => ({
  timed: {
    label: say("plan-wait"),
    usual: 10,
  },
  soak: {
    label: say("plan-soak"),
    usual: 30,
  },
  keep_warm: {
    label: say("plan-keep-warm-for"),
    usual: 45,
  },
});

function optionsOf(words: Record<string, { name: string; says: string }>) {
  return Object.entries(words).map(([value, word]) => ({ value, ...word }));
}

/** The releases by name; a timed one by its own minutes. */
function releasesOf(typed: string) {
  const minutes = Number(typed);
  return optionsOf(RELEASE_WORDS).map((option) =>
    option.value === "timed" && minutes > 0
      ? { ...option, name: say("plan-minute-natural-release", { minutes }) }
      : option,
  );
}

function releaseMinutes(plan: PlanOut): string {
  const minutes = (kind: string) => {
    const phase = plan.phases.find((item) => item.kind === kind);
    return phase ? Math.max(1, Math.round(phase.duration_s / 60)) : 0;
  };
  const parts = [say("plan-min-to-pressure", { minutes: minutes("come_up") })];
  const add = (kind: string, words: (minutes: number) => string) => {
    if (minutes(kind) > 0) parts.push(words(minutes(kind)));
  };
  add("natural_release", (n) => say("plan-min-until-the-pin-drops", { n }));
  add("waiting", (n) => say("plan-wait-min", { n }));
  add("venting", (n) => say("plan-release-min", { n }));
  add("keeping_warm", (n) => say("plan-keep-warm-min", { n }));
  add("soaking", (n) => say("plan-rest-in-the-liquid-min", { n }));
  return `${parts.join("; ")}.`;
}

/** The next sensible amount of liquid above or below the level that stands. */
function steppedMark(plan: PlanOut, direction: 1 | -1, units: Units): string | undefined {
  const marks = units === "us" ? plan.liquid.marks_us : plan.liquid.marks_metric;
  const level = plan.liquid.level_m;
  const next =
    direction > 0
      ? marks.find((mark) => mark.level_m > level + 1e-4)
      : marks.toReversed().find((mark) => mark.level_m < level - 1e-4);
  return next?.typed;
}
