import { type KeyboardEvent, type PointerEvent, useRef } from "react";
import type { PlanOut } from "@/api/client";
import { type Box, heightToY, yToHeight } from "@/drawing/pot-geometry";
import { say } from "@/text/say";

interface Props {
  plan: PlanOut;
  units: "metric" | "us";
  liquid: Box;
  onPour: (typed: string, how: "drag" | "set") => void;
}

/** The liquid line, to drag between its limits; it snaps to cups or to the lines of a jug. */
export function LiquidHandle({ plan, units, liquid, onPour }: Props) {
  const held = useRef(false);
  const moved = useRef(false);
  const marks = units === "us" ? plan.liquid.marks_us : plan.liquid.marks_metric;
  if (marks.length < 2) return null;
  const now = nearest(marks, plan.liquid.level_m);
  const pour = (index: number, how: "drag" | "set") => {
    const mark = marks[Math.min(Math.max(index, 0), marks.length - 1)];
    if (mark) onPour(mark.typed, how);
  };
  const move = (event: PointerEvent<SVGGElement>, how: "drag" | "set") => {
    const svg = event.currentTarget.ownerSVGElement;
    const matrix = svg?.getScreenCTM();
    if (!matrix) return;
    const y = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse()).y;
    pour(nearest(marks, yToHeight(y)), how);
  };
  const step = (event: KeyboardEvent) => {
    const change = KEYS[event.key];
    if (change === undefined) return;
    event.preventDefault();
    pour(Math.abs(change) > 10 ? (change > 0 ? marks.length - 1 : 0) : now + change, "set");
  };
  const y = heightToY(plan.liquid.level_m);
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={say("drawing-liquid-line-drag")}
      aria-valuemin={0}
      aria-valuemax={marks.length - 1}
      aria-valuenow={now}
      aria-valuetext={plan.liquid.shown[units]}
      className="cursor-ns-resize touch-none"
      onKeyDown={step}
      onPointerDown={(event) => {
        held.current = true;
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => {
        if (!held.current) return;
        moved.current = true;
        move(event, "drag");
      }}
      onPointerUp={(event) => {
        // a mere click moves nothing
        if (moved.current) move(event, "set");
        held.current = false;
        moved.current = false;
      }}
      onPointerCancel={() => {
        held.current = false;
        moved.current = false;
      }}
    >
      <rect x={liquid.x} y={y - 12} width={liquid.width} height={24} fill="transparent" />
      <path
        d={`M${liquid.x - 2} ${y} l-16 -9 v18 Z`}
        fill="var(--ink)"
        stroke="var(--paper)"
        data-testid="liquid-handle"
      />
    </g>
  );
}

const KEYS: Record<string, number> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 4,
  PageDown: -4,
  Home: -1000,
  End: 1000,
};

function nearest(marks: { level_m: number }[], level: number): number {
  let best = 0;
  marks.forEach((mark, index) => {
    const closest = marks[best];
    if (closest && Math.abs(mark.level_m - level) < Math.abs(closest.level_m - level)) best = index;
  });
  return best;
}
