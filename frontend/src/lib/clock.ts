/** Times of day and dates, as the household's English writes them: `7:05 PM` or `19:05`. */

let locale = "en-US";

/** Takes over the household's English; the server says it with the vocabulary. */
export function keepLocale(of: string): void {
  locale = of;
  // what the browser itself shows (hyphens, spelling, paper) follows
  if (typeof document !== "undefined") document.documentElement.lang = of;
}

const FORMATS = new Map<string, Intl.DateTimeFormat>();

function written(moment: string | number | Date, options: Intl.DateTimeFormatOptions): string {
  const key = `${locale} ${JSON.stringify(options)}`;
  const format = FORMATS.get(key) ?? new Intl.DateTimeFormat(locale, options);
  FORMATS.set(key, format);
  // a space that does not break, as everywhere between a number and its unit
  return format.format(new Date(moment)).replace(/\s(?=[AP]M\b)/g, "\u00a0");
}

/** A time of day. */
export function clockTime(moment: string | number | Date): string {
  return written(moment, { timeStyle: "short" });
}

/** A time of day, with its day of the week when that is not today. */
export function clockTimeFrom(now: string | number | Date, moment: string | number | Date): string {
  const sameDay = new Date(now).toDateString() === new Date(moment).toDateString();
  return sameDay ? clockTime(moment) : `${weekday(moment)} ${clockTime(moment)}`;
}

/** A time of day where there is little room: `7 PM` at a full hour. */
export function axisTime(moment: Date): string {
  return clockTime(moment).replace(/:00(?=\s)/, "");
}

/** `Saturday, November 28` or `Saturday 28 November`. */
export function longDay(moment: string | number | Date): string {
  return written(moment, { weekday: "long", day: "numeric", month: "long" });
}

/** `Sat` */
export function weekday(moment: string | number | Date): string {
  return written(moment, { weekday: "short" });
}

/** `Nov 28, 26` or `28 Nov 26`. */
export function shortDate(moment: string | number | Date): string {
  return written(moment, { day: "numeric", month: "short", year: "2-digit" });
}

/** `Nov 2026` */
export function monthAndYear(moment: string | number | Date): string {
  return written(moment, { month: "short", year: "numeric" });
}

/** A date in full with the time of day. */
export function dateAndTime(moment: string | number | Date): string {
  return written(moment, { dateStyle: "long", timeStyle: "short" });
}
