import { useEffect } from "react";
import { singleKeysOn } from "@/lib/keys";

/** Whether the space bar may go on: nothing has the focus (or only the words of the step), no dialog
 * is open, and single keys are not switched off. On a button it is that button's. */
export function isNextKey(event: KeyboardEvent): boolean {
  if (event.key !== " " || event.ctrlKey || event.metaKey || event.altKey) return false;
  if (event.defaultPrevented || event.repeat || !singleKeysOn()) return false;
  if (document.querySelector("[role=dialog]")) return false;
  const at = document.activeElement;
  return at === null || at === document.body || at.hasAttribute("data-step");
}

export function useNextKey(next: () => void): void {
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      if (!isNextKey(event)) return;
      event.preventDefault();
      next();
    };
    window.addEventListener("keydown", down);
    return () => window.removeEventListener("keydown", down);
  });
}
