import { expect, test } from "vitest";
import { canRedo, canUndo, stateOfEdit } from "@/lib/edits";

test("each edit can be taken back, and done again until another is made", () => {
  const nothing = null;
  expect(canUndo(nothing)).toBe(false);
  const weight = stateOfEdit(nothing, false);
  const letters = stateOfEdit(weight, true);
  expect(letters).toEqual(weight);
  const release = stateOfEdit(letters, false);
  expect([canUndo(release), canRedo(release)]).toEqual([true, false]);
  expect([canUndo(weight), canRedo(weight)]).toEqual([true, true]);
  const trivet = stateOfEdit(weight, false);
  expect([canUndo(trivet), canRedo(trivet)]).toEqual([true, false]);
});
