import { useState } from "react";

/** State that outlives a reload and a look elsewhere; `forget` when it was written down for good. */
export function useKept<T extends object>(key: string, initial: () => T) {
  // a draft of an older page may lack what this one asks
  const [value, setValue] = useState<T>(() => ({ ...initial(), ...read<T>(key) }));
  const keep = (next: T) => {
    setValue(next);
    localStorage.setItem(key, JSON.stringify(next));
  };
  const forget = () => localStorage.removeItem(key);
  return [value, keep, forget] as const;
}

function read<T>(key: string): T | null {
  try {
    return JSON.parse(localStorage.getItem(key) ?? "null") as T | null;
  } catch {
    return null; // a broken draft is no draft
  }
}
