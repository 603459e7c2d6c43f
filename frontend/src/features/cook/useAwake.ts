import { useEffect } from "react";

/** Keep the screen awake while a cook is on it, where the browser can. */
export function useAwake(on: boolean): void {
  useEffect(() => {
    if (!on || !("wakeLock" in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const ask = async () => {
      if (document.visibilityState !== "visible") return;
      try {
        const found = await navigator.wakeLock.request("screen");
        if (over) await found.release();
        else lock = found;
      } catch {
        // a tired battery says no; the cook goes on
      }
    };
    ask();
    document.addEventListener("visibilitychange", ask);
    return () => {
      over = true;
      document.removeEventListener("visibilitychange", ask);
      lock?.release();
    };
  }, [on]);
}
