import { memo } from "react";
import type { PlanOut } from "@/api/client";
import { LiquidHandle } from "@/drawing/LiquidHandle";
import {
  type Box,
  CENTRE_X,
  heightToY,
  type PotGeometry,
  potGeometry,
  VIEW,
} from "@/drawing/pot-geometry";
import { LYING_WORDS } from "@/lib/words";
import { say } from "@/text/say";

interface Props {
  plan: PlanOut;
  units: "metric" | "us";
  /** Enlarges the writing where the drawing is shrunk, so that it stays readable. */
  enlarge: number;
  /** Dragging the liquid line; without it the line stands still. */
  onPour?: (typed: string, how: "drag" | "set") => void;
}

/** The pot in section, to scale, with what is in it. */
export const PotSection = memo(function PotSection({ plan, units, enlarge, onPour }: Props) {
  const shape = potGeometry(plan, units);
  const { pot, liquid } = plan;
  const labels = {
    most: {
      big: say("drawing-max", { max_volume: pot.max_volume_shown[units] }),
      small: say("drawing-fill-line-with-meat"),
    },
    liquid: {
      big: liquid.shown[units],
      small: say("drawing-high", { level: liquid.level_shown[units] }),
    },
    least: {
      big: say("drawing-min", { lowest: liquid.lowest_shown[units] }),
      small: say("drawing-thin-liquid"),
    },
  };
  return (
    <svg
      viewBox={`0 0 ${VIEW.width} ${VIEW.height}`}
      className="h-full w-full"
      role={onPour ? undefined : "img"}
      aria-label={describe(plan, units)}
      data-testid="pot-section"
    >
      <defs>
        <pattern id="grain" width="9" height="9" patternUnits="userSpaceOnUse">
          <path d="M0 8 L9 5" stroke="var(--heat)" strokeWidth="0.8" opacity="0.55" />
        </pattern>
        <pattern id="wave" width="14" height="8" patternUnits="userSpaceOnUse">
          <path d="M0 4 q3.5 -3 7 0 t7 0" fill="none" stroke="var(--pencil)" opacity="0.35" />
        </pattern>
      </defs>
      <Ruler shape={shape} unit={units === "us" ? "in" : "cm"} enlarge={enlarge} />
      <Liquid box={shape.liquid} />
      {shape.beds.map((bed) => (
        <Bed key={bed.y} box={bed} />
      ))}
      {shape.rackY !== null && (
        <Rack kind={plan.setting.rack} vessel={shape.vessel} y={shape.rackY} />
      )}
      {shape.pieces.map((box) => (
        <Meat
          key={`${box.x} ${box.y}`}
          box={box}
          coiled={plan.arrangement.coiled}
          bone={plan.pieces[box.kind]?.bone}
        />
      ))}
      <Surface box={shape.liquid} />
      <Vessel box={shape.vessel} />
      <Lines shape={shape} labels={labels} enlarge={enlarge} />
      {plan.ending && <Ending y={heightToY(plan.ending.level_m)} vessel={shape.vessel} />}
      {onPour && <LiquidHandle plan={plan} units={units} liquid={shape.liquid} onPour={onPour} />}
      <text
        x={CENTRE_X}
        y={314}
        textAnchor="middle"
        fill="var(--pencil)"
        fontSize={14 * Math.min(enlarge, 1.2)}
      >
        {caption(plan, shape.unseen)}
      </text>
    </svg>
  );
});

function caption(plan: PlanOut, unseen: number): string {
  const count = plan.arrangement.placed.length;
  const arrangement = plan.arrangement.kind;
  const what = count === 1 ? say("drawing-one-piece") : say("drawing-pieces", { count });
  const how = arrangement ? ` ${LYING_WORDS[arrangement].name}` : "";
  const behind = unseen > 0 ? `, ${unseen} hidden` : "";
  // a bed is told with the way of lying already
  const where = arrangement === "on_bed" ? "" : `, ${placeNames()[plan.setting.rack]}`;
  return `${what}${how}${behind}${where}`;
}

const placeNames = (): Record<PlanOut["setting"]["rack"], string> => ({
  none: say("drawing-on-the-bottom"),
  trivet: say("drawing-on-the-trivet"),
  tall: say("drawing-on-the-tall-trivet"),
  basket: say("drawing-in-the-steamer-basket"),
  bed: say("drawing-on-a-bed-of-vegetables"),
});

function describe(plan: PlanOut, units: "metric" | "us"): string {
  const { pot, liquid } = plan;
  return (
    `${say("drawing-side-view-liquid", { name: pot.name, plan: caption(plan, 0), liquid: liquid.shown[units] })} ` +
    say("drawing-high-percent-full", {
      level: liquid.level_shown[units],
      round: Math.round(100 * liquid.fill_ratio),
    })
  );
}

function Vessel({ box }: { box: Box }) {
  const right = box.x + box.width;
  const bottom = box.y + box.height;
  return (
    <path
      d={`M${box.x - 12} ${box.y} H${box.x} V${bottom - 8} q0 8 8 8 H${right - 8} q8 0 8 -8 V${box.y} H${right + 12}`}
      fill="none"
      stroke="var(--ink)"
      strokeWidth="3.5"
      strokeLinejoin="round"
    />
  );
}

function Liquid({ box }: { box: Box }) {
  return (
    <g data-testid="liquid">
      <rect {...box} fill="var(--water)" />
      <rect {...box} fill="url(#wave)" />
    </g>
  );
}

/** The surface, drawn over the meat that stands in it. */
function Surface({ box }: { box: Box }) {
  return (
    <g>
      <rect {...box} fill="var(--water)" opacity="0.45" />
      <line
        x1={box.x}
        x2={box.x + box.width}
        y1={box.y}
        y2={box.y}
        stroke="var(--ink)"
        strokeWidth="2"
      />
    </g>
  );
}

/** Where the liquid stands at the end, with the juice of the meat. */
function Ending({ y, vessel }: { y: number; vessel: Box }) {
  return (
    <g data-testid="line-ending" data-y={y} stroke="var(--pencil)" strokeDasharray="1 5">
      <title>{say("drawing-with-the-juice-of-the-meat")}</title>
      <line x1={vessel.x + 4} x2={vessel.x + vessel.width - 4} y1={y} y2={y} strokeWidth="2.2" />
    </g>
  );
}

interface RackProps {
  kind: PlanOut["setting"]["rack"];
  vessel: Box;
  y: number;
}

function Rack({ kind, vessel, y }: RackProps) {
  if (kind === "bed") {
    return <Bed box={{ ...vessel, y, height: vessel.y + vessel.height - y }} />;
  }
  return (
    <g>
      <Trivet vessel={vessel} y={y} />
      {kind === "basket" && (
        <path
          d={`M${vessel.x + 16} ${vessel.y + 40} V${y} M${vessel.x + vessel.width - 16} ${vessel.y + 40} V${y}`}
          stroke="var(--ink)"
          strokeWidth="2"
          strokeDasharray="5 3"
        />
      )}
    </g>
  );
}

/** Wedges of onion or potato, in one layer. */
function Bed({ box }: { box: Box }) {
  const count = 7;
  const wide = box.width / count;
  return (
    <g fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.6" data-testid="bed">
      {Array.from({ length: count }, (_, index) => box.x + (index + 0.5) * wide).map((x) => (
        <ellipse
          key={x}
          cx={x}
          cy={box.y + box.height / 2}
          rx={wide * 0.46}
          ry={box.height / 2 - 2}
        />
      ))}
    </g>
  );
}

function Trivet({ vessel, y }: { vessel: Box; y: number }) {
  const feet = [0.2, 0.5, 0.8].map((share) => vessel.x + share * vessel.width);
  const bottom = vessel.y + vessel.height;
  return (
    <g stroke="var(--ink)" strokeWidth="2" fill="none">
      <line x1={vessel.x + 8} x2={vessel.x + vessel.width - 8} y1={y} y2={y} />
      {feet.map((x) => (
        <path key={x} d={`M${x - 6} ${y} V${bottom - 2} h12 V${y}`} />
      ))}
    </g>
  );
}

function Meat({ box, coiled, bone }: { box: Box; coiled: boolean; bone: boolean | undefined }) {
  const round = Math.min(coiled ? 10 : 16, box.width / 2, box.height / 2);
  const bones = coiled
    ? [0.2, 0.5, 0.8].map((share) => box.y + share * box.height)
    : [box.y + box.height / 2];
  return (
    <g data-testid="piece">
      <rect {...box} rx={round} fill="var(--meat)" />
      <rect {...box} rx={round} fill="url(#grain)" stroke="var(--ink)" strokeWidth="2" />
      {bone &&
        bones.map((y) => (
          <ellipse
            key={y}
            cx={box.x + box.width / 2}
            cy={y}
            rx={Math.min(7, box.width / 5)}
            ry={5}
            fill="var(--sheet)"
            stroke="var(--ink)"
          />
        ))}
    </g>
  );
}

interface RulerProps {
  shape: PotGeometry;
  unit: string;
  enlarge: number;
}

function Ruler({ shape, unit, enlarge }: RulerProps) {
  const x = shape.vessel.x - 26;
  return (
    <g stroke="var(--pencil)" fill="var(--pencil)" fontSize={13 * enlarge}>
      {shape.ruler.map(({ y, label }) => (
        <g key={y}>
          <line x1={x} x2={x - (label ? 10 : 5)} y1={y} y2={y} />
          {label && (
            <text x={x - 15} y={y + 4.5} textAnchor="end" stroke="none">
              {label}
            </text>
          )}
        </g>
      ))}
      <text
        x={x - 5}
        y={Math.max(shape.vessel.y - 14 * enlarge, 13 * enlarge)}
        textAnchor="end"
        stroke="none"
      >
        {unit}
      </text>
    </g>
  );
}

interface Labels {
  big: string;
  small: string;
}

interface LinesProps {
  shape: PotGeometry;
  labels: Record<string, Labels>;
  enlarge: number;
}

function Lines({ shape, labels, enlarge }: LinesProps) {
  const right = shape.vessel.x + shape.vessel.width;
  return (
    <g>
      {shape.lines.map(({ kind, y, labelY }) => (
        <g key={kind} data-testid={`line-${kind}`} data-y={y}>
          {kind !== "liquid" && (
            <line
              x1={shape.vessel.x}
              x2={right + 8}
              y1={y}
              y2={y}
              stroke="var(--care)"
              strokeWidth="1.5"
              strokeDasharray={kind === "most" ? "7 4" : "2 4"}
            />
          )}
          <path
            d={`M${right + 8} ${y} L${right + 22} ${labelY}`}
            stroke={kind === "liquid" ? "var(--ink)" : "var(--care)"}
            fill="none"
          />
          <text
            x={right + 26}
            y={labelY + 2}
            fill={kind === "liquid" ? "var(--ink)" : "var(--care)"}
            fontSize={(kind === "liquid" ? 16 : 13) * enlarge}
            fontWeight={kind === "liquid" ? 700 : 500}
          >
            {labels[kind]?.big}
          </text>
          {enlarge < 1.2 && (
            <text x={right + 26} y={labelY + 15} fill="var(--pencil)" fontSize={11.5 * enlarge}>
              {labels[kind]?.small}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}
