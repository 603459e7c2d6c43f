import { useState } from "react";
import { forgetKept, isRecord, keep as keepText, readKeptAs } from "@/lib/storage";

/** State that outlives a reload and a look elsewhere; `forget` when it was written down for good. */
export function useKept<T extends object>(key: string, initial: () => T) {
  // a draft of an older page may lack what this one asks
  const [value, setValue] = useState<T>(() => ({ ...initial(), ...read<T>(key) }));
  const keep = (next: T) => {
    setValue(next);
    keepText(key, JSON.stringify(next));
  };
  const forget = () => forgetKept(key);
  return [value, keep, forget] as const;
}

function read<T extends object>(key: string): Partial<T> | null {
  return readKeptAs(key, isRecord) as Partial<T> | null;
}
