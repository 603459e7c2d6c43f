/** What the log taught, in words. */

import type { Lesson } from "@/api/client";

/** `12 % more softening, 3 cooks`; `8 % less heat, 2 cooks`. */
export function taughtWords(item: Pick<Lesson, "kind" | "ratio" | "cooks">): string {
  const share = Math.round(100 * Math.abs(item.ratio - 1));
  const what = item.kind === "taste" ? "softening" : "heat";
  const count = `${item.cooks.length} ${item.cooks.length === 1 ? "cook" : "cooks"}`;
  if (share < 1) return `${what} as it was, ${count}`;
  return `${share} % ${item.ratio > 1 ? "more" : "less"} ${what}, ${count}`;
}
