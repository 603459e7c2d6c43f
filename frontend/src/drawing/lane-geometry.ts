/** Where the stretches of a day stand on its lanes. Pure: times in, coordinates out. */

import type { DayOut } from "@/api/client";

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
}

const HOUR = 3_600_000;
const WIDEST_HOURS = 14;
/** Work without hands, pot or heat: it stands on a lane of its own. */
const ELSEWHERE = "resting";

export function laneSheet(day: DayOut, width: number, left: number): LaneSheet {
  const table = Date.parse(day.table);
  const first = Math.min(...day.blocks.map((block) => Date.parse(block.start)));
  const last = Math.max(...day.blocks.map((block) => Date.parse(block.end)));
  // what lies days back is cut off on paper and stands in the list
  const from = Math.floor(Math.max(first, table - WIDEST_HOURS * HOUR) / HOUR) * HOUR;
  const to = Math.ceil(last / (HOUR / 2)) * (HOUR / 2);
  const scale = (width - left) / (to - from);
  const at = (time: number) => left + (Math.min(Math.max(time, from), to) - from) * scale;
  const bars: Bar[] = [];
  const busy = new Map<string, number[]>();
  for (const block of day.blocks) {
    let begin = Date.parse(block.start);
    block.segments.forEach((segment, index) => {
      const end = begin + 1000 * segment.likely_s;
      const lanes = segment.lanes.length > 0 ? segment.lanes : [ELSEWHERE];
      for (const lane of end > from ? lanes : []) {
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
  const names = [...new Set(bars.map((bar) => bar.lane))].sort(byOrder);
  const lanes = names.map((name) => ({ name, rows: busy.get(name)?.length ?? 1 }));
  const step = to - from > 8 * HOUR ? 2 * HOUR : HOUR;
  const ticks = [];
  for (let time = from; time <= to; time += step) ticks.push({ x: at(time), at: new Date(time) });
  return { lanes, bars, curves: curvesOf(day, at, from), ticks, from, to };
}

const FULL_PA = 110_000;

function curvesOf(day: DayOut, at: (time: number) => number, from: number): Curve[] {
  return day.blocks.flatMap((block) => {
    const begin = Date.parse(block.start);
    const lane = block.segments
      .flatMap((part) => part.lanes)
      .find((name) => name.startsWith("pot"));
    if (!lane || block.gauge.length < 2 || begin < from) return [];
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

const ORDER = ["hands", "fridge", "pot", "oven", "grill", "pan", ELSEWHERE];

function byOrder(one: string, other: string): number {
  const rank = (name: string) => ORDER.indexOf(name.split(":")[0] ?? name);
  return rank(one) - rank(other) || one.localeCompare(other);
}
