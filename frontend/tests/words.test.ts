import { describe, expect, it } from "vitest";
import { APP_KEYS, BENCH_KEYS, COOK_KEYS, MARK_KEYS, WHAT_IF_KEYS } from "@/lib/keys";
import { minutesWords, taughtWords } from "@/lib/lessons";

const cooks = (count: number) =>
  Array.from({ length: count }, (_, index) => ({
    id: String(index),
    name: "x",
    started_at: "2026-11-27T12:00:00Z",
  }));

describe("what the log taught", () => {
  it("is told in minutes, and by how many cooks", () => {
    expect(minutesWords(6.4)).toBe("+6 min");
    expect(minutesWords(-6.6)).toBe("−7 min");
    expect(minutesWords(0.3)).toBe("no change");
    const taste = { kind: "taste" as const, ratio: 1.2, moved_min: 6, cooks: cooks(3) };
    expect(taughtWords(taste)).toBe("+6 min, from 3 cooks of yours");
    expect(taughtWords({ ...taste, cooks: cooks(1) })).toContain("1 cook of yours");
  });

  it("of a cooker is how soon it comes to pressure", () => {
    const heat = { kind: "heat" as const, ratio: 0.92, cooks: cooks(2) };
    expect(taughtWords(heat)).toBe("comes to pressure 8% later, from 2 cooks of yours");
    expect(taughtWords({ ...heat, ratio: 1.002 })).toContain("as expected");
  });
});

describe("keys of our own", () => {
  it("mean one thing each where they are heard together", () => {
    for (const heard of [
      [...APP_KEYS, ...BENCH_KEYS, ...WHAT_IF_KEYS],
      [...APP_KEYS, ...COOK_KEYS],
      [...APP_KEYS, ...MARK_KEYS],
    ]) {
      const keys = heard.map((entry) => entry.key);
      expect(new Set(keys).size).toBe(keys.length);
    }
  });

  it("say what they do", () => {
    for (const entry of [...APP_KEYS, ...BENCH_KEYS, ...WHAT_IF_KEYS, ...COOK_KEYS, ...MARK_KEYS]) {
      expect(entry.does().length).toBeGreaterThan(5);
      expect(entry.shown).not.toBe("");
    }
  });
});
