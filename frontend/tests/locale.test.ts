import { afterEach, expect, test } from "vitest";
import { clockTime, keepLocale } from "@/lib/clock";
import { recallLocale, takeOverLocale } from "@/lib/locale";
import { forgetKept, keep } from "@/lib/storage";

const EVENING = new Date(2026, 10, 28, 19, 5);

afterEach(() => {
  forgetKept("pneumachron.locale");
  keepLocale("en-US");
});

test("the English of the last visit is spoken before the server answers", () => {
  takeOverLocale("en-GB");
  keepLocale("en-US"); // a page that is opened again
  recallLocale();
  expect(clockTime(EVENING)).toBe("19:05");
});

test("what nobody speaks is not taken over", () => {
  keep("pneumachron.locale", "xx-YY");
  recallLocale();
  expect(clockTime(EVENING)).toBe("7:05\u00a0PM");
});
