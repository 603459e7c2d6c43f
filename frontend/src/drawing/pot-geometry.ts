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

export interface LevelLine {
  kind: "most" | "liquid" | "least";
  y: number;
  labelY: number;
}

export interface PotGeometry {
  vessel: Box;
  pieces: Box[];
  unseen: number;
  liquid: Box;
  rackY: number | null;
  lines: LevelLine[];
  ruler: { y: number; label: string | null }[];
}

type Source = Pick<PlanOut, "pot" | "standing" | "liquid" | "pieces">;

export function heightToY(metres: number): number {
  return BASE_Y - metres * SCALE;
}

export function potGeometry(plan: Source, units: "metric" | "us"): PotGeometry {
  const { pot, standing, liquid } = plan;
  const width = pot.inner_diameter_m * SCALE;
  const left = CENTRE_X - width / 2;
  const box = (x: number, bottomM: number, w: number, heightM: number): Box => ({
    x,
    y: heightToY(bottomM + heightM),
    width: w,
    height: heightM * SCALE,
  });
  const { pieces, unseen } = standing.coiled
    ? coiledPieces(plan, left, width, box)
    : flatPieces(plan, left, width, box);
  return {
    vessel: box(left, 0, width, pot.inner_height_m),
    pieces,
    unseen,
    liquid: box(left, 0, width, liquid.level_m),
    rackY: standing.rack_height_m > 0 ? heightToY(standing.rack_height_m) : null,
    lines: spread([
      { kind: "most", y: heightToY(pot.max_level_m), labelY: 0 },
      { kind: "liquid", y: heightToY(liquid.level_m), labelY: 0 },
      { kind: "least", y: heightToY(pot.min_level_m), labelY: 0 },
    ]),
    ruler: rulerMarks(pot.inner_height_m, units),
  };
}

type MakeBox = (x: number, bottomM: number, width: number, heightM: number) => Box;
interface Placed {
  pieces: Box[];
  unseen: number;
}

/** As many as fit across the middle; the others lie behind them. */
function flatPieces(plan: Source, left: number, width: number, box: MakeBox): Placed {
  const piece = plan.pieces[0];
  if (!piece) return { pieces: [], unseen: 0 };
  const side = Math.min(
    piece.count === 1 ? piece.length_m : piece.width_m,
    plan.pot.inner_diameter_m,
  );
  const across = Math.max(1, Math.floor((plan.pot.inner_diameter_m * 1.02) / side));
  const seen = Math.min(piece.count, across);
  const pieceWidth = Math.min(side * SCALE, width / seen - 2);
  const gap = (width - seen * pieceWidth) / (seen + 1);
  const pieces = Array.from({ length: seen }, (_, index) =>
    box(
      left + gap + index * (pieceWidth + gap),
      plan.standing.rack_height_m,
      pieceWidth,
      piece.thickness_m,
    ),
  );
  return { pieces, unseen: piece.count - seen };
}

/** A coil cut through the middle: one bar a turn on each side, from the wall inwards. */
function coiledPieces(plan: Source, left: number, width: number, box: MakeBox): Placed {
  const piece = plan.pieces[0];
  if (!piece) return { pieces: [], unseen: 0 };
  const around = Math.PI * (plan.pot.inner_diameter_m - piece.thickness_m);
  const turns = Math.max(1, Math.min(3, Math.ceil((piece.count * piece.length_m) / around)));
  const bar = piece.thickness_m * SCALE;
  const bars: Box[] = [];
  for (let turn = 0; turn < turns; turn += 1) {
    const inset = 4 + turn * (bar + 4);
    bars.push(box(left + inset, plan.standing.rack_height_m, bar, piece.width_m));
    bars.push(box(left + width - inset - bar, plan.standing.rack_height_m, bar, piece.width_m));
  }
  return { pieces: bars, unseen: 0 };
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
