import { expect, test } from "vitest";
import { FOLD_PX, foldAxis } from "@/drawing/fold-axis";

const HOUR = 3_600_000;

test("a night is folded, and what is done on both sides has one scale", () => {
  const axis = foldAxis(
    0,
    26 * HOUR,
    [
      [0, 4 * HOUR],
      [24 * HOUR, 26 * HOUR],
    ],
    100,
    900,
  );
  expect(axis.stretches.map((part) => part.folded)).toEqual([false, true, false]);
  expect(axis.stretches[1]?.width).toBe(FOLD_PX);
  const evening = axis.place(2 * HOUR) - axis.place(HOUR);
  const next = axis.place(26 * HOUR) - axis.place(25 * HOUR);
  expect(evening).toBeCloseTo(next, 6);
  expect(axis.place(0)).toBe(100);
  expect(axis.place(26 * HOUR)).toBeCloseTo(900, 6);
});

test("time never runs backwards on it, and what is outside stands at its ends", () => {
  const axis = foldAxis(
    0,
    40 * HOUR,
    [
      [0, HOUR],
      [12 * HOUR, 13 * HOUR],
      [39 * HOUR, 40 * HOUR],
    ],
    0,
    600,
  );
  const at = Array.from({ length: 81 }, (_, half) => axis.place((half / 2) * HOUR));
  for (let index = 1; index < at.length; index += 1) {
    expect(at[index] ?? 0).toBeGreaterThanOrEqual(at[index - 1] ?? 0);
  }
  expect(axis.place(-HOUR)).toBe(0);
  expect(axis.place(99 * HOUR)).toBeCloseTo(600, 6);
});

test("a day without a long pause is not folded", () => {
  const axis = foldAxis(
    0,
    6 * HOUR,
    [
      [0, 2 * HOUR],
      [4 * HOUR, 6 * HOUR],
    ],
    0,
    600,
  );
  expect(axis.stretches).toHaveLength(1);
  expect(axis.place(3 * HOUR)).toBeCloseTo(300, 6);
});
