import { useEffect, useState } from "react";
import type { CookOut } from "@/api/client";

/** A cook's own time on this device, between answers and while the app does not answer at all.
 *
 * @param answeredAt when the last answer came, by this device's clock [ms]
 */
export function cookTime(cook: CookOut, answeredAt: number, now: number): number {
  return Date.parse(cook.now) + Math.max(now - answeredAt, 0) * cook.speed;
}

/** The cook with its timers counted down to this moment. */
export function countedDown(cook: CookOut, answeredAt: number, now: number): CookOut {
  if (cook.ended_at !== null) return cook;
  const at = cookTime(cook, answeredAt, now);
  const timers = cook.timers.map((timer) => ({
    ...timer,
    left_s: Math.max(0, Math.round((Date.parse(timer.due_at) - at) / 1000)),
  }));
  return { ...cook, now: new Date(at).toISOString(), timers };
}

export function useCountdown(cook: CookOut, answeredAt: number): CookOut {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = window.setInterval(() => setNow(Date.now()), cook.speed > 1 ? 250 : 1000);
    return () => window.clearInterval(timer);
  }, [cook.speed]);
  return countedDown(cook, answeredAt, Math.max(now, answeredAt));
}
