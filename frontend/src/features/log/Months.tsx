import type { CookLine } from "@/api/client";

const WIDTH = 260;
const HEIGHT = 70;

/** Small charts over the sheets shown, the oldest first: yield, time to pressure, texture. */
export function Months({ cooks }: { cooks: CookLine[] }) {
  const inOrder = [...cooks].reverse();
  const series = [
    {
      name: "yield, % of the raw weight",
      points: inOrder.map((cook) => (cook.yield_ratio === null ? null : 100 * cook.yield_ratio)),
    },
    {
      name: "minutes to pressure",
      points: inOrder.map((cook) => (cook.come_up_s === null ? null : cook.come_up_s / 60)),
    },
    {
      name: "softer than wished, in rungs",
      points: inOrder.map((cook) =>
        cook.outcome_step === null ? null : cook.outcome_step - cook.wished_step,
      ),
    },
  ].filter((item) => item.points.filter((value) => value !== null).length >= 2);
  if (series.length === 0) return null;
  return (
    <section aria-label="over the months" className="mt-4 flex flex-wrap gap-8">
      {series.map(({ name, points }) => (
        <Small key={name} name={name} points={points} />
      ))}
    </section>
  );
}

function Small({ name, points }: { name: string; points: (number | null)[] }) {
  const known = points.flatMap((value, index) => (value === null ? [] : [{ value, index }]));
  const low = Math.min(...known.map((point) => point.value));
  const high = Math.max(...known.map((point) => point.value));
  const x = (index: number) => 6 + (index / Math.max(points.length - 1, 1)) * (WIDTH - 12);
  const y = (value: number) => 6 + (1 - (value - low) / Math.max(high - low, 1e-9)) * (HEIGHT - 12);
  const shown = (value: number) => value.toFixed(Math.abs(value) < 10 ? 1 : 0);
  return (
    <figure>
      <figcaption className="text-[14px] text-pencil">
        {name}: {shown(low)} to {shown(high)}
      </figcaption>
      <svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden="true">
        <line x1={0} x2={WIDTH} y1={HEIGHT - 1} y2={HEIGHT - 1} stroke="var(--rule)" />
        <polyline
          points={known.map(({ value, index }) => `${x(index)},${y(value)}`).join(" ")}
          fill="none"
          stroke="var(--pencil)"
        />
        {known.map(({ value, index }) => (
          <circle key={index} cx={x(index)} cy={y(value)} r={3} fill="var(--ink)" />
        ))}
      </svg>
    </figure>
  );
}
