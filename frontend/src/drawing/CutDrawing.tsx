interface Props {
  family: string;
}

/** A cut as a line drawing, recognisable at 64 pixels. */
export function CutDrawing({ family }: Props) {
  return (
    <svg viewBox="0 0 64 44" className="h-11 w-full max-w-16" aria-hidden="true">
      <g
        fill="none"
        stroke="currentColor"
        strokeWidth="1.8"
        strokeLinecap="round"
        strokeLinejoin="round"
      >
        {SHAPES[family] ?? SHAPES.brisket}
      </g>
    </svg>
  );
}

const SHAPES: Record<string, React.ReactNode> = {
  ribs: (
    <>
      <path d="M5 15 C18 8 46 8 59 14 L58 31 C44 26 20 26 6 32 Z" />
      <path d="M13 12 q-2 9 -1 17 M21 10.500 q-2 9 -1 17 M29 9.800 q-1 9 -0.500 17 M37 9.800 q0 9 0 17 M45 10.800 q1 9 1 17 M52 12.300 q1.500 9 1.500 16.500" />
    </>
  ),
  brisket: (
    <>
      <path d="M4 24 C6 15 18 13 32 13 C47 13 58 15 60 21 C61 27 54 31 44 32 C30 33 14 34 8 31 C5 30 4 27 4 24 Z" />
      <path d="M6 21 C18 17 46 16 59 20" strokeWidth="3.4" />
      <path d="M12 27 H30 M18 30 H42 M36 26 H52" strokeWidth="1.1" />
    </>
  ),
  "short ribs": (
    <>
      <path d="M6 18 L40 10 L58 16 L58 31 L24 39 L6 32 Z" />
      <path d="M6 18 L24 24 L58 16 M24 24 V39" />
      <ellipse cx="41" cy="28" rx="6.500" ry="4.200" transform="rotate(-14 41 28)" />
    </>
  ),
  shoulder: (
    <>
      <path d="M9 27 C6 16 14 8 28 7 C42 5 57 10 58 22 C59 33 48 38 34 38 C20 39 11 36 9 27 Z" />
      <path
        d="M20 12 C15 20 17 30 23 37 M34 8 C29 18 31 30 37 37 M47 11 C43 19 45 29 49 34"
        strokeWidth="1.2"
      />
    </>
  ),
  wings: (
    <>
      <path d="M5 13 C11 6 22 8 27 15 C31 20 37 19 42 14 C48 8 57 9 59 15 C61 21 54 25 47 24 C40 30 28 33 20 28 C11 25 2 20 5 13 Z" />
      <path d="M27 15 C24 20 24 24 27 28 M42 14 C41 19 43 22 47 24" strokeWidth="1.2" />
      <path d="M11 15 q5 -3 9 1 M50 14 q3 -1 5 2" strokeWidth="1.1" />
    </>
  ),
};
