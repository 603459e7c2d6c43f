import type { CookOut } from "@/api/client";

interface Props {
  one: CookOut;
  other: CookOut;
  width: number;
}

const HEIGHT = 240;
const FOOT = 22;
const LEFT = 34;
const FULL_PA = 110_000;

/** Two cooks on one ruled sheet: the first drawn through, the second broken. Ink where there is any,
 * pencil where a cook was not followed. */
export function TwoTraces({ one, other, width }: Props) {
  const lines = [one, other].map((cook) => (cook.ink.length > 1 ? cook.ink : cook.pencil));
  const span = Math.max(...lines.map((points) => points.at(-1)?.[0] ?? 0), 3600);
  const x = (seconds: number) => LEFT + (seconds / span) * (width - LEFT - 4);
  const y = (gauge: number) => (HEIGHT - FOOT) * (1 - Math.min(gauge / FULL_PA, 1));
  const hours = Array.from({ length: Math.floor(span / 1800) + 1 }, (_, index) => index * 1800);
  return (
    <svg
      width={width}
      height={HEIGHT}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={`pressure of ${one.name} and of ${other.name}`}
      className="block h-auto max-w-full"
    >
      {hours.map((tick) => (
        <g key={tick}>
          <line x1={x(tick)} x2={x(tick)} y1={0} y2={HEIGHT - FOOT} stroke="var(--rule)" />
          <text x={x(tick) + 2} y={HEIGHT - 6} fontSize="11" fill="var(--pencil)">
            {Math.floor(tick / 3600)}:{String((tick % 3600) / 60).padStart(2, "0")}
          </text>
        </g>
      ))}
      {[0, 25_000, 50_000, 75_000, 100_000].map((gauge) => (
        <g key={gauge}>
          <line x1={LEFT} x2={width} y1={y(gauge)} y2={y(gauge)} stroke="var(--rule)" />
          <text x={0} y={Math.max(y(gauge) + 4, 10)} fontSize="11" fill="var(--pencil)">
            {gauge / 1000}
          </text>
        </g>
      ))}
      {lines.map((points, index) => (
        <polyline
          key={index === 0 ? "first" : "second"}
          points={points.map(([at = 0, gauge = 0]) => `${x(at)},${y(gauge)}`).join(" ")}
          fill="none"
          stroke={index === 0 ? "var(--ink)" : "var(--heat)"}
          strokeWidth="2"
          strokeDasharray={index === 0 ? undefined : "7 4"}
          data-testid="laid"
        />
      ))}
    </svg>
  );
}
