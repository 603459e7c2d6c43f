import { useEffect } from "react";

const TYPES = "input, textarea, select, [contenteditable]";

/** The space bar is the next step, wherever the focus is but in a field: it fires no control. */
export function useNextKey(next: () => void): void {
  useEffect(() => {
    const isNext = (event: KeyboardEvent) =>
      event.key === " " &&
      !(event.target instanceof Element && event.target.closest(TYPES)) &&
      !event.ctrlKey &&
      !event.metaKey &&
      !event.altKey;
    const down = (event: KeyboardEvent) => {
      if (!isNext(event)) return;
      event.preventDefault();
      event.stopPropagation();
      if (!event.repeat) next();
    };
    // a button is fired when the bar is let go
    const up = (event: KeyboardEvent) => {
      if (isNext(event)) event.preventDefault();
    };
    window.addEventListener("keydown", down, true);
    window.addEventListener("keyup", up, true);
    return () => {
      window.removeEventListener("keydown", down, true);
      window.removeEventListener("keyup", up, true);
    };
  });
}
