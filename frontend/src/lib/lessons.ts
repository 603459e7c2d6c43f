/** What the log taught, in words. */

import type { Lesson } from "@/api/client";

/** `+6 min, from 3 cooks of yours`; a cooker `comes to pressure 8 % later, from 2 cooks of yours`. */
export function taughtWords(
  item: Pick<Lesson, "kind" | "ratio" | "cooks"> & { moved_min?: number | null },
): string {
  const count = `from ${item.cooks.length} ${item.cooks.length === 1 ? "cook" : "cooks"} of yours`;
  if (item.kind === "heat") return `${heatWords(item.ratio)}, ${count}`;
  return `${minutesWords(item.moved_min ?? 0)}, ${count}`;
}

/** `+6 min`; `no other time`. */
export function minutesWords(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole === 0) return "no change";
  return `${whole > 0 ? "+" : "−"}${Math.abs(whole)} min`;
}

function heatWords(ratio: number): string {
  const share = Math.round(100 * Math.abs(ratio - 1));
  if (share < 1) return "comes to pressure as expected";
  return `comes to pressure ${share}% ${ratio > 1 ? "sooner" : "later"}`;
}
