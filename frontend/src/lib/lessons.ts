/** What the log taught, in words. */

import type { Lesson } from "@/api/client";
import { say } from "@/text/say";

/** `+6 min, from 3 cooks of yours`; a cooker `comes to pressure 8 % later, from 2 cooks of yours`. */
export function taughtWords(
  item: Pick<Lesson, "kind" | "ratio" | "cooks"> & { moved_min?: number | null },
): string {
  const count = say("shared-from-of-yours", { cooks: item.cooks.length });
  if (item.kind === "heat") return `${heatWords(item.ratio)}, ${count}`;
  return `${minutesWords(item.moved_min ?? 0)}, ${count}`;
}

/** `+6 min`; `no other time`. */
export function minutesWords(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole === 0) return say("shared-no-change");
  return say("shared-min", { whole: whole > 0 ? "+" : "−", abs: Math.abs(whole) });
}

function heatWords(ratio: number): string {
  const share = Math.round(100 * Math.abs(ratio - 1));
  if (share < 1) return say("shared-comes-to-pressure-as-expected");
  return say(ratio > 1 ? "shared-comes-sooner" : "shared-comes-later", { share });
}
