import { useState } from "react";
import type { CutOut, PlanOut, Problem, ReleaseMethod, School } from "@/api/client";
import { Cautions } from "@/features/bench/Cautions";
import { SaveSheet } from "@/features/bench/SaveSheet";
import { StoredNote } from "@/features/bench/StoredNote";
import { type Bench, looseTrouble, troubleAt } from "@/features/bench/useBench";
import { panelTime, spokenTime, type Units, unitsOf } from "@/lib/format";
import { RACK_WORDS, RELEASE_WORDS, SCHOOL_WORDS } from "@/lib/words";
import { Button } from "@/ui/Button";
import { Choice } from "@/ui/Choice";
import { MeasureField } from "@/ui/MeasureField";
import { RangeBar } from "@/ui/RangeBar";

interface Props {
  bench: Bench;
  cut: CutOut | undefined;
  units: Units;
  stale: boolean;
}

/** The setting: the hold as the largest thing on the page, then liquid, rack, release and why. */
export function SettingColumn({ bench, cut, units, stale }: Props) {
  const [saving, setSaving] = useState(false);
  const plan = bench.plan;
  const loose = looseTrouble(bench.problem);
  return (
    <section
      aria-labelledby="set-title"
      className="order-2 flex flex-col gap-1.5 px-4 py-3 lg:order-none lg:overflow-y-auto"
    >
      <div className="flex items-center justify-between">
        <h2 id="set-title" className="font-semibold text-[15px] text-pencil">
          Set
        </h2>
        <Button disabled={!plan || stale} onClick={() => setSaving(true)}>
          {bench.planId ? "Save changes" : "Save this plan"}
        </Button>
      </div>
      {bench.planId && <StoredNote planId={bench.planId} bench={bench} />}
      {loose && <Trouble problem={loose} />}
      <Hold plan={plan} stale={stale} />
      <Settings bench={bench} cut={cut} units={units} plan={plan} />
      {plan && <Cautions plan={plan} stale={stale} />}
      {saving && <SaveSheet bench={bench} onClose={() => setSaving(false)} />}
    </section>
  );
}

function Trouble({ problem }: { problem: Problem }) {
  return (
    <p role="alert" className="border-care border-l-4 pl-2">
      <strong className="font-semibold">{problem.message}</strong> {problem.hint}
    </p>
  );
}

function Hold({ plan, stale }: { plan: PlanOut | undefined; stale: boolean }) {
  if (!plan) {
    return (
      <div>
        <p
          className="overflow-clip font-bold font-dial text-[76px] text-rule leading-none"
          aria-hidden="true"
        >
          –:––
        </p>
        <p className="text-pencil">The minutes stand here as soon as the weight does.</p>
      </div>
    );
  }
  const { hold_min, hold_low_min, hold_high_min, level } = plan.setting;
  const spread = Math.round(100 * Math.max(...plan.pieces.map((piece) => piece.size_spread_ratio)));
  const range = `between ${panelTime(hold_low_min)} and ${panelTime(hold_high_min)}`;
  return (
    <div className={stale ? "stale" : ""} aria-live="polite">
      {stale && <p className="font-semibold text-care">This is for what you typed before.</p>}
      <p
        className="overflow-clip font-bold font-dial text-[80px] leading-[0.92]"
        data-testid="hold"
      >
        {panelTime(hold_min)}
      </p>
      <p className="font-semibold">
        {spokenTime(hold_min)} at {level} pressure
      </p>
      <RangeBar
        low={hold_low_min}
        value={hold_min}
        high={hold_high_min}
        label={`hold ${panelTime(hold_min)}, ${range}`}
      />
      <p className="text-[14px] text-pencil" data-testid="range">
        {range}; sizes may be {spread}
        {"\u00a0"}% off
      </p>
    </div>
  );
}

interface SettingsProps {
  bench: Bench;
  cut: CutOut | undefined;
  units: Units;
  plan: PlanOut | undefined;
}

function Settings({ bench, cut, units, plan }: SettingsProps) {
  const { wish, change, problem } = bench;
  const school = wish.school ?? cut?.default_school ?? "short_braise";
  const method = wish.release ?? plan?.setting.release ?? cut?.default_release ?? "natural";
  const liquid = troubleAt(problem, "liquid");
  const liquidUnits = unitsOf(wish.liquid, units);
  const shown = plan?.liquid;
  return (
    <div className="flex flex-col gap-1.5 border-rule border-t pt-2">
      <MeasureField
        label="liquid"
        value={wish.liquid}
        placeholder={shown ? shown.school_shown[units] : "by the school"}
        other={shown?.shown[wish.liquid && liquidUnits === "us" ? "metric" : otherUnits(units)]}
        problem={liquid ? { message: liquid.message, hint: liquid.hint ?? null } : null}
        onChange={(text) => change({ liquid: text }, "drag")}
      />
      <Row label="school">
        <Choice
          label="school of liquid"
          value={school}
          options={optionsOf(SCHOOL_WORDS)}
          onChange={(value) => change({ school: value as School, liquid: "" })}
        />
      </Row>
      <Row label="rack">
        <span className="font-semibold">
          {plan ? RACK_WORDS[plan.setting.rack].name : "by the school"}
        </span>
      </Row>
      <Row label="release">
        <Choice
          label="release"
          value={method}
          options={optionsOf(RELEASE_WORDS)}
          onChange={(value) => change({ release: value as ReleaseMethod })}
        />
      </Row>
      {plan && (
        <p className="text-[14px]" data-testid="release-minutes">
          {releaseMinutes(plan)}
        </p>
      )}
    </div>
  );
}

function otherUnits(units: Units): Units {
  return units === "us" ? "metric" : "us";
}

function optionsOf(words: Record<string, { name: string; says: string }>) {
  return Object.entries(words).map(([value, word]) => ({ value, ...word }));
}

function releaseMinutes(plan: PlanOut): string {
  const minutes = (kind: string) => {
    const phase = plan.phases.find((item) => item.kind === kind);
    return phase ? Math.round(phase.duration_s / 60) : 0;
  };
  const up = `${minutes("come_up")} min to pressure`;
  const vent = `venting ${Math.max(1, minutes("venting"))} min`;
  if (minutes("natural_release") > 0) {
    return `${up}; ${minutes("natural_release")} min till the pin drops.`;
  }
  return minutes("waiting") > 0
    ? `${up}; a wait of ${minutes("waiting")} min, ${vent}.`
    : `${up}; ${vent}.`;
}

function Row({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className="grid grid-cols-[76px_1fr] items-baseline gap-x-2">
      <span className="text-pencil">{label}</span>
      {children}
    </div>
  );
}
