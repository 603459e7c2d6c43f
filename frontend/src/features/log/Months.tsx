import type { CookLine } from "@/api/client";
import { monthAndYear } from "@/lib/clock";
import { say } from "@/text/say";

const WIDTH = 260;
const HEIGHT = 70;

/** Small charts over the sheets shown, the oldest first: yield, time to pressure, texture. */
export function Months({ cooks }: { cooks: CookLine[] }) {
  const inOrder = [...cooks].reverse();
  const times = inOrder.map((cook) => Date.parse(cook.started_at));
  const series = [
    {
      name: say("log-yield-of-raw-weight"),
      points: inOrder.map((cook) => (cook.yield_ratio === null ? null : 100 * cook.yield_ratio)),
    },
    {
      name: say("log-minutes-to-pressure"),
      points: inOrder.map((cook) => (cook.come_up_s === null ? null : cook.come_up_s / 60)),
    },
    {
      name: say("log-softer-than-wanted-in-steps"),
      points: inOrder.map((cook) =>
        cook.outcome_step === null ? null : cook.outcome_step - cook.wished_step,
      ),
    },
  ].filter((item) => item.points.filter((value) => value !== null).length >= 2);
  if (series.length === 0) return null;
  return (
    <section aria-label={say("log-by-month")} className="mt-4 flex flex-wrap gap-8">
      {series.map(({ name, points }) => (
        <Small key={name} name={name} times={times} points={points} />
      ))}
    </section>
  );
}

interface SmallProps {
  name: string;
  times: number[];
  points: (number | null)[];
}

function Small({ name, times, points }: SmallProps) {
  const known = points.flatMap((value, index) =>
    value === null ? [] : [{ value, at: times[index] ?? 0 }],
  );
  const values = known.map((point) => point.value);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const [from, to] = [Math.min(...times), Math.max(...times)];
  const x = (at: number) => 6 + ((at - from) / Math.max(to - from, 1)) * (WIDTH - 12);
  const y = (value: number) => 6 + (1 - (value - low) / Math.max(high - low, 1e-9)) * (HEIGHT - 12);
  const shown = (value: number) => value.toFixed(Math.abs(value) < 10 ? 1 : 0);
  return (
    <figure>
      <figcaption className="text-[0.875rem] text-pencil">
        {say("log-to", { name, low: shown(low), high: shown(high) })}
      </figcaption>
      <svg
        width={WIDTH}
        height={HEIGHT + MONTHS_PX}
        viewBox={`0 0 ${WIDTH} ${HEIGHT + MONTHS_PX}`}
        aria-hidden="true"
      >
        <line x1={0} x2={WIDTH} y1={HEIGHT - 1} y2={HEIGHT - 1} stroke="var(--rule)" />
        <text x={0} y={HEIGHT + 12} fontSize="11" fill="var(--pencil)">
          {monthAndYear(from)}
        </text>
        <text x={WIDTH} y={HEIGHT + 12} fontSize="11" fill="var(--pencil)" textAnchor="end">
          {monthAndYear(to)}
        </text>
        <polyline
          points={known.map(({ value, at }) => `${x(at)},${y(value)}`).join(" ")}
          fill="none"
          stroke="var(--pencil)"
        />
        {known.map(({ value, at }) => (
          <circle key={at} cx={x(at)} cy={y(value)} r={3} fill="var(--ink)" />
        ))}
      </svg>
    </figure>
  );
}

const MONTHS_PX = 16;
