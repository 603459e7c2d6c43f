/** A time axis that folds the long stretches in which nothing is done: nights, and days in the
 * refrigerator. Pure: times in milliseconds, coordinates out. */

export interface Stretch {
  from: number;
  to: number;
  x: number;
  width: number;
  folded: boolean;
}

export interface FoldAxis {
  stretches: Stretch[];
  place: (time: number) => number;
  /** Pixels a millisecond, where it is not folded. */
  perMs: number;
}

const HOUR = 3_600_000;
/** Idle for longer is folded. */
const FOLD_AFTER = 3 * HOUR;
/** A folded stretch, whatever it lasts. */
export const FOLD_PX = 34;
/** Shown on both sides of what is done. */
const MARGIN = HOUR / 4;

/** Lays the axis from `left` to `right`; `busy` are times from and to in which something is done. */
export function foldAxis(
  from: number,
  to: number,
  busy: [number, number][],
  left: number,
  right: number,
): FoldAxis {
  const parts = partsOf(from, to, busy);
  const folds = parts.filter((part) => part.folded).length;
  const open = parts.reduce((sum, part) => sum + (part.folded ? 0 : part.to - part.from), 0);
  const perMs = (right - left - FOLD_PX * folds) / Math.max(open, 1);
  let x = left;
  const stretches = parts.map((part) => {
    const width = part.folded ? FOLD_PX : (part.to - part.from) * perMs;
    const stretch = { ...part, x, width };
    x += width;
    return stretch;
  });
  const place = (time: number) => {
    const within = Math.min(Math.max(time, from), to);
    const found = stretches.find((stretch) => within <= stretch.to);
    if (!found) return right;
    return found.x + (found.width * (within - found.from)) / Math.max(found.to - found.from, 1);
  };
  return { stretches, place, perMs };
}

function partsOf(from: number, to: number, busy: [number, number][]) {
  const parts: { from: number; to: number; folded: boolean }[] = [];
  let open = from;
  let until = from;
  for (const [begin, end] of [...busy].sort((one, other) => one[0] - other[0])) {
    if (begin - until > FOLD_AFTER) {
      parts.push({ from: open, to: until + MARGIN, folded: false });
      parts.push({ from: until + MARGIN, to: begin - MARGIN, folded: true });
      open = begin - MARGIN;
    }
    until = Math.max(until, end);
  }
  parts.push({ from: open, to, folded: false });
  return parts;
}
