import { useEffect } from "react";
import { isFree, singleKeysOn } from "@/lib/keys";

/** Listen to single keys as long as the caller is on the page. */
export function useKeys(actions: Record<string, () => void>): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const action = actions[event.key];
      if (!action || !isFree(event) || !singleKeysOn()) return;
      event.preventDefault();
      action();
    };
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  });
}
