import { useEffect, useState } from "react";

/** A complaint only once it has stood for a while, so that nobody is scolded in mid-word. It goes
 * at once when there is nothing left to complain of. */
export function useSettled<T>(value: T | null, milliseconds: number): T | null {
  const [settled, setSettled] = useState<T | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), value === null ? 0 : milliseconds);
    return () => clearTimeout(timer);
  }, [value, milliseconds]);
  return value === null ? null : settled;
}

/** A value once it has not changed for a while. */
export function useRested<T>(value: T, milliseconds: number): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), milliseconds);
    return () => clearTimeout(timer);
  }, [value, milliseconds]);
  return rested;
}
