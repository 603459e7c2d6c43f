/** The pot in section, to scale: from what the core computed to rectangles. No drawing here. */

import type { PlanOut } from "@/api/client";

/** Drawing units per metre; one scale for all pots, so that a bigger pot looks bigger. */
export const SCALE = 1500;
export const VIEW = { width: 590, height: 322 };
const BASE_Y = 288;
export const CENTRE_X = 246;
const LABEL_GAP = 30;

export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

export interface PieceBox extends Box {
  kind: number;
}

export interface LevelLine {
  kind: "most" | "liquid" | "least";
  y: number;
  labelY: number;
}

export interface PotGeometry {
  vessel: Box;
  /** One box for each time the cut meets a piece; `kind` is its index among the pieces. */
  pieces: PieceBox[];
  unseen: number;
  liquid: Box;
  /** Vegetables between layers of meat. */
  beds: Box[];
  rackY: number | null;
  lines: LevelLine[];
  ruler: { y: number; label: string | null }[];
}

type Source = Pick<PlanOut, "pot" | "arrangement" | "liquid">;

export function heightToY(metres: number): number {
  return BASE_Y - metres * SCALE;
}

export function yToHeight(y: number): number {
  return (BASE_Y - y) / SCALE;
}

export function potGeometry(plan: Source, units: "metric" | "us"): PotGeometry {
  const { pot, arrangement, liquid } = plan;
  const width = pot.inner_diameter_m * SCALE;
  const left = CENTRE_X - width / 2;
  const box = (x: number, bottomM: number, w: number, heightM: number): Box => ({
    x,
    y: heightToY(bottomM + heightM),
    width: w,
    height: heightM * SCALE,
  });
  const pieces = arrangement.section.map((span) => {
    const placed = arrangement.placed[span.placed];
    const x = CENTRE_X + span.left_m * SCALE;
    const wide = (span.right_m - span.left_m) * SCALE;
    return {
      ...box(x, placed?.bottom_m ?? 0, wide, placed?.height_m ?? 0),
      kind: placed?.kind ?? 0,
    };
  });
  const seen = new Set(arrangement.section.map((span) => span.placed)).size;
  return {
    vessel: box(left, 0, width, pot.inner_height_m),
    pieces,
    unseen: arrangement.placed.length - seen,
    liquid: box(left, 0, width, liquid.level_m),
    beds: (arrangement.beds ?? []).map((bed) => box(left, bed.bottom_m, width, bed.height_m)),
    rackY: arrangement.rack_height_m > 0 ? heightToY(arrangement.rack_height_m) : null,
    lines: spread([
      { kind: "most", y: heightToY(pot.max_level_m), labelY: 0 },
      { kind: "liquid", y: heightToY(liquid.level_m), labelY: 0 },
      { kind: "least", y: heightToY(pot.min_level_m), labelY: 0 },
    ]),
    ruler: rulerMarks(pot.inner_height_m, units),
  };
}

/** Labels at least a line apart, the liquid's in place first. */
function spread(lines: LevelLine[]): LevelLine[] {
  const [most, liquid, least] = lines;
  if (!most || !liquid || !least) return lines;
  const middle = Math.min(liquid.y, BASE_Y - LABEL_GAP);
  return [
    { ...most, labelY: Math.min(most.y, middle - LABEL_GAP) },
    { ...liquid, labelY: middle },
    { ...least, labelY: Math.max(least.y, middle + LABEL_GAP) },
  ];
}

function rulerMarks(heightM: number, units: "metric" | "us"): PotGeometry["ruler"] {
  const step = units === "us" ? 0.0254 : 0.01;
  const every = units === "us" ? 1 : 5;
  const count = Math.floor(heightM / step + 1e-6);
  return Array.from({ length: count + 1 }, (_, index) => ({
    y: heightToY(index * step),
    label: index % every === 0 ? String(index) : null,
  }));
}

export interface TopGeometry {
  x: number;
  y: number;
  radius: number;
  sectionY: number;
  /** `under`: another layer lies on it. */
  pieces: { path: string; under: boolean }[];
}

/** From above: y up in the pot is up on the page. */
export function topGeometry(plan: Pick<PlanOut, "pot" | "arrangement">): TopGeometry {
  const scale = TOP_SCALE;
  const x = VIEW.width / 2;
  const y = VIEW.height / 2 - 4;
  const highest = Math.max(0, ...plan.arrangement.placed.map((item) => item.bottom_m));
  return {
    x,
    y,
    radius: (plan.pot.inner_diameter_m / 2) * scale,
    sectionY: y - plan.arrangement.section_m * scale,
    pieces: plan.arrangement.placed.map((item) => ({
      path: `M${item.outline_m.map(([px = 0, py = 0]) => `${round(x + px * scale)} ${round(y - py * scale)}`).join("L")}Z`,
      under: item.bottom_m < highest - 1e-6,
    })),
  };
}

const TOP_SCALE = 1220;

function round(value: number): number {
  return Math.round(value * 10) / 10;
}
