import { memo } from "react";
import type { PlanOut } from "@/api/client";
import { topGeometry, VIEW } from "@/drawing/pot-geometry";
import { say } from "@/text/say";

interface Props {
  plan: PlanOut;
  enlarge: number;
}

/** The pot from above, to scale, with every piece where it lies. */
export const PotTop = memo(function PotTop({ plan, enlarge }: Props) {
  const shape = topGeometry(plan);
  return (
    <svg
      viewBox={`0 0 ${VIEW.width} ${VIEW.height}`}
      className="h-full w-full"
      role="img"
      aria-label={say("drawing-from-above-with-pieces", {
        name: plan.pot.name,
        placed: plan.arrangement.placed.length,
      })}
      data-testid="pot-top"
    >
      <circle
        cx={shape.x}
        cy={shape.y}
        r={shape.radius}
        fill="var(--water)"
        stroke="var(--ink)"
        strokeWidth="3.5"
      />
      {shape.pieces.map((piece) => (
        <path
          key={piece.path}
          d={piece.path}
          data-testid="piece-top"
          fill="var(--meat)"
          fillOpacity={piece.under ? 0.55 : 1}
          stroke="var(--ink)"
          strokeWidth="2"
          strokeDasharray={piece.under ? "4 3" : undefined}
        />
      ))}
      <line
        x1={shape.x - shape.radius - 14}
        x2={shape.x + shape.radius + 14}
        y1={shape.sectionY}
        y2={shape.sectionY}
        stroke="var(--pencil)"
        strokeDasharray="2 5"
      />
      <text
        x={shape.x + shape.radius + 20}
        y={shape.sectionY + 5}
        fill="var(--pencil)"
        fontSize={13 * enlarge}
      >
        {say("drawing-side-view-here")}
      </text>
    </svg>
  );
});
