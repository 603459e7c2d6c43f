import { useEffect, useRef, useState } from "react";

/** The width of an element, as it changes. */
export function useWidth<T extends HTMLElement>(initial: number) {
  const ref = useRef<T>(null);
  const [width, setWidth] = useState(initial);
  useEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const watcher = new ResizeObserver(([entry]) => {
      if (entry) setWidth(Math.max(280, Math.floor(entry.contentRect.width)));
    });
    watcher.observe(element);
    return () => watcher.disconnect();
  }, []);
  return [ref, width] as const;
}
