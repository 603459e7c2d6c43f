import type { CookOut } from "@/api/client";

interface Props {
  cook: CookOut;
  width: number;
  height?: number;
}

const LEFT = 34;
const FOOT = 22;
const FULL_PA = 110_000;

/** What was planned in pencil, what happened in ink, on one ruled sheet. */
export function InkTrace({ cook, width, height = 190 }: Props) {
  const last = (points: number[][]) => points.at(-1)?.[0] ?? 0;
  const span = Math.max(last(cook.pencil), last(cook.ink), 3600);
  const x = (seconds: number) => LEFT + (seconds / span) * (width - LEFT - 4);
  const y = (gauge: number) => (height - FOOT) * (1 - Math.min(gauge / FULL_PA, 1));
  const line = (points: number[][]) =>
    points.map(([at = 0, gauge = 0]) => `${x(at).toFixed(1)},${y(gauge).toFixed(1)}`).join(" ");
  const step = span > 2 * 3600 ? 1800 : 900;
  const ticks = Array.from({ length: Math.floor(span / step) + 1 }, (_, index) => index * step);
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`pressure: planned in pencil, ${cook.ink.length > 0 ? "so far in ink" : "no ink yet"}`}
      className="block h-auto max-w-full"
    >
      {[0, 25_000, 50_000, 75_000, 100_000].map((gauge) => (
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
      <polyline
        points={line(cook.pencil)}
        fill="none"
        stroke="var(--pencil)"
        strokeWidth="1.5"
        strokeDasharray="5 4"
        data-testid="pencil"
      />
      {cook.ink.length > 1 && (
        <polyline
          points={line(cook.ink)}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2.5"
          data-testid="ink"
        />
      )}
    </svg>
  );
}
