import { describe, expect, it } from "vitest";
import type { PhaseOut, PlanOut } from "@/api/client";
import { isNarrow, traceGeometry } from "@/drawing/trace-geometry";

const PHASES: PhaseOut[] = [
  { kind: "come_up", start_s: 0, duration_s: 600, core_temp_c: 20 },
  { kind: "hold", start_s: 600, duration_s: 3000, core_temp_c: 110 },
  { kind: "natural_release", start_s: 3600, duration_s: 900, core_temp_c: 105 },
  { kind: "standing", start_s: 4500, duration_s: 300, core_temp_c: 98 },
];
const TIMES = Array.from({ length: 81 }, (_, index) => 60 * index);

/** A cook of eighty minutes; only what the drawing reads. */
function plan(changes: Partial<PlanOut["trace"]> = {}): PlanOut {
  return {
    setting: { gauge_pa: 75_000 },
    phases: PHASES,
    lid_on_to_open_s: 4500,
    trace: {
      time_s: TIMES,
      gauge_pa: TIMES.map((time) => (time < 600 ? 0 : 75_000)),
      pot_temp_c: TIMES.map(() => 116),
      core_temp_c: TIMES.map((time) => Math.min(4 + time / 30, 110)),
      tenderness_step: TIMES.map((time) => -4 + time / 600),
      softens_from_s: 1980,
      ...changes,
    },
  } as unknown as PlanOut;
}

const NAMES = (kind: PhaseOut["kind"]) => kind.replaceAll("_", " ");
const drawn = (width: number, units: "metric" | "us" = "metric", trace = {}) =>
  traceGeometry(plan(trace), width, units, NAMES);

const WIDTHS = Array.from({ length: 54 }, (_, index) => 340 + 20 * index);

/** From where to where the names of phases are written, and on which row. */
function nameBoxes(width: number): { row: number; from: number; to: number }[] {
  const sides = isNarrow(width) ? 4 : 8;
  return drawn(width).phases.map(({ kind, labelX, row }) => {
    const half = ((NAMES(kind).length + sides) * 6.6) / 2;
    return { row, from: labelX - half, to: labelX + half };
  });
}

describe("the chart of a cook", () => {
  it("begins and ends at its frame, with time to scale", () => {
    const sheet = drawn(1000);
    expect(sheet.moments[0]?.x).toBe(sheet.frame.left);
    expect(sheet.coreEnd.x).toBeCloseTo(sheet.frame.right);
    const share =
      ((sheet.openXs[0] ?? 0) - sheet.frame.left) / (sheet.frame.right - sheet.frame.left);
    expect(share).toBeCloseTo(4500 / 4800);
  });

  it("softens from the moment the plan says, or from 70 °C where it does not", () => {
    const at = (minutes: number) => drawn(1000).moments[minutes]?.x;
    expect(drawn(1000).softeningX).toBe(at(33));
    expect(drawn(1000, "metric", { softens_from_s: null }).softeningX).toBe(at(33));
    const never = drawn(1000, "metric", { softens_from_s: null, core_temp_c: TIMES.map(() => 60) });
    expect(never.softening).toBe("");
  });

  it("has the marks of the units in use", () => {
    expect(drawn(1000).gaugeTicks.map(({ label }) => label)).toEqual(["0", "40", "80"]);
    expect(drawn(1000, "us").gaugeTicks.map(({ label }) => label)).toEqual(["0", "5", "10"]);
    // 40, 70 and 100 °C: the definition of the scale
    expect(drawn(1000, "us").coreTicks.map(({ label }) => label)).toEqual([
      "32°F",
      "104°F",
      "158°F",
      "212°F",
    ]);
  });

  it("goes through both runs of a plan in two steps", () => {
    const again: PhaseOut[] = [
      { kind: "come_up", start_s: 4800, duration_s: 240, core_temp_c: 90 },
      { kind: "hold", start_s: 5040, duration_s: 600, core_temp_c: 108 },
      { kind: "standing", start_s: 5640, duration_s: 300, core_temp_c: 100 },
    ];
    const two = {
      ...plan({ time_s: TIMES.map((time) => time * 1.25) }),
      later: [{ goes_on: true }],
      phases_through: [...PHASES, ...again],
    } as unknown as PlanOut;
    const sheet = traceGeometry(two, 1000, "metric", NAMES);
    expect(sheet.phases.map(({ kind }) => kind).filter((kind) => kind === "hold")).toHaveLength(2);
    expect(sheet.openXs).toHaveLength(2);
    expect(sheet.openXs[1]).toBeGreaterThan(sheet.openXs[0] ?? 0);
    expect(sheet.moments.at(-10)?.phase).toBe("hold");
    expect(drawn(1000).openXs).toHaveLength(1);
    // on a phone their names would stand on each other
    expect(traceGeometry(two, 360, "metric", NAMES).phases.map(({ kind }) => kind)).toEqual([
      "hold",
      "hold",
    ]);
  });

  it("tells each moment with its phase", () => {
    const { moments } = drawn(1000);
    expect(moments).toHaveLength(TIMES.length);
    expect([0, 20, 70, 80].map((minute) => moments[minute]?.phase)).toEqual([
      "come_up",
      "hold",
      "natural_release",
      "standing",
    ]);
    expect(moments[20]?.kpa).toBe(75);
  });

  it.each(WIDTHS)("writes no name over another or out of a sheet of %i pixels", (width) => {
    const boxes = nameBoxes(width);
    expect(Math.max(...boxes.map(({ to }) => to))).toBeLessThanOrEqual(width + 0.01);
    for (const row of [0, 1]) {
      const own = boxes.filter((box) => box.row === row);
      for (const [index, box] of own.slice(1).entries()) {
        expect(box.from).toBeGreaterThan((own[index]?.to ?? 0) - 0.01);
      }
    }
  });

  it("marks steps of tenderness in order, never two in one place", () => {
    const { marks } = drawn(1000);
    expect(marks.map(({ step }) => step)).toEqual([0, 1, 2, 3, 4]);
    for (const [index, rung] of marks.entries()) {
      expect(rung.minutes).toBe(40 + 10 * index);
    }
    const small = drawn(360).marks;
    expect(small.length).toBeLessThan(5);
    for (const [index, rung] of small.slice(1).entries()) {
      expect(rung.x - (small[index]?.x ?? 0)).toBeGreaterThan(96);
    }
  });

  it("lays another cook on the same scale", () => {
    const longer = plan({ time_s: TIMES.map((time) => 2 * time) });
    const sheet = traceGeometry(plan(), 1000, "metric", NAMES, [longer]);
    expect(sheet.coreEnd.x).toBeLessThan(sheet.frame.right - 100);
    expect(sheet.others).toHaveLength(1);
    expect(sheet.others[0]?.core.startsWith(`M${sheet.frame.left} `)).toBe(true);
  });
});
