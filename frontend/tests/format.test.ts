import { describe, expect, it } from "vitest";
import {
  bindUnits,
  hoursMinutes,
  lengthText,
  massText,
  minutesUntil,
  mixedFraction,
  ownLength,
  ownMass,
  spanText,
  spokenTime,
  steppedLength,
  steppedMass,
  unitsOf,
  withUnit,
} from "@/lib/format";

describe("times", () => {
  it("are keyed in as hours and minutes, and spoken in words", () => {
    expect([0, 5, 59, 60, 95, 601].map(hoursMinutes)).toEqual([
      "0:00",
      "0:05",
      "0:59",
      "1:00",
      "1:35",
      "10:01",
    ]);
    expect([0, 59.4, 60, 95].map(spokenTime)).toEqual(["0 min", "59 min", "1 h", "1 h 35 min"]);
    expect(hoursMinutes(-3)).toBe("0:00");
  });

  it("span from and to", () => {
    expect(spanText([300, 600])).toBe("5–10 min");
    expect(spanText([600, 600])).toBe("10 min");
    expect(spanText([7200, 14_400])).toBe("2–4 h");
  });

  it("run to a time of day, of tomorrow when it is past", () => {
    const noon = new Date(2026, 10, 27, 12, 0);
    expect(minutesUntil("13:30", noon)).toBe(90);
    expect(minutesUntil("12:00", noon)).toBe(24 * 60);
    expect(minutesUntil("11:00", noon)).toBe(23 * 60);
    expect(minutesUntil("soon", noon)).toBeNull();
  });
});

describe("measures", () => {
  it("show fractions as a ruler has them", () => {
    expect(mixedFraction(1.75, 8)).toBe("1¾");
    expect(mixedFraction(0.5, 8)).toBe("½");
    expect(mixedFraction(2, 8)).toBe("2");
    expect(mixedFraction(0, 8)).toBe("0");
  });

  it("are read back as they were written", () => {
    // an ounce, an eighth of an inch, ten grams and a millimetre are the steps of what is written
    for (const kilograms of [0.05, 0.454, 0.9, 1.417, 3.29, 7.94]) {
      expect(ownMass(massText(kilograms, "us"))).toBeCloseTo(kilograms, 1.6);
      expect(ownMass(massText(kilograms, "metric"))).toBeCloseTo(kilograms, 1.9);
    }
    for (const metres of [0.0127, 0.0444, 0.07, 0.121]) {
      expect(Math.abs((ownLength(lengthText(metres, "us")) ?? 0) - metres)).toBeLessThan(0.0016);
      expect(ownLength(lengthText(metres, "metric"))).toBeCloseTo(metres, 3);
    }
  });

  it("leave to the server what was typed freely", () => {
    expect(ownMass("3 pounds")).toBeNull();
    expect(ownLength("two fingers")).toBeNull();
    expect(ownLength("1¾ in")).toBeCloseTo(1.75 * 0.0254, 6);
  });

  it("tell their system by their letters", () => {
    expect(unitsOf("3 lb 2 oz", "metric")).toBe("us");
    expect(unitsOf("1.4 kg", "us")).toBe("metric");
    expect(unitsOf("4.5cm", "us")).toBe("metric");
    expect(unitsOf("", "us")).toBe("us");
    expect(unitsOf("2 1/2", "metric")).toBe("metric");
  });

  it("step to the next round value, and never to nothing", () => {
    expect(steppedMass(1.417, 1, "metric")).toBeCloseTo(1.5);
    expect(steppedMass(1.5, 1, "metric")).toBeCloseTo(1.6);
    expect(steppedMass(0.1, -1, "metric")).toBeCloseTo(0.1);
    expect(steppedLength(0.0444, -1, "metric")).toBeCloseTo(0.04);
    expect(steppedLength(0.0444, 1, "us")).toBeCloseTo(0.04445, 4);
  });

  it("keep a number and its unit on one line", () => {
    expect(bindUnits("at 63 °C for 3 min")).toBe("at 63\u00a0°C for 3\u00a0min");
  });
});

describe("a number alone", () => {
  it("takes the unit in use; anything else stays as typed", () => {
    expect(["3", " 1,2 ", "1 1/2", "1½"].map((text) => withUnit(text, "kg"))).toEqual([
      "3 kg",
      "1,2 kg",
      "1 1/2 kg",
      "1½ kg",
    ]);
    for (const text of ["", " ", "3 lb", "heavy", "/", "half a kilo"]) {
      expect(withUnit(text, "kg")).toBe(text);
    }
  });
});
