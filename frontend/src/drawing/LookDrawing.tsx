import type { Texture } from "@/api/client";

const OPEN: Record<Texture, number> = { chewy: 0, holds: 1, tender: 2, very: 3, falls: 4 };

/** How meat answers a fork, from not at all to falling apart: cracks open with each step. */
export function LookDrawing({ texture }: { texture: Texture }) {
  const open = OPEN[texture];
  const gap = 1.6 * open;
  return (
    <svg viewBox="0 0 64 40" width="64" height="40" aria-hidden="true" className="shrink-0">
      {[0, 1, 2].map((part) => (
        <rect
          key={part}
          x={4 + part * 18 + (part - 1) * gap * 0.8}
          y={14 + (part === 1 ? gap * 0.6 : 0)}
          width={18.5}
          height={18}
          rx={3}
          fill="var(--meat)"
          stroke="var(--ink)"
          strokeWidth="1.2"
          transform={`rotate(${(part - 1) * open * 3} ${13 + part * 18} 23)`}
        />
      ))}
      <g stroke="var(--ink)" strokeWidth="1.6" fill="none" strokeLinecap="round">
        <path d={`M28 1 V ${10 + 3 * open} M32 1 V ${10 + 3 * open} M36 1 V ${10 + 3 * open}`} />
      </g>
    </svg>
  );
}
