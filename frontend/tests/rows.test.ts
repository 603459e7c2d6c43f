import { expect, test } from "vitest";
import type { RecipeText } from "@/api/client";
import { counts, recipeOf, rowsOf, withRole } from "@/features/convert/rows";

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
  left_out: ["4 comments"],
};

test("rows make the recipe that they came from", () => {
  const rows = rowsOf(RECIPE);
  expect(rows.map((row) => row.role)).toEqual([
    "ingredient",
    "ingredient",
    "part",
    "ingredient",
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

test("a line becomes something else, and parts follow", () => {
  const rows = rowsOf(RECIPE);
  const key = (text: string) => rows.find((row) => row.text === text)?.key ?? "";
  const moved = recipeOf(withRole(rows, key("1 tsp salt"), "step"), RECIPE);
  expect(moved.ingredients).toEqual(["1 rack ribs", "2 tbsp honey"]);
  expect(moved.steps).toEqual(["1 tsp salt", "Bake the ribs."]);
  expect(moved.parts?.[0]?.lines).toEqual([1]);
  const back = recipeOf(withRole(rows, key("4 comments"), "ingredient"), RECIPE);
  expect(back.ingredients.at(-1)).toBe("4 comments");
  expect(back.left_out).toEqual([]);
  const heading = recipeOf(withRole(rows, key("1 tsp salt"), "part"), RECIPE);
  // a heading without lines below it is none
  expect(heading.parts?.map((part) => part.name)).toEqual(["For the glaze"]);
});
