import { describe, expect, it } from "vitest";
import type { DayOut, PlanIn } from "@/api/client";
import { laneSheet } from "@/drawing/lane-geometry";
import {
  type DayDraft,
  dayToAsk,
  emptyDay,
  hasBegun,
  inTodaysWords,
  isOnTheClock,
  localTime,
  missedMin,
  nights,
  shopping,
} from "@/lib/day";

const NOON = new Date(2026, 10, 28, 12, 0);
const DAY: DayDraft = {
  ...emptyDay(NOON),
  dishes: [
    {
      dish_id: "d1",
      title: "Ribs",
      plan: { pieces: [], pot: "p" } as never,
      from_freezer: false,
      sauce: "half",
      rubbed: false,
      crackling: false,
      pulled_first: false,
      ahead: "today",
      marinade: null,
      parted: false,
      leftovers: "chill",
      extras: [],
    },
  ],
};

describe("work that should have begun", () => {
  const block = (state: string, start: string) => ({ state, start }) as never;

  it("counts from the first that nobody began", () => {
    const at = (clock: string) => new Date(`2026-11-28T${clock}`).toISOString();
    const blocks = [
      block("done", at("10:00")),
      block("free", at("11:30")),
      block("free", at("13:00")),
    ];
    expect(missedMin({ blocks }, NOON)).toBe(30);
    expect(missedMin({ blocks: blocks.slice(2) }, NOON)).toBe(0);
    expect(missedMin({ blocks: blocks.slice(0, 1) }, NOON)).toBe(0);
    expect(missedMin({ blocks: [] }, NOON)).toBe(0);
  });
});

describe("a day that has begun", () => {
  it("is one of which a dish is cooked, until long after dinner", () => {
    expect(hasBegun(DAY, NOON)).toBe(false);
    const cooked = { ...DAY, beside: { d1: "c1" } };
    expect(hasBegun(cooked, NOON)).toBe(true);
    expect(hasBegun(cooked, new Date(2026, 10, 29, 12, 0))).toBe(false);
    expect(hasBegun({ ...cooked, dishes: [] }, NOON)).toBe(false);
  });
});

describe("a day that is planned", () => {
  it("is for this evening, or for tomorrow's when that is too soon", () => {
    expect(emptyDay(NOON).table).toBe("2026-11-28T19:00");
    expect(emptyDay(new Date(2026, 10, 28, 15, 0)).table).toBe("2026-11-29T19:00");
  });

  it("is asked for with its nights, and not without a dish", () => {
    expect(dayToAsk(emptyDay(NOON), NOON)).toBeNull();
    expect(dayToAsk({ ...DAY, table: "soon" }, NOON)).toBeNull();
    const asked = dayToAsk({ ...DAY, pinned: { "d1:run0": "2026-11-28T15:00:00Z" } }, NOON);
    expect(asked?.pinned).toEqual([{ block_id: "d1:run0", start: "2026-11-28T15:00:00Z" }]);
    expect(asked?.away?.length).toBeGreaterThan(0);
  });

  it("leaves out the night in which somebody is up", () => {
    const table = new Date(2026, 10, 28, 19, 0);
    const asleep = nights(DAY, table, null);
    const midnight = new Date(2026, 10, 28, 1, 0);
    expect(nights(DAY, table, midnight)).toHaveLength(asleep.length - 1);
    expect(nights({ ...DAY, night: null }, table, null)).toEqual([]);
    expect(nights({ ...DAY, night: { from: "late", to: "06:00" } }, table, null)).toEqual([]);
    for (const { begin, end } of asleep) {
      expect(Date.parse(end) - Date.parse(begin)).toBe(7 * 3_600_000);
    }
  });

  it("writes local times as an input does", () => {
    expect(localTime(new Date(2026, 0, 5, 7, 9))).toBe("2026-01-05T07:09");
    expect(isOnTheClock("2026-11-28T19:00")).toBe(true);
    expect(isOnTheClock("half past six")).toBe(true); // read elsewhere
  });

  it("shops for all dishes: a recipe's own list, and the meat of the others", () => {
    const draft = {
      ...DAY,
      shopping: { d1: [{ section: "spices", items: ["paprika"] }] },
    };
    const cards = [
      { dish_id: "d1", bought: ["1 kg ribs"] },
      { dish_id: "d2", bought: ["2 kg shoulder"] },
    ] as DayOut["cards"];
    expect(shopping(draft, cards)).toEqual([
      { section: "spices", items: ["paprika"] },
      { section: "meat", items: ["2 kg shoulder"] },
    ]);
  });
});

const segment = (kind: string, minutes: number, lanes: string[]) => ({
  kind,
  title: kind,
  low_s: 60 * minutes,
  likely_s: 60 * minutes,
  high_s: 60 * minutes,
  lanes,
});

const SHEET: DayOut = {
  table: "2026-11-28T19:00:00Z",
  delay_s: 0,
  start: "2026-11-28T17:00:00Z",
  safe: true,
  proved: true,
  clashes: [],
  done: [],
  cards: [],
  blocks: ["one", "two"].map((id) => ({
    block_id: id,
    dish_id: id,
    dish: id,
    start: "2026-11-28T17:00:00Z",
    end: "2026-11-28T18:30:00Z",
    state: "free" as never,
    gauge: [
      [0, 0],
      [5400, 75_000],
    ],
    segments: [segment("load", 10, ["hands", "pot:a"]), segment("hold", 80, ["pot:a"])],
  })),
};

describe("the lanes of a day", () => {
  const sheet = laneSheet(SHEET, 900, 100);

  it("stand in the order of work, with a line for what runs side by side", () => {
    expect(sheet.lanes).toEqual([
      { name: "hands", rows: 2 },
      { name: "pot:a", rows: 2 },
    ]);
  });

  it("put the cooker that is used first above the other, whatever its id", () => {
    const blocks = SHEET.blocks.map((block, at) => ({
      ...block,
      start: `2026-11-28T17:${at === 0 ? "30" : "00"}:00Z`,
      segments: [segment("load", 10, [at === 0 ? "pot:a" : "pot:b"])],
    }));
    const names = laneSheet({ ...SHEET, blocks }, 900, 100).lanes.map((lane) => lane.name);
    expect(names).toEqual(["pot:b", "pot:a"]);
  });

  it("hold every bar inside the sheet, as long as its work", () => {
    for (const bar of sheet.bars) {
      expect(bar.x).toBeGreaterThanOrEqual(100);
      expect(bar.x + bar.width).toBeLessThanOrEqual(900 + 1e-6);
    }
    const hold = sheet.bars.find((bar) => bar.title === "hold");
    const load = sheet.bars.find((bar) => bar.title === "load");
    expect((hold?.width ?? 0) / (load?.width ?? 1)).toBeCloseTo(8);
  });

  it("draw the pressure of each run on its cooker's lane", () => {
    expect(sheet.curves.map((curve) => curve.lane)).toEqual(["pot:a", "pot:a"]);
    for (const [x, height] of sheet.curves[0]?.points ?? []) {
      expect(x).toBeGreaterThanOrEqual(100);
      expect(height).toBeLessThanOrEqual(1);
    }
  });
});

it("a day that was kept before a sauce could be of a kind says the same as then", () => {
  const old = (sauce: unknown) => ({ ...DAY.dishes[0], sauce }) as DayDraft["dishes"][number];
  const day = inTodaysWords({ ...DAY, dishes: [old(true), old(false), old("glaze")] });
  expect(day.dishes.map((dish) => dish.sauce)).toEqual(["half", "none", "glaze"]);
});

it("a day that was kept when the liquid style was a school says the same as then", () => {
  const plan = { pieces: [], pot: "a", school: "bath" } as unknown as PlanIn;
  const old = { ...DAY.dishes[0], plan } as DayDraft["dishes"][number];
  const day = inTodaysWords({ ...DAY, dishes: [old] });
  expect(day.dishes[0]?.plan).toEqual({ pieces: [], pot: "a", liquid_style: "bath" });
});
