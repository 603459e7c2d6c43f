/** The recipe that is being worked on, kept between visits, so that nothing typed is lost. */

import type { ConvertIn, RecipeText } from "@/api/client";

export type Answers = NonNullable<ConvertIn["answers"]>;
export type Choices = NonNullable<ConvertIn["choices"]>;

export interface Draft {
  /** In the library under this id; null for one that is not kept yet. */
  id: string | null;
  original: string;
  format: "text" | "markdown" | "html" | "jsonld";
  recipe: RecipeText;
  answers: Answers;
  choices: Choices;
  tags: string[];
  pot: string;
}

const KEY = "pneumachron.recipe";
const PASTE = "pneumachron.paste";

export function keptDraft(): Draft | null {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(KEY) ?? "null");
    return isDraft(found) ? found : null;
  } catch {
    return null;
  }
}

function isDraft(value: unknown): value is Draft {
  return typeof value === "object" && value !== null && "recipe" in value && "choices" in value;
}

/** A page may be larger than the browser keeps: then the draft lives as long as the page does. */
export function keepDraft(draft: Draft | null): void {
  try {
    if (draft === null) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, JSON.stringify(draft));
  } catch {
    localStorage.removeItem(KEY);
  }
}

export function keptPaste(): string {
  return localStorage.getItem(PASTE) ?? "";
}

export function keepPaste(text: string): void {
  try {
    localStorage.setItem(PASTE, text);
  } catch {
    localStorage.removeItem(PASTE);
  }
}

export const NO_ANSWERS: Answers = {};
export const NO_CHOICES: Choices = { overruled: [] };

/** Lines with their places, which is what marks know them by; two lines may read the same. */
export function numbered(texts: string[]) {
  return texts.map((text, index) => ({ key: `${index} ${text}`, text, index }));
}
