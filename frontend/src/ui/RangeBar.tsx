interface Props {
  low: number;
  value: number;
  high: number;
  label: string;
}

/** A value between its low and high, drawn on one line. */
export function RangeBar({ low, value, high, label }: Props) {
  const span = Math.max(high - low, 1);
  const from = Math.max(0, low - span * 0.15);
  const to = high + span * 0.15;
  const at = (minutes: number) => (240 * (minutes - from)) / (to - from);
  return (
    <svg viewBox="0 0 240 14" className="block h-3.5 w-60 max-w-full" role="img" aria-label={label}>
      <line x1="0" x2="240" y1="7" y2="7" stroke="var(--rule)" strokeWidth="2" />
      <line x1={at(low)} x2={at(high)} y1="7" y2="7" stroke="var(--ink)" strokeWidth="4" />
      <path d={`M${at(value)} 0 l6 7 l-6 7 l-6 -7 z`} fill="var(--ink)" stroke="var(--paper)" />
    </svg>
  );
}
