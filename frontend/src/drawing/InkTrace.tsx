import type { CookOut } from "@/api/client";
import { RuledSheet, spanOf } from "@/drawing/RuledSheet";

interface Props {
  cook: CookOut;
  width: number;
  height?: number;
}

/** What was planned in pencil, what happened in ink, on one ruled sheet. */
export function InkTrace({ cook, width, height = 190 }: Props) {
  const inked = cook.ink.length > 1;
  return (
    <RuledSheet
      width={width}
      height={height}
      span={spanOf([cook.pencil, cook.ink])}
      label={`pressure in kPa: planned in pencil, ${inked ? "so far in ink" : "no ink yet"}`}
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
