import { useCallback, useEffect, useRef, useState } from "react";
import { useKitchenClock } from "@/api/cooks";

/** How often the line of the present moves, and an unfinished day is counted anew. */
const CLOCK_MS = 30_000;

/** The kitchen's present. A cook whose time is simulated has its own. */
export function useNow(): [Date, () => void] {
  const { data, dataUpdatedAt } = useKitchenClock();
  const anchor = useRef({ kitchen: Date.now(), wall: Date.now() });
  if (data) anchor.current = { kitchen: Date.parse(data.now), wall: dataUpdatedAt };
  const [now, setNow] = useState(() => new Date());
  const tick = useCallback(() => {
    const { kitchen, wall } = anchor.current;
    setNow(new Date(kitchen + Date.now() - wall));
  }, []);
  useEffect(() => {
    // asked again: the present is another one
    if (dataUpdatedAt > 0) tick();
    const timer = window.setInterval(tick, CLOCK_MS);
    return () => window.clearInterval(timer);
  }, [tick, dataUpdatedAt]);
  return [now, tick];
}
