import { useEffect, useState, useSyncExternalStore } from "react";
import { keep, onKeptElsewhere, readKept } from "@/lib/storage";

/** Whether this device rings: kept on the device, on after somebody said so once. */
const KEY = "pneumachron.sound";
const AGAIN_MS = 5000;

let audio: AudioContext | null = null;
const listeners = new Set<() => void>();

/** Browsers let a page ring only after it was touched; a touch anywhere is enough. */
function wake(): void {
  audio ??= new AudioContext();
  if (audio.state === "suspended") void audio.resume().then(() => tellAll());
}

function tellAll(): void {
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  const off = onKeptElsewhere(KEY, listener);
  return () => {
    listeners.delete(listener);
    off();
  };
}

/** Whether it rings, and a switch. */
export function useSound(): [boolean, (on: boolean) => void] {
  const on = useSyncExternalStore(subscribe, () => readKept(KEY) === "on");
  const set = (next: boolean) => {
    keep(KEY, next ? "on" : "off");
    if (next) wake();
    tellAll();
  };
  return [on, set];
}

/** Ring for what is due, again and again until it is heard. Says whether the browser keeps it
 * silent until the page is touched. */
export function useBell(due: string | null, on: boolean): boolean {
  const [silent, setSilent] = useState(false);
  useEffect(() => {
    if (!on) return;
    const touched = () => wake();
    window.addEventListener("pointerdown", touched);
    window.addEventListener("keydown", touched);
    return () => {
      window.removeEventListener("pointerdown", touched);
      window.removeEventListener("keydown", touched);
    };
  }, [on]);
  useEffect(() => {
    if (!on || due === null) {
      setSilent(false);
      return;
    }
    const ring = () => {
      wake();
      setSilent(audio?.state !== "running");
      if (audio?.state === "running") chime(audio);
    };
    ring();
    const timer = window.setInterval(ring, AGAIN_MS);
    return () => window.clearInterval(timer);
  }, [due, on]);
  return silent;
}

function chime(context: AudioContext): void {
  for (const [at, pitch] of [
    [0, 880],
    [0.25, 660],
    [0.5, 880],
  ] as const) {
    const tone = context.createOscillator();
    const volume = context.createGain();
    tone.frequency.value = pitch;
    volume.gain.setValueAtTime(0.25, context.currentTime + at);
    volume.gain.exponentialRampToValueAtTime(0.001, context.currentTime + at + 0.22);
    tone.connect(volume).connect(context.destination);
    tone.start(context.currentTime + at);
    tone.stop(context.currentTime + at + 0.24);
  }
}
