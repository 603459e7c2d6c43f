/** The day that is being planned: kept in the browser, so that nothing typed is lost. */

import type { DayIn, DayOut, PlanIn } from "@/api/client";

export interface DayDraft {
  /** Local date and time of the table, as an input writes it: 2026-11-28T19:00. */
  table: string;
  cooks: number;
  dishes: DayIn["dishes"];
  /** What a recipe wants bought, by dish. */
  shopping?: Record<string, Shop[]>;
  pinned: Record<string, string>;
  done: Record<string, string>;
}

export interface Shop {
  section: string;
  items: string[];
}

const KEY = "pneumachron.day";

export function keptDay(now = new Date()): DayDraft {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(KEY) ?? "null");
    if (isDay(found)) return found;
  } catch {
    // a broken draft is no draft
  }
  return { table: tonight(now), cooks: 1, dishes: [], pinned: {}, done: {} };
}

function isDay(value: unknown): value is DayDraft {
  return typeof value === "object" && value !== null && "dishes" in value && "pinned" in value;
}

export function keepDay(day: DayDraft): void {
  localStorage.setItem(KEY, JSON.stringify(day));
}

/** Seven in the evening: today, or tomorrow when that is too soon for a pot. */
function tonight(now: Date): string {
  const day = new Date(now);
  if (now.getHours() >= 15) day.setDate(day.getDate() + 1);
  day.setHours(19, 0, 0, 0);
  return localTime(day);
}

export function localTime(moment: Date): string {
  const two = (value: number) => String(value).padStart(2, "0");
  const date = `${moment.getFullYear()}-${two(moment.getMonth() + 1)}-${two(moment.getDate())}`;
  return `${date}T${two(moment.getHours())}:${two(moment.getMinutes())}`;
}

/** A planned cook goes onto the day. */
export function addDish(title: string, plan: PlanIn, shopping?: Shop[]): void {
  const day = keptDay();
  if (day.dishes.length >= MOST_DISHES) return;
  const id = crypto.randomUUID().slice(0, 8);
  const dish = { dish_id: id, title, plan, from_freezer: false, sauce: true } as const;
  const bought = shopping ? { ...day.shopping, [id]: shopping } : day.shopping;
  const dishes = [...day.dishes, { ...dish, ahead: "today" as const }];
  keepDay({ ...day, dishes, ...(bought && { shopping: bought }) });
}

/** One list for the shop over all dishes: a recipe's own, and the meat of the others. */
export function shopping(day: DayDraft, cards: DayOut["cards"]): Shop[] {
  const sections = new Map<string, string[]>();
  const put = (section: string, items: string[]) =>
    sections.set(section, [...(sections.get(section) ?? []), ...items]);
  for (const card of cards) {
    const own = day.shopping?.[card.dish_id];
    if (own) for (const shop of own) put(shop.section, shop.items);
    else put("meat", card.bought);
  }
  return [...sections].map(([section, items]) => ({ section, items }));
}

export const MOST_DISHES = 8;

/** As the server takes it; null while there is no dish or no time. */
export function dayToAsk(day: DayDraft, now: Date | null): DayIn | null {
  const table = new Date(day.table);
  if (day.dishes.length === 0 || Number.isNaN(table.getTime())) return null;
  const stands = (starts: Record<string, string>) =>
    Object.entries(starts).map(([block_id, start]) => ({ block_id, start }));
  return {
    table: table.toISOString(),
    dishes: day.dishes,
    cooks: day.cooks,
    pinned: stands(day.pinned),
    done: stands(day.done),
    now: now ? now.toISOString() : null,
  };
}
