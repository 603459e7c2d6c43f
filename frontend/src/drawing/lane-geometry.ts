/** Where the stretches of a day stand on its lanes. Pure: times in, coordinates out. */

import type { DayOut } from "@/api/client";
import { type FoldAxis, foldAxis } from "@/drawing/fold-axis";

export interface Bar {
  key: string;
  block: string;
  dish: string;
  title: string;
  lane: string;
  x: number;
  width: number;
  /** Sub-line within the lane, for what runs side by side. */
  row: number;
  start: Date;
  end: Date;
}

/** The pressure of a run, drawn along its pot's lane: x, and height from 0 to 1. */
export interface Curve {
  key: string;
  lane: string;
  points: [number, number][];
}

export interface LaneSheet {
  lanes: { name: string; rows: number }[];
  bars: Bar[];
  curves: Curve[];
  ticks: { x: number; at: Date }[];
  from: number;
  to: number;
  axis: FoldAxis;
}

const HOUR = 3_600_000;
/** A tick needs so much room for its words. */
const TICK_PX = 52;
/** Work without hands, pot or heat: it stands on a lane of its own. */
const ELSEWHERE = "resting";

export function laneSheet(day: DayOut, width: number, left: number): LaneSheet {
  const first = Math.min(...day.blocks.map((block) => Date.parse(block.start)));
  const last = Math.max(...day.blocks.map((block) => Date.parse(block.end)));
  const from = Math.floor(first / HOUR) * HOUR;
  const to = Math.ceil(last / (HOUR / 2)) * (HOUR / 2);
  const axis = foldAxis(from, to, busyTimes(day), left, width);
  const at = axis.place;
  const bars: Bar[] = [];
  const busy = new Map<string, number[]>();
  for (const block of day.blocks) {
    let begin = Date.parse(block.start);
    block.segments.forEach((segment, index) => {
      const end = begin + 1000 * segment.likely_s;
      const lanes = segment.lanes.length > 0 ? segment.lanes : [ELSEWHERE];
      for (const lane of lanes) {
        bars.push({
          key: `${block.block_id} ${index} ${lane}`,
          block: block.block_id,
          dish: block.dish,
          title: segment.title,
          lane,
          x: at(begin),
          width: Math.max(at(end) - at(begin), 1),
          row: 0,
          start: new Date(begin),
          end: new Date(end),
        });
      }
      begin = end;
    });
  }
  bars.sort((one, other) => one.start.getTime() - other.start.getTime());
  for (const bar of bars) {
    bar.row = freeRow(busy, bar.lane, bar.start.getTime(), bar.end.getTime());
  }
  const names = inOrder(bars);
  const lanes = names.map((name) => ({ name, rows: busy.get(name)?.length ?? 1 }));
  return { lanes, bars, curves: curvesOf(day, at), ticks: ticksOf(axis), from, to, axis };
}

/** What is shown in full: all but what only lies in the refrigerator for hours. */
function busyTimes(day: DayOut): [number, number][] {
  return day.blocks.flatMap((block) => {
    let begin = Date.parse(block.start);
    return block.segments.flatMap((segment): [number, number][] => {
      const end = begin + 1000 * segment.likely_s;
      const idle = segment.lanes.every((lane) => lane === "fridge") && end - begin > 2 * HOUR;
      const busy: [number, number] = [begin, end];
      begin = end;
      return idle ? [] : [busy];
    });
  });
}

/** Full hours, where they have room. */
function ticksOf(axis: FoldAxis): { x: number; at: Date }[] {
  const step = [1, 2, 3, 6].find((hours) => hours * HOUR * axis.perMs >= TICK_PX) ?? 12;
  return axis.stretches
    .filter((stretch) => !stretch.folded)
    .flatMap((stretch) => {
      const first = Math.ceil(stretch.from / HOUR) * HOUR;
      const end = stretch.x + stretch.width;
      const count = Math.max(Math.floor((stretch.to - first) / (step * HOUR)) + 1, 0);
      return Array.from({ length: count }, (_, index) => {
        const at = first + index * step * HOUR;
        return { x: axis.place(at), at: new Date(at) };
      }).filter(({ x }) => stretch === axis.stretches.at(-1) || end - x >= TICK_PX);
    });
}

const FULL_PA = 110_000;

function curvesOf(day: DayOut, at: (time: number) => number): Curve[] {
  return day.blocks.flatMap((block) => {
    const begin = Date.parse(block.start);
    const lane = block.segments
      .flatMap((part) => part.lanes)
      .find((name) => name.startsWith("pot"));
    if (!lane || block.gauge.length < 2) return [];
    const points = block.gauge.map(([seconds = 0, pressure = 0]): [number, number] => [
      at(begin + 1000 * seconds),
      Math.min(pressure / FULL_PA, 1),
    ]);
    return [{ key: block.block_id, lane, points }];
  });
}

/** The first sub-line of a lane that is free; `busy` holds until when each is taken. */
function freeRow(busy: Map<string, number[]>, lane: string, begin: number, end: number): number {
  const rows = busy.get(lane) ?? [];
  const found = rows.findIndex((until) => until <= begin + 1);
  const row = found === -1 ? rows.length : found;
  rows[row] = end;
  busy.set(lane, rows);
  return row;
}

const ORDER = [
  "hands",
  "in_passing",
  "fridge",
  "pot",
  "oven",
  "grill",
  "air_fryer",
  "pan",
  ELSEWHERE,
];

/** Lanes by kind; of two cookers, whose ids are random, the one that is used first. */
function inOrder(bars: { lane: string; start: Date }[]): string[] {
  const first = new Map<string, number>();
  for (const { lane, start } of bars) {
    first.set(lane, Math.min(first.get(lane) ?? Infinity, start.getTime()));
  }
  const rank = (name: string) => ORDER.indexOf(name.split(":")[0] ?? name);
  const begins = (name: string) => first.get(name) ?? 0;
  return [...first.keys()].sort(
    (one, other) =>
      rank(one) - rank(other) || begins(one) - begins(other) || one.localeCompare(other),
  );
}

/** Width of a letter in a bar, about. */
const LETTER = 6.3;

/** What stands in a bar: the letter of its dish, and as many whole words as there is room for. */
export function barWords(letter: string, title: string, width: number): string {
  const room = Math.floor((width - 6) / LETTER) - letter.length - 1;
  if (title.length <= room) return `${letter} ${title}`;
  const cut = title.lastIndexOf(" ", room - 1);
  return cut < 5 ? letter : `${letter} ${title.slice(0, cut).replace(/[,;:]$/, "")}…`;
}
