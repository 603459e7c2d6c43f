/** Keys of our own, as tables: what the app listens to and what the Guide shows is the same. */

import { keep, readKept } from "@/lib/storage";
import { say } from "@/text/say";

export interface KeyEntry {
  /** As `KeyboardEvent.key` has it. */
  key: string;
  /** As it stands on the sheet of keys. */
  shown: string;
  does: () => string;
}

/** Anywhere, unless a control that takes letters has the focus. */
export const APP_KEYS: KeyEntry[] = [
  { key: "?", shown: "?", does: () => say("shared-this-list-of-keys") },
];

export const BENCH_KEYS: KeyEntry[] = [
  { key: "v", shown: "v", does: () => say("shared-side-view-or-top-view") },
  { key: "s", shown: "s", does: () => say("shared-save-the-plan") },
];

/** While the list or its tab has the focus. */
export const WHAT_IF_KEYS: KeyEntry[] = Array.from({ length: 9 }, (_, index) => ({
  key: String(index + 1),
  shown: String(index + 1),
  does: () => say("shared-use-line-of-what-if", { index: index + 1 }),
}));

/** Beside the pot; in a field it is a space. */
export const COOK_KEYS: KeyEntry[] = [
  {
    key: " ",
    get shown() {
      return say("shared-space");
    },
    does: () => say("shared-in-cook-done-next-step"),
  },
];

/** While a mark of a conversion has the focus. */
export const MARK_KEYS: KeyEntry[] = [
  { key: "ArrowDown", shown: "↓ ↑", does: () => say("shared-next-or-previous-change") },
  { key: "x", shown: "x", does: () => say("shared-reject-the-change") },
];

const TAKES_LETTERS =
  "input, textarea, select, [contenteditable], [role=slider], [role=radio], [role=dialog], [role=combobox]";

/** Whether a key may act: no shortcut steals a key from a control, a dialog or the browser. */
export function isFree(event: KeyboardEvent | React.KeyboardEvent): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return false;
  return !(event.target instanceof Element && event.target.closest(TAKES_LETTERS));
}

const OFF = "pneumachron single keys";

/** Single keys can be switched off, for those who speak to their computer (WCAG 2.1.4). */
export function singleKeysOn(): boolean {
  return readKept(OFF) !== "off";
}

export function keepSingleKeys(on: boolean): void {
  keep(OFF, on ? "on" : "off");
}
