import { useCallback, useEffect, useRef, useState } from "react";
import { useKitchenClock } from "@/api/cooks";

/** How often the line of the present moves, and an unfinished day is counted anew. */
const CLOCK_MS = 30_000;

/** The kitchen's present: the day and the pots beside it go by one clock, also when it is fast. */
export function useNow(): [Date, () => void] {
  const { data, dataUpdatedAt } = useKitchenClock();
  const anchor = useRef({ kitchen: Date.now(), wall: Date.now(), speed: 1 });
  if (data) {
    anchor.current = { kitchen: Date.parse(data.now), wall: dataUpdatedAt, speed: data.speed };
  }
  const [now, setNow] = useState(() => new Date());
  const tick = useCallback(() => {
    const { kitchen, wall, speed } = anchor.current;
    setNow(new Date(kitchen + (Date.now() - wall) * speed));
  }, []);
  const speed = data?.speed ?? 1;
  useEffect(() => {
    // asked anew, or at another speed: the present is another one
    if (dataUpdatedAt > 0) tick();
    const timer = window.setInterval(tick, Math.max(CLOCK_MS / speed, 1000));
    return () => window.clearInterval(timer);
  }, [tick, speed, dataUpdatedAt]);
  return [now, tick];
}
