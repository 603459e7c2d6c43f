import { memo } from "react";
import type { PlanOut, Texture } from "@/api/client";
import { TraceReader } from "@/drawing/TraceReader";
import {
  isNarrow,
  type PhaseMark,
  phasesThrough,
  SHEET_HEIGHT,
  type TraceGeometry,
  traceGeometry,
} from "@/drawing/trace-geometry";
import { spokenTime, temperatureText } from "@/lib/format";
import { PHASE_WORDS, TEXTURES, tendernessOf } from "@/lib/words";
import { say } from "@/text/say";

interface Props {
  plan: PlanOut;
  width: number;
  units: "metric" | "us";
  /** Other plans laid over this one, each with the words that stand at its end. */
  others?: { name: string; plan: PlanOut }[];
}

/** The planned cook, pencilled on a recorder's chart. */
export const TraceChart = memo(function TraceChart({ plan, width, units, others = [] }: Props) {
  const over = others.map((other) => other.plan);
  const sheet = traceGeometry(plan, width, units, (kind) => PHASE_WORDS[kind].name, over);
  return (
    <svg
      width={width}
      height={SHEET_HEIGHT}
      aria-label={describe(plan, units)}
      data-testid="trace"
      className="block"
    >
      <defs>
        <pattern id="soften" width="7" height="7" patternUnits="userSpaceOnUse">
          <path d="M0 7 L7 0" stroke="var(--heat)" strokeWidth="0.8" opacity="0.45" />
        </pattern>
      </defs>
      <Paper sheet={sheet} />
      <path d={sheet.softening} fill="url(#soften)" />
      <path d={sheet.gauge} fill="none" stroke="var(--pencil)" strokeWidth="2.5" />
      <path
        d={sheet.core}
        fill="none"
        stroke="var(--heat)"
        strokeWidth="2.5"
        strokeDasharray="8 4"
      />
      <Marks sheet={sheet} reached={firmest(plan)} cut={plan.pieces[0]?.cut} />
      {sheet.phases.map((phase) => (
        <Phase
          key={phase.x}
          phase={phase}
          unit={isNarrow(sheet.width) ? "" : ` ${say("drawing-min-2")}`}
        />
      ))}
      {sheet.openXs.map((x) => (
        <line
          key={x}
          x1={x}
          x2={x}
          y1={sheet.frame.top}
          y2={sheet.frame.bottom}
          stroke="var(--ink)"
          strokeDasharray="3 3"
        />
      ))}
      {sheet.others.map((line, index) => (
        <g key={others[index]?.name} data-testid="trace-other" opacity="0.9">
          <path d={line.gauge} fill="none" stroke="var(--ink)" strokeDasharray={DASHES[index]} />
          <path d={line.core} fill="none" stroke="var(--heat)" strokeDasharray={DASHES[index]} />
        </g>
      ))}
      <Legend sheet={sheet} units={units} />
      <TraceReader sheet={sheet} units={units} cut={plan.pieces[0]?.cut} />
    </svg>
  );
});

const DASHES = ["7 4", "2 3", "9 3 2 3", "4 4"];

function describe(plan: PlanOut, units: "metric" | "us"): string {
  const phases = phasesThrough(plan).map(
    (phase) =>
      `${say("drawing-center-then", { name: PHASE_WORDS[phase.kind].name, duration_s: spokenTime(phase.duration_s / 60) })} ` +
      temperatureText(phase.core_temp_c, units),
  );
  return say("drawing-the-planned-cook", { join: phases.join("; ") });
}

function Paper({ sheet }: { sheet: TraceGeometry }) {
  const { left, right, bottom } = sheet.frame;
  return (
    <g stroke="var(--rule)" fill="var(--pencil)" fontSize="12">
      {sheet.arcs.map(({ x, path, label }) => (
        <g key={x}>
          <path d={path} fill="none" />
          <text x={x} y={bottom + 17} textAnchor="middle" stroke="none">
            {label}
          </text>
        </g>
      ))}
      {sheet.gaugeTicks.map(({ y, label }) => (
        <g key={y}>
          <line x1={left} x2={right} y1={y} y2={y} />
          <text x={left - 8} y={y + 4} textAnchor="end" stroke="none">
            {label}
          </text>
        </g>
      ))}
      {sheet.coreTicks.map(({ y, label }) => (
        <g key={y}>
          <line x1={right} x2={right + 5} y1={y} y2={y} stroke="var(--heat)" />
          <text x={right + 8} y={y + 4} stroke="none" fill="var(--heat)">
            {label}
          </text>
        </g>
      ))}
    </g>
  );
}

function Phase({ phase, unit }: { phase: PhaseMark; unit: string }) {
  const y = phase.row === 0 ? 15 : 31;
  const strong = phase.kind === "hold";
  return (
    <g data-testid="phase">
      <line
        x1={phase.x + 1}
        x2={phase.x + Math.max(phase.width - 1, 2)}
        y1={40}
        y2={40}
        stroke="var(--ink)"
        strokeWidth={strong ? 4 : 2}
      />
      <text
        x={phase.labelX}
        y={y}
        textAnchor="middle"
        fontSize="13"
        fill="var(--ink)"
        fontWeight={strong ? 700 : 400}
      >
        {PHASE_WORDS[phase.kind].name} {Math.max(1, Math.round(phase.minutes))}
        {unit}
      </text>
    </g>
  );
}

/** Of unlike pieces the trace is that of the slowest. */
function firmest({ pieces }: PlanOut): Texture {
  const slowest = pieces.reduce<PlanOut["pieces"][number] | null>(
    (found, piece) => (found && found.tenderness_step <= piece.tenderness_step ? found : piece),
    null,
  );
  return slowest?.texture_reached ?? "tender";
}

const LETTER_PIXELS = 7.2;

/** Steps with their words where these have room: on the sheet, and apart from the one before. */
function roomyMarks(sheet: TraceGeometry, cut: string | undefined) {
  let taken = sheet.frame.left;
  return sheet.marks.map((mark) => {
    const words = tendernessOf(TEXTURES[mark.step] ?? "tender", cut);
    const half = (words.length * LETTER_PIXELS) / 2;
    const labelX = Math.min(Math.max(mark.x, taken + half), sheet.frame.right - half - 6);
    const fits = labelX - half >= taken && Math.abs(labelX - mark.x) <= half;
    if (fits) taken = labelX + half + 8;
    return { ...mark, labelX, words: fits ? words : "" };
  });
}

function Marks({
  sheet,
  reached,
  cut,
}: {
  sheet: TraceGeometry;
  reached: Texture;
  cut: string | undefined;
}) {
  const halo = { stroke: "var(--paper)", strokeWidth: 4, paintOrder: "stroke" } as const;
  return (
    <g fill="var(--heat)" fontSize="13">
      {roomyMarks(sheet, cut).map(({ step, x, y, words, labelX }) => (
        <g key={step}>
          <circle cx={x} cy={y} r="3.5" fill="var(--paper)" stroke="var(--heat)" strokeWidth="2" />
          {words && (
            <text x={labelX} y={y + 19} textAnchor="middle" {...halo}>
              {words}
            </text>
          )}
        </g>
      ))}
      {sheet.softeningX !== null && (
        <text {...softeningPlace(sheet, sheet.softeningX)} y={sheet.frame.bottom - 9} {...halo}>
          {say("drawing-tenderness")}{" "}
          <tspan fontWeight="700" data-testid="reached">
            {tendernessOf(reached, cut)}
          </tspan>
        </text>
      )}
    </g>
  );
}

const SOFTENING_PIXELS = 245;

/** From where softening begins, or up to the end of the sheet where that leaves no room. */
function softeningPlace(sheet: TraceGeometry, from: number) {
  const fits = from + 10 + SOFTENING_PIXELS <= sheet.frame.right;
  return fits
    ? ({ x: from + 10, textAnchor: "start" } as const)
    : ({ x: sheet.frame.right - 4, textAnchor: "end" } as const);
}

function Legend({ sheet, units }: { sheet: TraceGeometry; units: "metric" | "us" }) {
  const y = SHEET_HEIGHT - 6;
  return (
    <g fontSize="12.5">
      <line
        x1={sheet.frame.left}
        x2={sheet.frame.left + 22}
        y1={y - 4}
        y2={y - 4}
        stroke="var(--pencil)"
        strokeWidth="2.4"
      />
      <text x={sheet.frame.left + 28} y={y} fill="var(--pencil)">
        {say("drawing-pressure", {
          units: units === "us" ? say("drawing-psi") : say("drawing-kpa"),
        })}
      </text>
      <line
        x1={sheet.frame.left + 130}
        x2={sheet.frame.left + 152}
        y1={y - 4}
        y2={y - 4}
        stroke="var(--heat)"
        strokeWidth="2.4"
      />
      <text x={sheet.frame.left + 158} y={y} fill="var(--heat)">
        {say("drawing-center-of-the-meat")}
      </text>
      {!isNarrow(sheet.width) && (
        <text x={sheet.frame.right} y={y} textAnchor="end" fill="var(--pencil)">
          {say("drawing-hours-after-the-lid-goes-on")}
        </text>
      )}
    </g>
  );
}
