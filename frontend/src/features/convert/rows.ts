/** The lines of a recipe with what each is, so that a cook can say it is something else. */

import type { ReadOut, RecipeText } from "@/api/client";
import { say } from "@/text/say";

export type Role = "ingredient" | "part" | "step" | "note" | "out";

export interface Row {
  /** Stays the same while the line moves. */
  key: string;
  text: string;
  role: Role;
}

export const roleNames = (): Record<Role, string> => ({
  ingredient: say("convert-role-ingredient"),
  part: say("convert-heading-of-a-part"),
  step: say("convert-role-step"),
  note: say("convert-role-note"),
  out: say("convert-not-part-of-it"),
});

/** All lines in order: ingredients under the headings of their parts, steps, notes, the rest. */
export function rowsOf(recipe: RecipeText): Row[] {
  const headings = new Map((recipe.parts ?? []).map((part) => [part.lines[0], part.name]));
  const texts: [Role, string][] = [];
  recipe.ingredients.forEach((text, index) => {
    const heading = headings.get(index);
    if (heading !== undefined) texts.push(["part", heading]);
    texts.push(["ingredient", text]);
  });
  const over = new Map((recipe.sections ?? []).map((section) => [section.first, section.name]));
  recipe.steps.forEach((text, index) => {
    const heading = over.get(index);
    if (heading !== undefined) texts.push(["part", heading]);
    texts.push(["step", text]);
  });
  for (const text of recipe.notes ?? []) texts.push(["note", text]);
  for (const text of recipe.left_out ?? []) texts.push(["out", text]);
  return texts.map(([role, text], index) => ({ key: `${index} ${text}`, text, role }));
}

/** The recipe that these rows make; what is empty is no line. */
export function recipeOf(rows: Row[], recipe: RecipeText): RecipeText {
  const said = rows.filter((row) => row.text.trim() !== "");
  const of = (role: Role) => said.filter((row) => row.role === role).map((row) => row.text.trim());
  const parts: NonNullable<RecipeText["parts"]> = [];
  const sections: NonNullable<RecipeText["sections"]> = [];
  let heading: string | null = null;
  let line = 0;
  let step = 0;
  for (const row of said) {
    if (row.role === "part") heading = row.text.trim();
    if (row.role === "step") {
      if (heading !== null) sections.push({ name: heading, first: step });
      heading = null;
      step += 1;
    }
    if (row.role !== "ingredient") continue;
    if (heading !== null) parts.push({ name: heading, role: "main", lines: [] });
    heading = null;
    parts.at(-1)?.lines.push(line);
    line += 1;
  }
  return {
    ...recipe,
    ingredients: of("ingredient"),
    steps: of("step"),
    notes: of("note"),
    left_out: of("out"),
    parts,
    sections,
  };
}

/** Lines become something else: they stand among the lines of that kind, in the order they had. */
export function withRoles(rows: Row[], keys: ReadonlySet<string>, role: Role): Row[] {
  return rows.map((row) => (keys.has(row.key) ? { ...row, role } : row));
}

interface Doubt {
  from: "step" | "ingredient";
  to: "ingredient" | "step";
  keys: Set<string>;
}

/** Lines that still stand where they look wrong. */
export function doubtful(rows: Row[], doubts: ReadOut["doubts"] | undefined): Doubt[] {
  if (!doubts) return [];
  const among = (role: Role, texts: string[]) =>
    new Set(rows.filter((row) => row.role === role && texts.includes(row.text)).map((r) => r.key));
  const found: Doubt[] = [
    { from: "step", to: "ingredient", keys: among("step", doubts.steps_like_ingredients) },
    { from: "ingredient", to: "step", keys: among("ingredient", doubts.ingredients_like_steps) },
  ];
  return found.filter(({ keys }) => keys.size > 0);
}

/** Foods that the text measures and that are on no line yet; drafts of older versions know none. */
export function onNoLine(rows: Row[], doubts: ReadOut["doubts"] | undefined): string[] {
  const lines = new Set(rows.filter((row) => row.role === "ingredient").map((row) => row.text));
  return (doubts?.foods_on_no_line ?? []).filter((food) => !lines.has(food));
}

/** These foods as ingredients of no part: above the first heading, or below the last ingredient. */
export function withFoods(rows: Row[], foods: string[]): Row[] {
  const end = rows.findLastIndex((row) => row.role === "ingredient") + 1;
  const heading = rows.findIndex((row) => row.role === "part");
  const at = heading >= 0 && heading < end ? heading : end;
  const added = foods.map((text): Row => ({ key: `added ${text}`, text, role: "ingredient" }));
  return [...rows.slice(0, at), ...added, ...rows.slice(at)];
}

/** `11 ingredients, 6 steps; 2 lines left out`. */
export function counts(rows: Row[]): string {
  const of = (role: Role) => rows.filter((row) => row.role === role).length;
  return say("convert-counts", {
    ingredients: of("ingredient"),
    steps: of("step"),
    notes: of("note"),
    out: of("out"),
  });
}

/** What is known by lines of ingredients, by where the same lines stand now; lost when they are none. */
export function withLinesOf<T extends { line: number }>(kept: T[], before: Row[], now: Row[]): T[] {
  const keysOf = (rows: Row[]) =>
    rows.filter((row) => row.role === "ingredient").map((row) => row.key);
  const [old, next] = [keysOf(before), keysOf(now)];
  return kept
    .map((item) => ({ ...item, line: next.indexOf(old[item.line] ?? "") }))
    .filter((item) => item.line >= 0);
}
