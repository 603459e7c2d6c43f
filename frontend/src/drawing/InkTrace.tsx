import type { CookOut } from "@/api/client";
import { pressureScale, RuledSheet, spanOf } from "@/drawing/RuledSheet";

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
      label={`pressure: planned as a thin line, ${inked ? "actual so far as a thick line" : "nothing actual yet"}`}
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
