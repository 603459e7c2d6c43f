import type { ReactNode } from "react";
import { hoursMinutes } from "@/lib/format";
import { say } from "@/text/say";

interface Props {
  width: number;
  height: number;
  /** Seconds from edge to edge. */
  span: number;
  label: string;
  scale: Scale;
  children: (sheet: Sheet) => ReactNode;
}

/** What goes up: from foot to top, its rules, and the room their words take. */
export interface Scale {
  foot: number;
  top: number;
  rules: { at: number; words: string }[];
  left: number;
}

/** How a sheet draws a curve of [seconds, value]. */
export interface Sheet {
  points: (curve: number[][]) => string;
  y: (value: number) => number;
}

const FOOT = 22;
/** Room that the hours of a tick take. */
const TICK_WORDS = 28;
const PA_PER_PSI = 6894.757;

/** Gauge pressure [Pa] with rules on round values of the units in use. */
export function pressureScale(units: "metric" | "us"): Scale {
  const rules =
    units === "us"
      ? [0, 4, 8, 12].map((psi) => ({
          at: PA_PER_PSI * psi,
          words: psi ? String(psi) : say("drawing-0-psi"),
        }))
      : [0, 25, 50, 75, 100].map((kpa) => ({
          at: 1000 * kpa,
          words: kpa ? String(kpa) : say("drawing-0-kpa"),
        }));
  return { foot: 0, top: 110_000, rules, left: 38 };
}

/** Ruled paper over time, hours along. */
export function RuledSheet({ width, height, span, label, scale, children }: Props) {
  const { foot, top, rules, left } = scale;
  const x = (seconds: number) => left + (seconds / span) * (width - left - 4);
  const share = (value: number) => Math.min(Math.max((value - foot) / (top - foot), 0), 1);
  const y = (value: number) => (height - FOOT) * (1 - share(value));
  const points = (curve: number[][]) =>
    curve.map(([at = 0, value = 0]) => `${x(at).toFixed(1)},${y(value).toFixed(1)}`).join(" ");
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
      {rules.map(({ at, words }) => (
        <g key={words}>
          <line x1={left} x2={width} y1={y(at)} y2={y(at)} stroke="var(--rule)" />
          <text x={0} y={Math.max(y(at) + 4, 10)} fontSize="11" fill="var(--pencil)">
            {words}
          </text>
        </g>
      ))}
      {ticks.map((tick) => (
        <g key={tick}>
          <line x1={x(tick)} x2={x(tick)} y1={0} y2={height - FOOT} stroke="var(--rule)" />
          <text
            x={x(tick) + 2}
            y={height - 6}
            fontSize="11"
            fill="var(--pencil)"
            visibility={x(tick) > width - TICK_WORDS ? "hidden" : undefined}
          >
            {hoursMinutes(tick / 60)}
          </text>
        </g>
      ))}
      {children({ points, y })}
    </svg>
  );
}

/** From the start to the last point of any curve, an hour at the least. */
export function spanOf(curves: number[][][]): number {
  return Math.max(3600, ...curves.map((curve) => curve.at(-1)?.[0] ?? 0));
}
