/** Paper or slate: as the machine says, until the cook says otherwise. */

import { keep, readKept } from "@/lib/storage";

export type Theme = "light" | "dark";
const KEY = "pneumachron.theme";

export function savedTheme(): Theme {
  const saved = readKept(KEY);
  if (saved === "light" || saved === "dark") return saved;
  return window.matchMedia("(prefers-color-scheme: dark)").matches ? "dark" : "light";
}

export function applyTheme(theme: Theme): void {
  document.documentElement.dataset.theme = theme;
}

export function keepTheme(theme: Theme): void {
  keep(KEY, theme);
  applyTheme(theme);
}
