import type { ReactNode } from "react";

interface Props {
  width: number;
  height: number;
  /** Seconds from edge to edge. */
  span: number;
  label: string;
  children: (sheet: Sheet) => ReactNode;
}

/** How a sheet draws a curve of [seconds, Pa]. */
export interface Sheet {
  points: (curve: number[][]) => string;
}

const LEFT = 34;
const FOOT = 22;
const FULL_PA = 110_000;
const RULES_PA = [0, 25_000, 50_000, 75_000, 100_000];

/** Ruled paper for pressure over time: kPa at the left, hours along. */
export function RuledSheet({ width, height, span, label, children }: Props) {
  const x = (seconds: number) => LEFT + (seconds / span) * (width - LEFT - 4);
  const y = (gauge: number) => (height - FOOT) * (1 - Math.min(gauge / FULL_PA, 1));
  const points = (curve: number[][]) =>
    curve.map(([at = 0, gauge = 0]) => `${x(at).toFixed(1)},${y(gauge).toFixed(1)}`).join(" ");
  const step = span > 2 * 3600 ? 1800 : 900;
  const ticks = Array.from({ length: Math.floor(span / step) + 1 }, (_, index) => index * step);
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={label}
      className="block h-auto max-w-full"
    >
      {RULES_PA.map((gauge) => (
        <g key={gauge}>
          <line x1={LEFT} x2={width} y1={y(gauge)} y2={y(gauge)} stroke="var(--rule)" />
          <text x={0} y={Math.max(y(gauge) + 4, 10)} fontSize="11" fill="var(--pencil)">
            {gauge / 1000}
          </text>
        </g>
      ))}
      {ticks.map((tick) => (
        <g key={tick}>
          <line x1={x(tick)} x2={x(tick)} y1={0} y2={height - FOOT} stroke="var(--rule)" />
          <text x={x(tick) + 2} y={height - 6} fontSize="11" fill="var(--pencil)">
            {Math.floor(tick / 3600)}:{String(Math.round((tick % 3600) / 60)).padStart(2, "0")}
          </text>
        </g>
      ))}
      {children({ points })}
    </svg>
  );
}

/** From the start to the last point of any curve, an hour at the least. */
export function spanOf(curves: number[][][]): number {
  return Math.max(3600, ...curves.map((curve) => curve.at(-1)?.[0] ?? 0));
}
