/** The trace: from samples to lines on a sheet of given width. Pure. */

import { scaleLinear } from "d3-scale";
import { curveMonotoneX, line } from "d3-shape";
import type { PhaseOut, PlanOut } from "@/api/client";
import { hoursMinutes } from "@/lib/format";

export const SHEET_HEIGHT = 216;
const TOP = 52;
const BOTTOM = 172;
const LEFT = 46;
const RIGHT = 52;

export interface PhaseMark {
  kind: PhaseOut["kind"];
  x: number;
  width: number;
  minutes: number;
  /** 0: on the first row of names; 1: on the second, where the first has no room. */
  row: 0 | 1;
  labelX: number;
}

export interface StepMark {
  step: number;
  x: number;
  y: number;
  minutes: number;
}

export interface TraceGeometry {
  width: number;
  others: { gauge: string; core: string; openX: number }[];
  moments: Moment[];
  gauge: string;
  core: string;
  coreEnd: { x: number; y: number };
  softening: string;
  softeningX: number | null;
  phases: PhaseMark[];
  marks: StepMark[];
  openXs: number[];
  arcs: { x: number; path: string; label: string | null }[];
  gaugeTicks: { y: number; label: string }[];
  coreTicks: { y: number; label: string }[];
  frame: { left: number; right: number; top: number; bottom: number };
}

/** Where the hatching begins: the core's own threshold, drawn only. */
const SOFTENS_C = 70;
const TICK_MINUTES = [5, 10, 15, 30, 60, 120];
const NAME_PIXELS = 6.6;
/** Marks on the ladder closer than this would write over each other. */
const MARK_PIXELS = 96;

/** Phases of all that is drawn; plans of earlier versions had one run. */
export function phasesThrough(plan: PlanOut): PhaseOut[] {
  return plan.phases_through?.length ? plan.phases_through : plan.phases;
}

/** On a phone there is room for the cook times of two runs, and for no more names. */
function namedPhases(plan: PlanOut, width: number): PhaseOut[] {
  const phases = phasesThrough(plan);
  const crowded = isNarrow(width) && plan.later?.[0]?.goes_on;
  return crowded ? phases.filter(({ kind }) => kind === "hold") : phases;
}

/** When the lid is off: once, or twice where what is not done is cooked on [min]. */
function openings(plan: PlanOut): number[] {
  const last = phasesThrough(plan).at(-1);
  const twice = plan.later?.[0]?.goes_on && last ? [last.start_s] : [];
  return [plan.lid_on_to_open_s, ...twice].map((seconds) => seconds / 60);
}

export function traceGeometry(
  plan: PlanOut,
  width: number,
  units: "metric" | "us",
  nameOf: (kind: PhaseOut["kind"]) => string,
  others: PlanOut[] = [],
): TraceGeometry {
  const { trace } = plan;
  const endMin = Math.max(
    ...[plan, ...others].map((item) => (item.trace.time_s.at(-1) ?? 60) / 60),
  );
  const x = scaleLinear([0, endMin], [LEFT, width - RIGHT]);
  const topKpa = Math.max(80, Math.ceil(plan.setting.gauge_pa / 20_000) * 20);
  const gaugeY = scaleLinear([0, topKpa], [BOTTOM, TOP]);
  const coreY = scaleLinear([0, 120], [BOTTOM, TOP]);
  const at = trace.time_s.map((seconds) => x(seconds / 60));
  const draw = (values: number[]) =>
    line<number>(
      (_, index) => at[index] ?? 0,
      (value) => value,
    ).curve(curveMonotoneX)(values) ?? "";
  const coreYs = trace.core_temp_c.map((value) => coreY(value));
  return {
    width,
    others: others.map((other) => otherLine(other, x, gaugeY, coreY)),
    moments: moments(plan, at, coreYs, gaugeY),
    gauge: draw(trace.gauge_pa.map((value) => gaugeY(value / 1000))),
    core: draw(coreYs),
    coreEnd: { x: at.at(-1) ?? 0, y: coreYs.at(-1) ?? 0 },
    softening: softeningArea(softensFrom(trace), at, coreYs),
    softeningX: at[softensFrom(trace)] ?? null,
    phases: phaseMarks(namedPhases(plan, width), x, width, nameOf),
    marks: stepMarks(plan, x, coreY),
    openXs: openings(plan).map((minutes) => x(minutes)),
    arcs: arcs(endMin, x, width),
    gaugeTicks: gaugeTicks(topKpa, units).map(({ kpa, label }) => ({ y: gaugeY(kpa), label })),
    coreTicks: [0, 40, 70, 100].map((celsius) => ({
      y: coreY(celsius),
      label: units === "us" ? `${Math.round(celsius * 1.8 + 32)}°F` : `${celsius}°C`,
    })),
    frame: { left: LEFT, right: width - RIGHT, top: TOP, bottom: BOTTOM },
  };
}

const KPA_PER_PSI = 6.894757;

/** Three marks on round values of the units in use. */
function gaugeTicks(topKpa: number, units: "metric" | "us"): { kpa: number; label: string }[] {
  if (units === "metric") {
    return [0, topKpa / 2, topKpa].map((kpa) => ({ kpa, label: String(kpa) }));
  }
  const top = Math.floor(topKpa / KPA_PER_PSI / 2) * 2;
  return [0, top / 2, top].map((psi) => ({ kpa: psi * KPA_PER_PSI, label: String(psi) }));
}

function otherLine(
  plan: PlanOut,
  x: (minutes: number) => number,
  gaugeY: (kpa: number) => number,
  coreY: (celsius: number) => number,
) {
  const { time_s: times, gauge_pa: gauge, core_temp_c: core } = plan.trace;
  const path = (values: number[]) =>
    `M${times.map((time, index) => `${x(time / 60)} ${values[index] ?? 0}`).join("L")}`;
  return {
    gauge: path(gauge.map((value) => gaugeY(value / 1000))),
    core: path(core.map((value) => coreY(value))),
    openX: x(plan.lid_on_to_open_s / 60),
  };
}

/** One moment of the cook, to be read off. */
export interface Moment {
  x: number;
  coreY: number;
  gaugeY: number;
  minutes: number;
  kpa: number;
  celsius: number;
  step: number;
  phase: PhaseOut["kind"];
}

function moments(
  plan: PlanOut,
  at: number[],
  coreYs: number[],
  gaugeY: (kpa: number) => number,
): Moment[] {
  const { time_s: times, gauge_pa: gauge, core_temp_c: core, tenderness_step: steps } = plan.trace;
  const phases = phasesThrough(plan);
  return times.map((time, index) => {
    const phase = phases.find((item) => time < item.start_s + item.duration_s) ?? phases.at(-1);
    const kpa = (gauge[index] ?? 0) / 1000;
    return {
      x: at[index] ?? 0,
      coreY: coreYs[index] ?? 0,
      gaugeY: gaugeY(kpa),
      minutes: time / 60,
      kpa,
      celsius: core[index] ?? 0,
      step: steps[index] ?? -4,
      phase: phase?.kind ?? "standing",
    };
  });
}

/** The sample from which the meat softens; plans of engines before 4 read it in the middle. */
function softensFrom(trace: PlanOut["trace"]): number {
  const from = trace.softens_from_s;
  if (from == null) return trace.core_temp_c.findIndex((value) => value >= SOFTENS_C);
  return trace.time_s.findIndex((seconds) => seconds >= from);
}

/** What lies under the core's line while the meat softens. */
function softeningArea(first: number, xs: number[], ys: number[]): string {
  if (first < 0) return "";
  const points = xs.slice(first).map((x, index) => `L${x} ${ys[first + index]}`);
  const startX = xs[first];
  return `M${startX} ${BOTTOM} ${points.join(" ")} L${xs.at(-1)} ${BOTTOM} Z`;
}

/** On a phone the names of phases go without "min". */
export function isNarrow(sheetWidth: number): boolean {
  return sheetWidth < 560;
}

/** Names over their stretches: on the second row where the first is taken, pushed apart within a
 * row, first to the right and then back into the sheet. */
function phaseMarks(
  phases: PhaseOut[],
  x: (minutes: number) => number,
  sheetWidth: number,
  nameOf: (kind: PhaseOut["kind"]) => string,
): PhaseMark[] {
  const ends: [number, number] = [0, 0];
  const marks = phases.map((phase) => {
    const start = x(phase.start_s / 60);
    const width = x((phase.start_s + phase.duration_s) / 60) - start;
    const half = ((nameOf(phase.kind).length + (isNarrow(sheetWidth) ? 4 : 8)) * NAME_PIXELS) / 2;
    const wanted = Math.min(Math.max(start + width / 2, half), sheetWidth - half);
    const row: 0 | 1 = wanted - half >= ends[0] || ends[0] <= ends[1] ? 0 : 1;
    const labelX = Math.max(wanted, ends[row] + half);
    ends[row] = labelX + half;
    const minutes = phase.duration_s / 60;
    return { half, mark: { kind: phase.kind, x: start, width, minutes, row, labelX } };
  });
  const limits: [number, number] = [sheetWidth, sheetWidth];
  for (const { mark, half } of marks.toReversed()) {
    mark.labelX = Math.min(mark.labelX, limits[mark.row] - half);
    limits[mark.row] = mark.labelX - half;
  }
  return marks.map(({ mark }) => mark);
}

/** Where the core passes each mark of the ladder. */
function stepMarks(
  plan: PlanOut,
  x: (minutes: number) => number,
  coreY: (celsius: number) => number,
): StepMark[] {
  const { tenderness_step: steps, time_s: times, core_temp_c: core } = plan.trace;
  const marks: StepMark[] = [];
  for (let step = 0; step <= 4; step += 1) {
    const index = steps.findIndex((value) => value >= step);
    const time = times[index];
    const celsius = core[index];
    const roomLeft = x((time ?? 0) / 60) - (marks.at(-1)?.x ?? 0) > MARK_PIXELS;
    if (index > 0 && roomLeft && time !== undefined && celsius !== undefined) {
      marks.push({ step, x: x(time / 60), y: coreY(celsius), minutes: time / 60 });
    }
  }
  return marks;
}

/** The curved time lines of a recorder's chart. */
function arcs(endMin: number, x: (minutes: number) => number, width: number) {
  const room = (width - LEFT - RIGHT) / endMin;
  const every = TICK_MINUTES.find((minutes) => minutes * room >= 54) ?? 240;
  const count = Math.floor(endMin / every);
  return Array.from({ length: count + 1 }, (_, index) => {
    const minutes = index * every;
    const at = x(minutes);
    const label = hoursMinutes(minutes);
    return { x: at, label, path: `M${at} ${BOTTOM} Q${at - 9} ${(TOP + BOTTOM) / 2} ${at} ${TOP}` };
  });
}
