import { describe, expect, it } from "vitest";
import type { PlanOut } from "@/api/client";
import { heightToY, potGeometry, topGeometry, VIEW, yToHeight } from "@/drawing/pot-geometry";

type Source = Pick<PlanOut, "pot" | "arrangement" | "liquid">;

const SHOWN = { metric: "", us: "" };
const square = (x: number, y: number, half: number) => [
  [x - half, y - half],
  [x + half, y - half],
  [x + half, y + half],
  [x - half, y + half],
];

const PLAN: Source = {
  pot: {
    name: "Tenor",
    usable_volume_m3: 0.0057,
    inner_diameter_m: 0.22,
    inner_height_m: 0.15,
    heater_w: 1000,
    min_liquid_m3: 0.00024,
    min_level_m: 0.006,
    max_fill_ratio: 0.67,
    max_level_m: 0.1,
    gauge_high_pa: 75_000,
    gauge_low_pa: 40_000,
    longest_hold_min: 240,
    heat_ratio: 1,
    panel_step_min: 1,
    has_start_key: false,
    has_crisping_lid: false,
    is_stovetop: false,
    min_liquid_shown: SHOWN,
    max_volume_shown: SHOWN,
    inner_diameter_shown: SHOWN,
    inner_height_shown: SHOWN,
  },
  arrangement: {
    coiled: false,
    kind: "layered",
    tight: false,
    rack_height_m: 0,
    rack_inset_m: 0,
    meat_height_m: 0.11,
    layers: 1,
    beds: [{ bottom_m: 0.04, height_m: 0.03 }],
    placed: [
      { kind: 0, outline_m: square(0, 0, 0.05), bottom_m: 0, height_m: 0.04 },
      { kind: 0, outline_m: square(0, 0, 0.05), bottom_m: 0.07, height_m: 0.04 },
    ],
    section_m: 0.01,
    section: [
      { placed: 0, left_m: -0.05, right_m: 0.05 },
      { placed: 1, left_m: -0.05, right_m: 0.05 },
    ],
  },
  liquid: {
    volume_m3: 0.0004,
    sauce_m3: 0,
    bed_m3: 0,
    max_volume_m3: 0.0038,
    usual_volume_m3: 0.0004,
    lowest_m3: 0.0002,
    highest_m3: 0.001,
    level_m: 0.03,
    fill_ratio: 0.4,
    solids_m3: 0.001,
    shown: SHOWN,
    usual_shown: SHOWN,
    marks_metric: [],
    marks_us: [],
    lowest_shown: SHOWN,
    highest_shown: SHOWN,
    level_shown: SHOWN,
  },
};

describe("the cooker cut through", () => {
  const shape = potGeometry(PLAN, "metric");

  it("is to scale: everything stands inside the wall", () => {
    const right = shape.vessel.x + shape.vessel.width;
    const bottom = shape.vessel.y + shape.vessel.height;
    for (const box of [...shape.pieces, ...shape.beds, shape.liquid]) {
      expect(box.x).toBeGreaterThanOrEqual(shape.vessel.x - 1e-6);
      expect(box.x + box.width).toBeLessThanOrEqual(right + 1e-6);
      expect(box.y + box.height).toBeLessThanOrEqual(bottom + 1e-6);
    }
    // 22 cm wide and 15 cm high
    expect(shape.vessel.width / shape.vessel.height).toBeCloseTo(22 / 15);
  });

  it("has the vegetables between the layers", () => {
    const [lower, upper] = shape.pieces;
    const [bed] = shape.beds;
    expect(bed?.y).toBeCloseTo((upper?.y ?? 0) + (upper?.height ?? 0));
    expect((bed?.y ?? 0) + (bed?.height ?? 0)).toBeCloseTo(lower?.y ?? 0);
  });

  it("turns heights into places and back", () => {
    for (const metres of [0, 0.03, 0.15]) expect(yToHeight(heightToY(metres))).toBeCloseTo(metres);
    expect(heightToY(0.1)).toBeLessThan(heightToY(0.05));
  });

  it("keeps labels of lines a line apart", () => {
    const near = { ...PLAN.liquid, level_m: 0.0065 };
    const places = potGeometry({ ...PLAN, liquid: near }, "us").lines.map((one) => one.labelY);
    places.sort((a, b) => a - b);
    places.slice(1).forEach((y, index) => {
      expect(y - (places[index] ?? 0)).toBeGreaterThan(12);
    });
  });

  it("has a ruler in the units of the household", () => {
    expect(shape.ruler.filter((mark) => mark.label !== null)).toHaveLength(4);
    expect(potGeometry(PLAN, "us").ruler).toHaveLength(6);
  });
});

describe("the cooker from above", () => {
  it("marks what lies under another layer", () => {
    const seen = topGeometry(PLAN);
    expect(seen.pieces.map((piece) => piece.under)).toEqual([true, false]);
    expect(seen.x).toBe(VIEW.width / 2);
    expect(seen.sectionY).toBeLessThan(seen.y);
  });
});
