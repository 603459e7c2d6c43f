import { describe, expect, it } from "vitest";
import { barWords } from "@/drawing/lane-geometry";

describe("what stands in a bar of the lanes", () => {
  it("is the whole step where there is room", () => {
    expect(barWords("A", "Pour in 240 ml", 200)).toBe("A Pour in 240 ml");
  });

  it("ends at a word, and never with a comma", () => {
    expect(barWords("B", "Trim, measure, pat dry and season all faces", 120)).toBe(
      "B Trim, measure…",
    );
  });

  it("is the letter of the dish alone where no word fits", () => {
    expect(barWords("A", "Deglaze", 30)).toBe("A");
    expect(barWords("", "Buy what is on the list", 20)).toBe("");
  });

  it("is never wider than the bar", () => {
    for (let width = 0; width < 400; width += 3) {
      const text = barWords("A", "Buy what is on the list, cold things last", width);
      expect(text.length * 6.3, `${width}`).toBeLessThanOrEqual(Math.max(width, 7));
    }
  });
});
