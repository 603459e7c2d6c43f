/** What a cook said a line is, kept on this device, for the next recipe from the same source. */

import type { RecipeText } from "@/api/client";
import { type Role, type Row, recipeOf, rowsOf } from "@/features/convert/rows";
import { keep, readKeptAs } from "@/lib/storage";

const KEY = "pneumachron.corrections";
const MOST_SOURCES = 40;
const MOST_LINES = 80;
/** So much of a pasted text tells it from another one. */
const BEGINNING = 160;

type Corrections = [source: string, lines: Record<string, Role>][];

function kept(): Corrections {
  return readKeptAs(KEY, (value): value is Corrections => Array.isArray(value)) ?? [];
}

/** The site a recipe is from, or else how its text begins. */
export function sourceOf(recipe: RecipeText, original: string): string {
  try {
    return new URL(recipe.source ?? "").host;
  } catch {
    return original.trim().slice(0, BEGINNING);
  }
}

/** Keep what these lines were said to be; the oldest sources are forgotten first. */
export function remember(recipe: RecipeText, original: string, rows: Row[]): void {
  const source = sourceOf(recipe, original);
  const before = kept();
  const lines = new Map(Object.entries(before.find(([name]) => name === source)?.[1] ?? {}));
  for (const row of rows) lines.set(row.text, row.role);
  const newest = [...lines].slice(-MOST_LINES);
  const others = before.filter(([name]) => name !== source).slice(-(MOST_SOURCES - 1));
  keep(KEY, JSON.stringify([...others, [source, Object.fromEntries(newest)]]));
}

/** A recipe as it was read, put right as the cook did with this source before. */
export function corrected(recipe: RecipeText, original: string): RecipeText {
  const source = sourceOf(recipe, original);
  const lines = kept().find(([name]) => name === source)?.[1] ?? {};
  const rows = rowsOf(recipe);
  if (!rows.some((row) => Object.hasOwn(lines, row.text))) return recipe;
  return recipeOf(
    rows.map((row) => ({ ...row, role: lines[row.text] ?? row.role })),
    recipe,
  );
}
