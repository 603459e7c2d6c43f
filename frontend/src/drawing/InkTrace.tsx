import type { CookOut } from "@/api/client";
import { pressureScale, RuledSheet, spanOf } from "@/drawing/RuledSheet";
import { say } from "@/text/say";

interface Props {
  cook: CookOut;
  width: number;
  units: "metric" | "us";
  height?: number;
}

/** What was planned in pencil, what happened in ink, on one ruled sheet. */
export function InkTrace({ cook, width, units, height = 190 }: Props) {
  const inked = cook.ink.length > 1;
  return (
    <RuledSheet
      width={width}
      scale={pressureScale(units)}
      height={height}
      span={spanOf([cook.pencil, cook.ink])}
      label={say("drawing-pressure-planned-as-a-thin-line", {
        inked: inked ? say("drawing-actual-so-far-as-a-thick") : say("drawing-nothing-actual-yet"),
      })}
    >
      {({ points }) => (
        <>
          <polyline
            points={points(cook.pencil)}
            fill="none"
            stroke="var(--pencil)"
            strokeWidth="1.5"
            strokeDasharray="5 4"
            data-testid="pencil"
          />
          {inked && (
            <polyline
              points={points(cook.ink)}
              fill="none"
              stroke="var(--ink)"
              strokeWidth="2"
              data-testid="ink"
            />
          )}
        </>
      )}
    </RuledSheet>
  );
}
