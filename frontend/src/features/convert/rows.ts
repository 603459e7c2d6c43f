/** The lines of a recipe with what each is, so that a cook can say it is something else. */

import type { RecipeText } from "@/api/client";

export type Role = "ingredient" | "part" | "step" | "note" | "out";

export interface Row {
  /** Stays the same while the line moves. */
  key: string;
  text: string;
  role: Role;
}

export const ROLE_NAMES: Record<Role, string> = {
  ingredient: "ingredient",
  part: "heading of a part",
  step: "step",
  note: "note",
  out: "not part of it",
};

/** All lines in order: ingredients under the headings of their parts, steps, notes, the rest. */
export function rowsOf(recipe: RecipeText): Row[] {
  const headings = new Map((recipe.parts ?? []).map((part) => [part.lines[0], part.name]));
  const texts: [Role, string][] = [];
  recipe.ingredients.forEach((text, index) => {
    const heading = headings.get(index);
    if (heading !== undefined) texts.push(["part", heading]);
    texts.push(["ingredient", text]);
  });
  for (const text of recipe.steps) texts.push(["step", text]);
  for (const text of recipe.notes ?? []) texts.push(["note", text]);
  for (const text of recipe.left_out ?? []) texts.push(["out", text]);
  return texts.map(([role, text], index) => ({ key: `${index} ${text}`, text, role }));
}

/** The recipe that these rows make; what is empty is no line. */
export function recipeOf(rows: Row[], recipe: RecipeText): RecipeText {
  const said = rows.filter((row) => row.text.trim() !== "");
  const of = (role: Role) => said.filter((row) => row.role === role).map((row) => row.text.trim());
  const parts: NonNullable<RecipeText["parts"]> = [];
  let line = 0;
  for (const row of said) {
    if (row.role === "part") parts.push({ name: row.text.trim(), role: "main", lines: [] });
    if (row.role !== "ingredient") continue;
    parts.at(-1)?.lines.push(line);
    line += 1;
  }
  return {
    ...recipe,
    ingredients: of("ingredient"),
    steps: of("step"),
    notes: of("note"),
    left_out: of("out"),
    parts: parts.filter((part) => part.lines.length > 0),
  };
}

/** A line becomes something else: it stands among the lines of that kind, near where it was. */
export function withRole(rows: Row[], key: string, role: Role): Row[] {
  return rows.map((row) => (row.key === key ? { ...row, role } : row));
}

export function counts(rows: Row[]): string {
  const of = (role: Role) => rows.filter((row) => row.role === role).length;
  const parts = [many(of("ingredient"), "ingredient"), many(of("step"), "step")];
  if (of("note") > 0) parts.push(many(of("note"), "note"));
  const out = of("out");
  return `${parts.join(", ")}${out > 0 ? `; ${many(out, "line")} left out` : ""}`;
}

function many(count: number, word: string): string {
  return `${count} ${word}${count === 1 ? "" : "s"}`;
}
