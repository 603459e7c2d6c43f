import { useEffect, useRef } from "react";
import type { CookTimer } from "@/api/client";

/** Ring once for every timer that is due and not heard yet. */
export function useBell(timers: CookTimer[], on: boolean): void {
  const rung = useRef(new Set<string>());
  useEffect(() => {
    for (const timer of timers) {
      const key = `${timer.timer_id} ${timer.due_at}`;
      if (timer.left_s > 0 || timer.heard || rung.current.has(key)) continue;
      rung.current.add(key);
      if (on) beep();
    }
  }, [timers, on]);
}

function beep(): void {
  const audio = new AudioContext();
  for (const [at, pitch] of [
    [0, 880],
    [0.25, 660],
    [0.5, 880],
  ] as const) {
    const tone = audio.createOscillator();
    const volume = audio.createGain();
    tone.frequency.value = pitch;
    volume.gain.setValueAtTime(0.25, audio.currentTime + at);
    volume.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + at + 0.22);
    tone.connect(volume).connect(audio.destination);
    tone.start(audio.currentTime + at);
    tone.stop(audio.currentTime + at + 0.24);
  }
  window.setTimeout(() => audio.close(), 1500);
}
