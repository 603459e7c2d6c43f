/** The recipe that is being worked on, kept between visits, so that nothing typed is lost. */

import type { ConvertIn, ReadOut, RecipeText } from "@/api/client";
import { forgetKept, keep, readKept, readKeptAs } from "@/lib/storage";

export type Answers = NonNullable<ConvertIn["answers"]>;
export type Choices = NonNullable<ConvertIn["choices"]>;

export interface Draft {
  /** In the library under this id; null for one that is not kept yet. */
  id: string | null;
  /** The version it was opened from; older drafts do not know it. */
  version?: number | null;
  original: string;
  format: "text" | "markdown" | "html" | "jsonld";
  recipe: RecipeText;
  answers: Answers;
  choices: Choices;
  tags: string[];
  pot: string;
  /** Lines that look like something else; drafts of older versions have none. */
  doubts?: ReadOut["doubts"];
  /** What there is to say about how it was read, in the words of the household: never kept. */
  remarks?: string[];
}

const KEY = "pneumachron.recipe";
const PASTE = "pneumachron.paste";

export function keptDraft(): Draft | null {
  return readKeptAs(KEY, isDraft);
}

function isDraft(value: unknown): value is Draft {
  return typeof value === "object" && value !== null && "recipe" in value && "choices" in value;
}

export function keepDraft(draft: Draft | null): void {
  if (draft === null) forgetKept(KEY);
  else keep(KEY, JSON.stringify({ ...draft, remarks: undefined }));
}

export function keptPaste(): string {
  return readKept(PASTE) ?? "";
}

export function keepPaste(text: string): void {
  keep(PASTE, text);
}

export const NO_ANSWERS: Answers = {};
export const NO_CHOICES: Choices = { overruled: [], placed: [] };

/** Lines with their places, which is what marks know them by; two lines may read the same. */
export function numbered(texts: string[]) {
  return texts.map((text, index) => ({ key: `${index} ${text}`, text, index }));
}
