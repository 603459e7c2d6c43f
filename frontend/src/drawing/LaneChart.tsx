import type { DayOut } from "@/api/client";
import { barWords, laneSheet } from "@/drawing/lane-geometry";
import { TableHandle } from "@/drawing/TableHandle";
import { axisTime, clockTime } from "@/lib/clock";
import { say } from "@/text/say";

interface Props {
  day: DayOut;
  /** Ids of the dishes in the order of their letters. */
  dishes: string[];
  width: number;
  nameOf: (lane: string) => string;
  now: Date;
  /** When nobody has hands. */
  away: { begin: string; end: string }[];
  onTable: (moment: Date) => void;
}

const LEFT = 96;
const ROW = 22;
const HEAD = 26;

/** Lanes for hands, refrigerator, pots and heat, counted back from the table. */
export function LaneChart({ day, dishes, width, nameOf, now, away, onTable }: Props) {
  const sheet = laneSheet(day, width, LEFT);
  let below = HEAD;
  const tops = new Map<string, number>();
  for (const lane of sheet.lanes) {
    tops.set(lane.name, below);
    below += lane.rows * ROW + 8;
  }
  const { place, stretches, perMs } = sheet.axis;
  const clamp = (x: number) => Math.min(Math.max(x, LEFT), width);
  const table = place(Date.parse(day.table));
  const current = now.getTime();
  return (
    <svg
      width={width}
      height={below + 4}
      viewBox={`0 0 ${width} ${below + 4}`}
      aria-label={say("drawing-the-schedule-as-a-chart-the")}
      data-testid="lanes"
      className="block h-auto max-w-full"
    >
      {sheet.ticks.map((tick) => (
        <g key={tick.x}>
          <line x1={tick.x} x2={tick.x} y1={HEAD - 6} y2={below} stroke="var(--rule)" />
          <text x={tick.x + 3} y={14} fontSize="12" fill="var(--pencil)">
            {axisTime(tick.at)}
          </text>
        </g>
      ))}
      {sheet.lanes.map((lane) => (
        <g key={lane.name}>
          <line
            x1={0}
            x2={width}
            y1={(tops.get(lane.name) ?? 0) - 4}
            y2={(tops.get(lane.name) ?? 0) - 4}
            stroke="var(--rule)"
          />
          <text x={0} y={(tops.get(lane.name) ?? 0) + 14} fontSize="13" fill="var(--ink)">
            {nameOf(lane.name)}
          </text>
        </g>
      ))}
      {away.map((night) => (
        <rect
          key={night.begin}
          x={clamp(place(Date.parse(night.begin)))}
          y={(tops.get("hands") ?? HEAD) - 2}
          width={Math.max(
            clamp(place(Date.parse(night.end))) - clamp(place(Date.parse(night.begin))),
            0,
          )}
          height={(sheet.lanes.find((lane) => lane.name === "hands")?.rows ?? 0) * ROW}
          fill="var(--rule)"
          data-testid="night"
        >
          <title>{say("drawing-nobody-is-cooking")}</title>
        </rect>
      ))}
      {stretches
        .filter((stretch) => stretch.folded)
        .map((stretch) => (
          <g key={stretch.from} data-testid="fold">
            <title>
              {say("drawing-nothing-to-do-from-to", {
                value: clockTime(new Date(stretch.from)),
                value2: clockTime(new Date(stretch.to)),
              })}
            </title>
            <rect
              x={stretch.x}
              y={HEAD - 6}
              width={stretch.width}
              height={below - HEAD + 6}
              fill="var(--paper)"
            />
            {[0, stretch.width].map((by) => (
              <line
                key={by}
                x1={stretch.x + by}
                x2={stretch.x + by}
                y1={HEAD - 6}
                y2={below}
                stroke="var(--edge)"
                strokeDasharray="2 4"
              />
            ))}
            <text
              x={stretch.x + stretch.width / 2}
              y={14}
              fontSize="12"
              textAnchor="middle"
              fill="var(--pencil)"
            >
              {hoursOf(stretch)}
            </text>
          </g>
        ))}
      {sheet.bars.map((bar) => (
        <g key={bar.key} data-testid="bar" data-lane={bar.lane} data-x={bar.x}>
          <title>
            {say("drawing-to", {
              dish: bar.dish,
              title: bar.title,
              start: clockTime(bar.start),
              end: clockTime(bar.end),
            })}
          </title>
          <rect
            x={bar.x}
            y={(tops.get(bar.lane) ?? 0) + bar.row * ROW}
            width={bar.width}
            height={ROW - 4}
            fill={bar.lane.startsWith("pot") ? "var(--meat)" : "var(--sheet)"}
            stroke="var(--ink)"
            strokeWidth="1"
          />
        </g>
      ))}
      {sheet.curves.map((curve) => (
        <polyline
          key={curve.key}
          data-testid="lane-trace"
          points={curve.points
            .map(([x, share]) => `${x},${(tops.get(curve.lane) ?? 0) + (ROW - 4) * (1 - share)}`)
            .join(" ")}
          fill="none"
          stroke="var(--heat)"
          strokeWidth="1.5"
        />
      ))}
      {sheet.bars
        .filter((bar) => bar.width > 15)
        .map((bar) => (
          <text
            key={`words ${bar.key}`}
            data-testid="bar-words"
            data-dish={bar.dish}
            x={bar.x + 3}
            y={(tops.get(bar.lane) ?? 0) + bar.row * ROW + 13}
            fontSize="12"
            fill="var(--ink)"
            stroke={bar.lane.startsWith("pot") ? "var(--meat)" : "none"}
            strokeWidth="4"
            paintOrder="stroke"
            pointerEvents="none"
          >
            {barWords(letter(dishes.indexOf(bar.block.split(":")[0] ?? "")), bar.title, bar.width)}
          </text>
        ))}
      <TableHandle
        x={table}
        below={below}
        table={new Date(day.table)}
        perMs={perMs}
        onTable={onTable}
      />
      {current > sheet.from && current < sheet.to && (
        <g>
          <line
            x1={place(current)}
            x2={place(current)}
            y1={2}
            y2={below}
            stroke="var(--heat)"
            strokeWidth="1.5"
            strokeDasharray="4 3"
          />
          <text x={place(current) + 3} y={HEAD} fontSize="12" fill="var(--heat)">
            {say("drawing-now")}
          </text>
        </g>
      )}
    </svg>
  );
}

/** How long a folded stretch lasts: `20 h`. */
function hoursOf({ from, to }: { from: number; to: number }): string {
  return `${Math.round((to - from) / 3_600_000)}\u00a0h`;
}

/** Dishes go by letters, on the lanes as in the list. */
export function letter(index: number): string {
  return "ABCDEFGH"[index] ?? "";
}
