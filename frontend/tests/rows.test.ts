import { expect, test } from "vitest";
import type { RecipeText } from "@/api/client";
import { corrected, remember } from "@/features/convert/corrections";
import {
  counts,
  doubtful,
  onNoLine,
  recipeOf,
  rowsOf,
  withFoods,
  withLinesOf,
  withRoles,
} from "@/features/convert/rows";

const RECIPE: RecipeText = {
  title: "Ribs",
  ingredients: ["1 rack ribs", "1 tsp salt", "2 tbsp honey"],
  steps: ["Bake the ribs."],
  yields: "",
  description: "",
  author: "",
  source: "",
  image: "",
  notes: [],
  parts: [{ name: "For the glaze", role: "glaze", lines: [2] }],
  sections: [{ name: "For the oven", first: 0 }],
  left_out: ["4 comments"],
};

test("rows make the recipe that they came from", () => {
  const rows = rowsOf(RECIPE);
  expect(rows.map((row) => row.role)).toEqual([
    "ingredient",
    "ingredient",
    "part",
    "ingredient",
    "part",
    "step",
    "out",
  ]);
  const again = recipeOf(rows, RECIPE);
  // the role of a part follows from its heading on the server
  expect(again).toEqual({
    ...RECIPE,
    parts: [{ name: "For the glaze", role: "main", lines: [2] }],
  });
  expect(counts(rows)).toBe("3 ingredients, 1 step; 1 line left out");
});

test("foods that the text measures become ingredients, and are told no more", () => {
  const doubts = {
    steps_like_ingredients: [],
    ingredients_like_steps: [],
    foods_on_no_line: ["4 c. ketchup", "2 tbsp honey"],
  };
  const rows = rowsOf(RECIPE);
  expect(onNoLine(rows, doubts)).toEqual(["4 c. ketchup"]);
  const added = withFoods(rows, ["4 c. ketchup"]);
  // they belong to no part: the honey is still all of the glaze
  const recipe = recipeOf(added, RECIPE);
  expect(recipe.ingredients).toEqual(["1 rack ribs", "1 tsp salt", "4 c. ketchup", "2 tbsp honey"]);
  expect(recipe.parts?.[0]?.lines).toEqual([3]);
  const plain = { ...RECIPE, parts: [] };
  expect(recipeOf(withFoods(rowsOf(plain), ["1 lime"]), plain).ingredients.at(-1)).toBe("1 lime");
  expect(onNoLine(added, doubts)).toEqual([]);
  expect(onNoLine(rows, undefined)).toEqual([]);
});

test("a line becomes something else, and parts follow", () => {
  const rows = rowsOf(RECIPE);
  const key = (text: string) => rows.find((row) => row.text === text)?.key ?? "";
  const moved = recipeOf(withRoles(rows, new Set([key("1 tsp salt")]), "step"), RECIPE);
  expect(moved.ingredients).toEqual(["1 rack ribs", "2 tbsp honey"]);
  expect(moved.steps).toEqual(["1 tsp salt", "Bake the ribs."]);
  expect(moved.parts?.[0]?.lines).toEqual([1]);
  const back = recipeOf(withRoles(rows, new Set([key("4 comments")]), "ingredient"), RECIPE);
  expect(back.ingredients.at(-1)).toBe("4 comments");
  expect(back.left_out).toEqual([]);
  const heading = recipeOf(withRoles(rows, new Set([key("1 tsp salt")]), "part"), RECIPE);
  // a heading without lines below it is none
  expect(heading.parts?.map((part) => part.name)).toEqual(["For the glaze"]);
});

test("lines that look wrong are offered once, and moved together", () => {
  const recipe = { ...RECIPE, steps: ["2 onions", "1 cup stock", "Bake the ribs."] };
  const doubts = {
    steps_like_ingredients: ["2 onions", "1 cup stock"],
    ingredients_like_steps: [],
    foods_on_no_line: [],
  };
  const rows = rowsOf(recipe);
  const [doubt, ...others] = doubtful(rows, doubts);
  expect([doubt?.from, doubt?.keys.size, others.length]).toEqual(["step", 2, 0]);
  const moved = withRoles(rows, doubt?.keys ?? new Set(), "ingredient");
  expect(recipeOf(moved, recipe).ingredients.slice(-2)).toEqual(["2 onions", "1 cup stock"]);
  expect(doubtful(moved, doubts)).toEqual([]);
  expect(doubtful(rows, undefined)).toEqual([]);
});

test("what a cook put right is remembered for the source, and for no other", () => {
  const rows = rowsOf(RECIPE);
  const source = "https://ribs.example/page";
  const salt = rows.filter((row) => row.text === "1 tsp salt");
  remember({ ...RECIPE, source }, "", withRoles(salt, new Set(salt.map((row) => row.key)), "out"));
  const again = corrected({ ...RECIPE, source: "https://ribs.example/other" }, "");
  expect(again.ingredients).toEqual(["1 rack ribs", "2 tbsp honey"]);
  expect(again.left_out).toEqual(["1 tsp salt", "4 comments"]);
  expect(corrected({ ...RECIPE, source: "https://brisket.example" }, "")).toEqual({
    ...RECIPE,
    source: "https://brisket.example",
  });
  expect(corrected(RECIPE, "A text without a source")).toEqual(RECIPE);
});

test("what is known of a line stays with it while others move", () => {
  const rows = rowsOf(RECIPE);
  const [rack, salt] = rows;
  const kept = [
    { line: 2, when: "finish" },
    { line: 1, when: "pot" },
  ];
  const without = withRoles(rows, new Set([rack?.key ?? ""]), "note");
  expect(withLinesOf(kept, rows, without)).toEqual([
    { line: 1, when: "finish" },
    { line: 0, when: "pot" },
  ]);
  const fewer = withRoles(rows, new Set([salt?.key ?? ""]), "step");
  expect(withLinesOf(kept, rows, fewer)).toEqual([{ line: 1, when: "finish" }]);
});
