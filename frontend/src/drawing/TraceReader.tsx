import { type KeyboardEvent, type PointerEvent, useState } from "react";
import { type Moment, SHEET_HEIGHT, type TraceGeometry } from "@/drawing/trace-geometry";
import { hoursMinutes, pressureText, temperatureText } from "@/lib/format";
import { PHASE_WORDS, TEXTURES, tendernessOf } from "@/lib/words";
import { say } from "@/text/say";

interface Props {
  sheet: TraceGeometry;
  units: "metric" | "us";
  cut: string | undefined;
}

/** Any moment of the cook, read by pointing at it or with the arrow keys. */
export function TraceReader({ sheet, units, cut }: Props) {
  const [index, setIndex] = useState<number | null>(null);
  const { moments, frame } = sheet;
  const moment = index === null ? undefined : moments[Math.min(index, moments.length - 1)];
  const point = (event: PointerEvent<SVGGElement>) => {
    const left = event.currentTarget.ownerSVGElement?.getBoundingClientRect().left ?? 0;
    setIndex(nearest(moments, event.clientX - left));
  };
  const step = (event: KeyboardEvent) => {
    const change = STEPS[event.key];
    if (change === undefined) return;
    event.preventDefault();
    setIndex((now) => Math.min(Math.max((now ?? 0) + change, 0), moments.length - 1));
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={say("drawing-a-moment-of-the-cook")}
      aria-valuemin={0}
      aria-valuemax={moments.length - 1}
      aria-valuenow={index ?? 0}
      aria-valuetext={moment ? read(moment, units, cut) : say("drawing-not-chosen")}
      onKeyDown={step}
      onPointerMove={point}
      onPointerDown={point}
      onPointerLeave={() => setIndex(null)}
      onBlur={() => setIndex(null)}
    >
      <rect
        x={frame.left}
        y={frame.top - 8}
        width={frame.right - frame.left}
        height={frame.bottom - frame.top + 8}
        fill="transparent"
      />
      {moment && <Reading moment={moment} sheet={sheet} text={read(moment, units, cut)} />}
    </g>
  );
}

const STEPS: Record<string, number> = {
  ArrowRight: 1,
  ArrowLeft: -1,
  ArrowUp: 1,
  ArrowDown: -1,
  PageUp: 10,
  PageDown: -10,
  Home: -10_000,
  End: 10_000,
};

function nearest(moments: Moment[], x: number): number {
  const after = moments.findIndex((moment) => moment.x >= x);
  return after < 0 ? moments.length - 1 : after;
}

function read(moment: Moment, units: "metric" | "us", cut?: string): string {
  const degrees = temperatureText(moment.celsius, units);
  const step = TEXTURES[Math.floor(Math.min(moment.step, 4))];
  const soft = moment.step >= 0 && step ? `, ${tendernessOf(step, cut)}` : "";
  return say("drawing-center", {
    minutes: hoursMinutes(moment.minutes),
    name: PHASE_WORDS[moment.phase].name,
    kpa: pressureText(moment.kpa, units),
    degrees,
    soft,
  });
}

interface ReadingProps {
  moment: Moment;
  sheet: TraceGeometry;
  text: string;
}

function Reading({ moment, sheet, text }: ReadingProps) {
  const { frame } = sheet;
  const middle = (frame.left + frame.right) / 2;
  return (
    <g pointerEvents="none">
      <line
        x1={moment.x}
        x2={moment.x}
        y1={frame.top - 8}
        y2={frame.bottom}
        stroke="var(--ink)"
        strokeWidth="1.2"
      />
      <circle cx={moment.x} cy={moment.coreY} r="4" fill="var(--heat)" />
      <circle cx={moment.x} cy={moment.gaugeY} r="4" fill="var(--pencil)" />
      <rect x={middle - 190} y={SHEET_HEIGHT - 20} width="380" height="20" fill="var(--paper)" />
      <text
        x={middle}
        y={SHEET_HEIGHT - 6}
        textAnchor="middle"
        fontSize="13.5"
        fontWeight="600"
        fill="var(--ink)"
        data-testid="reading"
      >
        {text}
      </text>
    </g>
  );
}
