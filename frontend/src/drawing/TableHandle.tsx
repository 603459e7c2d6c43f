import { type KeyboardEvent, type PointerEvent, useRef } from "react";
import { clockTime } from "@/lib/clock";
import { say } from "@/text/say";

interface Props {
  x: number;
  below: number;
  table: Date;
  /** Drawing units for a millisecond. */
  perMs: number;
  onTable: (moment: Date) => void;
}

const STEP = 5 * 60_000;

/** The time on the table: dragged or stepped by five minutes, and everything follows. */
export function TableHandle({ x, below, table, perMs, onTable }: Props) {
  const grip = useRef<{ at: number; table: number; perMs: number } | null>(null);
  const put = (time: number) => onTable(new Date(Math.round(time / STEP) * STEP));
  const move = (event: PointerEvent<SVGGElement>) => {
    const held = grip.current;
    // the scale of the moment it was gripped: the sheet follows while the hand moves
    if (held) put(held.table + (event.clientX - held.at) / held.perMs);
  };
  const step = (event: KeyboardEvent<SVGGElement>) => {
    const by = KEYS[event.key];
    if (by === undefined) return;
    event.preventDefault();
    put(table.getTime() + by * STEP);
  };
  const clock = clockTime(table);
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={say("drawing-serving-time-drag")}
      aria-valuemin={0}
      aria-valuemax={1439}
      aria-valuenow={table.getHours() * 60 + table.getMinutes()}
      aria-valuetext={clock}
      onKeyDown={step}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        grip.current = { at: event.clientX, table: table.getTime(), perMs };
      }}
      onPointerMove={move}
      onPointerUp={() => {
        grip.current = null;
      }}
      className="cursor-ew-resize touch-none"
    >
      <rect x={x - 12} y={0} width={24} height={below} fill="transparent" />
      <line x1={x} x2={x} y1={2} y2={below} stroke="var(--ink)" strokeWidth="2" />
      <path d={`M ${x - 7} 0 h 14 l -7 10 z`} fill="var(--ink)" />
    </g>
  );
}

const KEYS: Record<string, number> = {
  ArrowLeft: -1,
  ArrowDown: -1,
  ArrowRight: 1,
  ArrowUp: 1,
  PageUp: 6,
  PageDown: -6,
};
