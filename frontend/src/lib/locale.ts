/** The household's English: taken over from the server, and remembered for the next visit, so that
 * what is said before the server answers is said in it too. */

import { keepLocale } from "@/lib/clock";
import { keep, readKept } from "@/lib/storage";
import { speak } from "@/text/say";

const KEY = "pneumachron.locale";
const KNOWN = ["en-US", "en-GB"];

export function takeOverLocale(locale: string): void {
  keepLocale(locale);
  speak(locale);
  keep(KEY, locale);
}

/** The locale of the last visit, if there was one. */
export function recallLocale(): void {
  const locale = readKept(KEY);
  if (locale === null || !KNOWN.includes(locale)) return;
  keepLocale(locale);
  speak(locale);
}
