/** The day that is being planned: kept in the browser, so that nothing typed is lost. */

import type { ConvertedOut, DayIn, DayOut, PlanIn, RecipeCard, SavedSchedule } from "@/api/client";
import { keep, onKeptElsewhere, readKeptAs } from "@/lib/storage";

export interface DayDraft {
  /** The kept day this is a draft of, and its name. */
  id: string | null;
  /** The version it was opened from. */
  version: number | null;
  name: string;
  /** Local date and time of the table, as an input writes it: 2026-11-28T19:00. */
  table: string;
  cooks: number;
  /** Hours in which nobody cooks, as inputs write them; null when somebody is always up. */
  night: { from: string; to: string } | null;
  shop: boolean;
  dishes: DayIn["dishes"];
  /** What a recipe wants bought, by dish. */
  shopping: Record<string, Shop[]>;
  pinned: Record<string, string>;
  /** What a dish is cooked from, by dish. */
  recipes: Record<string, RecipeCard>;
  /** When work began, by block, and when it was over. */
  done: Record<string, string>;
  ended: Record<string, string>;
  /** Cooks beside the pot, by dish: what they tell is done is done. */
  beside: Record<string, string>;
}

export interface Shop {
  section: string;
  items: string[];
}

const KEY = "pneumachron.day";

export function emptyDay(now = new Date()): DayDraft {
  return {
    id: null,
    version: null,
    name: "",
    table: tonight(now),
    cooks: 1,
    night: { from: "23:00", to: "06:00" },
    shop: false,
    dishes: [],
    shopping: {},
    recipes: {},
    pinned: {},
    done: {},
    ended: {},
    beside: {},
  };
}

export function loadScheduleDraft(now = new Date()): DayDraft {
  // what an older draft does not know has its usual value
  return inTodaysWords({ ...emptyDay(now), ...readKeptAs(KEY, isDay) });
}

/** A day as an earlier version kept it: a sauce was yes or no, and the liquid style a school. */
export function inTodaysWords(day: DayDraft): DayDraft {
  const named = (sauce: unknown) => (sauce === true ? "half" : sauce === false ? "none" : sauce);
  const dishes = day.dishes.map((dish) => ({
    ...dish,
    plan: withLiquidStyle(dish.plan),
    sauce: named(dish.sauce) as Sauce,
  }));
  return { ...day, dishes };
}

function withLiquidStyle({
  school,
  ...plan
}: PlanIn & { school?: PlanIn["liquid_style"] }): PlanIn {
  return school ? { ...plan, liquid_style: school } : plan;
}

type Sauce = NonNullable<DayIn["dishes"][number]["sauce"]>;

function isDay(value: unknown): value is DayDraft {
  return typeof value === "object" && value !== null && "dishes" in value && "pinned" in value;
}

export function keepDay(day: DayDraft): void {
  keep(KEY, JSON.stringify(day));
}

/** Another tab changed the draft: it is read again there too. */
export function onDayElsewhere(changed: (day: DayDraft) => void): () => void {
  return onKeptElsewhere(KEY, () => changed(loadScheduleDraft()));
}

/** Whether a typed local time exists: on the day the clocks go forward an hour is left out. A browser
 * moves it silently; here it is said. */
export function isOnTheClock(typed: string): boolean {
  const moment = new Date(typed);
  return Number.isNaN(moment.getTime()) || localTime(moment) === typed.slice(0, 16);
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

/** With the zone of this clock: the server has to know when the evening before ends. */
export function zonedTime(moment: Date): string {
  const ahead = -moment.getTimezoneOffset();
  const two = (value: number) => String(Math.abs(Math.trunc(value))).padStart(2, "0");
  const sign = ahead < 0 ? "-" : "+";
  return `${localTime(moment)}:00${sign}${two(ahead / 60)}:${two(ahead % 60)}`;
}

type FromRecipe = Pick<
  ConvertedOut,
  | "shopping"
  | "marinade"
  | "marinate_min"
  | "rubbed"
  | "rub_min"
  | "crackling"
  | "pulled_first"
  | "sear_min"
  | "extras"
  | "lines"
  | "steps"
>;

/** A planned cook goes onto the day, with what its recipe wants besides. */
export function addDish(title: string, plan: PlanIn, recipe?: FromRecipe): void {
  const day = loadScheduleDraft();
  if (day.dishes.length >= MOST_DISHES) return;
  const id = crypto.randomUUID().slice(0, 8);
  const dish: DayIn["dishes"][number] = {
    dish_id: id,
    title: title.slice(0, 120),
    plan,
    from_freezer: false,
    sauce: "half",
    rubbed: recipe?.rubbed ?? false,
    rub_min: recipe?.rub_min ?? null,
    crackling: recipe?.crackling ?? false,
    pulled_first: recipe?.pulled_first ?? false,
    sear_min: recipe?.sear_min ?? null,
    ahead: "today",
    marinade: recipe?.marinade ?? null,
    marinate_min: recipe?.marinate_min ?? null,
    parted: false,
    leftovers: "chill",
    extras: recipe?.extras ?? [],
  };
  const shopping = recipe ? { ...day.shopping, [id]: recipe.shopping } : day.shopping;
  const recipes = recipe ? { ...day.recipes, [id]: recipeCard(title, recipe) } : day.recipes;
  keepDay({ ...day, dishes: [...day.dishes, dish], shopping, recipes });
}

/** A converted recipe as it comes along to the pot; what is longer than a card is cut off. */
export function recipeCard(
  title: string,
  { lines, steps }: Pick<ConvertedOut, "lines" | "steps">,
): RecipeCard {
  return {
    title: title.slice(0, 200),
    ingredients: lines.slice(0, 120).map((line) => line.text.slice(0, 300)),
    steps: steps.slice(0, 60).map(({ kind, text }) => ({ kind, text: text.slice(0, 2000) })),
  };
}

/** One list for the shop over all dishes: a recipe's own, and the meat of the others. */
export function shopping(day: DayDraft, cards: DayOut["cards"]): Shop[] {
  const sections = new Map<string, string[]>();
  const put = (section: string, items: string[]) =>
    sections.set(section, [...(sections.get(section) ?? []), ...items]);
  for (const card of cards) {
    const own = day.shopping[card.dish_id];
    if (own) for (const shop of own) put(shop.section, shop.items);
    else put("meat", card.bought);
  }
  return [...sections].map(([section, items]) => ({ section, items }));
}

export const MOST_DISHES = 8;
/** Further back nobody is awake or asleep that it matters to. */
const NIGHTS = 10;

/** As the server takes it; null while there is no dish or no time. */
export function dayToAsk(day: DayDraft, now: Date | null): DayIn | null {
  const table = new Date(day.table);
  if (day.dishes.length === 0 || Number.isNaN(table.getTime())) return null;
  const stands = (starts: Record<string, string>) =>
    Object.entries(starts).map(([block_id, start]) => ({ block_id, start }));
  return {
    table: zonedTime(table),
    dishes: day.dishes,
    cooks: day.cooks,
    pinned: stands(day.pinned),
    done: stands(day.done).map((item) => ({ ...item, end: day.ended[item.block_id] ?? null })),
    away: nights(day, table, now),
    shop: day.shop,
    now: now ? now.toISOString() : null,
    beside: Object.fromEntries(
      Object.entries(day.beside).filter(([dish]) => day.dishes.some((d) => d.dish_id === dish)),
    ),
  };
}

/** The nights before the table. One in which somebody is up, at the table or now, is none. */
export function nights(day: DayDraft, table: Date, now: Date | null): NonNullable<DayIn["away"]> {
  const { night } = day;
  if (!night || !/^\d\d:\d\d$/.test(night.from) || !/^\d\d:\d\d$/.test(night.to)) return [];
  const found = [];
  for (let back = 0; back <= NIGHTS; back += 1) {
    const end = clockOn(table, night.to, -back);
    const begin = clockOn(end, night.from, night.from < night.to ? 0 : -1);
    const up = [table, now].some((moment) => moment && begin <= moment && moment <= end);
    const coming = now !== null && begin.getTime() - now.getTime() < COMING_MS;
    if (begin < table && !up && !(coming && end > (now ?? end))) {
      found.push({ begin: begin.toISOString(), end: end.toISOString() });
    }
  }
  return found;
}

/** Who is in the middle of a cook stays up for it: the night that comes within these hours. */
const COMING_MS = 8 * 3_600_000;

/** A time of day some days from a date; the local clock counts, whatever the season does to it. */
function clockOn(date: Date, clock: string, days: number): Date {
  const [hours = 0, minutes = 0] = clock.split(":").map(Number);
  return new Date(date.getFullYear(), date.getMonth(), date.getDate() + days, hours, minutes);
}

/** Longest that a dinner may be late and still be this one. */
const STILL_ON_MS = 6 * 3_600_000;

/** Whether the day has begun: a dish of it is cooked, and dinner is not long over. */
export function hasBegun(day: DayDraft, now: Date): boolean {
  const cooked = day.dishes.some((dish) => day.beside[dish.dish_id] !== undefined);
  return cooked && now.getTime() < new Date(day.table).getTime() + STILL_ON_MS;
}

/** How long ago work should have begun that nobody has begun [min]; 0 when there is none. */
export function missedMin(day: Pick<DayOut, "blocks">, now: Date): number {
  const starts = day.blocks
    .filter(({ state }) => state === "free" || state === "pinned")
    .map(({ start }) => Date.parse(start));
  const missed = Math.floor((now.getTime() - Math.min(...starts)) / 60_000);
  return starts.length > 0 ? Math.max(missed, 0) : 0;
}

/** A kept day, back on the screen. */
export function openedDay(kept: SavedSchedule, before: DayDraft): DayDraft {
  const { day } = kept;
  const done = day.done ?? [];
  return inTodaysWords({
    ...before,
    id: kept.id,
    version: kept.version,
    name: kept.name,
    table: localTime(new Date(day.table)),
    cooks: day.cooks ?? 1,
    night: (day.away ?? []).length > 0 ? nightOf(day.away?.[0]) : null,
    shop: day.shop ?? false,
    dishes: day.dishes,
    shopping: kept.shopping,
    recipes: kept.recipes,
    pinned: Object.fromEntries((day.pinned ?? []).map((item) => [item.block_id, item.start])),
    done: Object.fromEntries(done.map((item) => [item.block_id, item.start])),
    beside: kept.beside,
    ended: Object.fromEntries(
      done.flatMap((item) => (item.end ? [[item.block_id, item.end]] : [])),
    ),
  });
}

function nightOf(away: { begin: string; end: string } | undefined): DayDraft["night"] {
  if (!away) return null;
  return {
    from: localTime(new Date(away.begin)).slice(11),
    to: localTime(new Date(away.end)).slice(11),
  };
}
