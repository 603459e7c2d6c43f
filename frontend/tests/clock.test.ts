import { beforeEach, expect, test } from "vitest";
import { axisTime, clockTime, clockTimeFrom, dateAndTime, keepLocale, longDay } from "@/lib/clock";

const EVENING = new Date(2026, 10, 28, 19, 5);
const NIGHT = new Date(2026, 10, 28, 0, 0);

beforeEach(() => keepLocale("en-US"));

test("American English has the clock of twelve hours", () => {
  expect(clockTime(EVENING)).toBe("7:05\u00a0PM");
  expect(clockTime(NIGHT)).toBe("12:00\u00a0AM");
  expect(axisTime(NIGHT)).toBe("12\u00a0AM");
  expect(axisTime(EVENING)).toBe("7:05\u00a0PM");
  expect(longDay(EVENING)).toBe("Saturday, November 28");
});

test("British English has the clock of twenty-four", () => {
  keepLocale("en-GB");
  expect(clockTime(EVENING)).toBe("19:05");
  expect(clockTime(NIGHT)).toBe("00:00");
  expect(axisTime(NIGHT)).toBe("00:00");
  expect(longDay(EVENING)).toBe("Saturday 28 November");
  expect(dateAndTime(EVENING)).toBe("28 November 2026 at 19:05");
});

test("a time on another day has its day of the week", () => {
  expect(clockTimeFrom(EVENING, EVENING)).toBe("7:05\u00a0PM");
  expect(clockTimeFrom(NIGHT, new Date(2026, 10, 29, 1, 30))).toBe("Sun 1:30\u00a0AM");
});
