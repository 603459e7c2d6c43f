import type { CookOut } from "@/api/client";
import { pressureScale, RuledSheet, spanOf } from "@/drawing/RuledSheet";
import { say } from "@/text/say";

interface Props {
  one: CookOut;
  other: CookOut;
  width: number;
  units: "metric" | "us";
}

/** Two cooks on one ruled sheet: the first drawn through, the second broken. Ink where there is any,
 * pencil where a cook was not followed. */
export function TwoTraces({ one, other, width, units }: Props) {
  const curves = [one, other].map((cook) => (cook.ink.length > 1 ? cook.ink : cook.pencil));
  return (
    <RuledSheet
      width={width}
      scale={pressureScale(units)}
      height={240}
      span={spanOf(curves)}
      label={say("drawing-pressure-of-and-of", { name: one.name, name2: other.name })}
    >
      {({ points }) =>
        curves.map((curve, index) => (
          <polyline
            key={index === 0 ? "first" : "second"}
            points={points(curve)}
            fill="none"
            stroke={index === 0 ? "var(--ink)" : "var(--heat)"}
            strokeWidth="2"
            strokeDasharray={index === 0 ? undefined : "7 4"}
            data-testid="laid"
          />
        ))
      }
    </RuledSheet>
  );
}
