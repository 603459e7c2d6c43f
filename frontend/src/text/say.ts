/** The screen's own words, by Fluent catalogs as on the server: one folder a locale.
 *
 * en-US is the source and complete; en-GB holds only what differs. What the domain says (steps,
 * reasons, cautions, words for tenderness) comes worded from the server.
 */

import { FluentBundle, FluentNumber, FluentResource, type FluentVariable } from "@fluent/bundle";

export type Locale = "en-US" | "en-GB";
/** What is not there is told as nothing. */
export type Params = Record<string, string | number | null | undefined>;

const SOURCE = "en-US";
/** For a look at the screen with every word of a catalog marked: what stays plain is in none. */
export const MARKED = "en-XA";

const FILES = import.meta.glob<string>("./*/*.ftl", {
  query: "?raw",
  import: "default",
  eager: true,
});
let bundle = bundleOf(SOURCE);

/** From here on this is the locale. */
export function speak(locale: string): void {
  if (!bundle.locales.includes(locale)) {
    bundle = bundleOf(locale);
    if (typeof document !== "undefined") document.documentElement.lang = locale;
  }
}

/** The text of a message. */
export function say(id: string, params: Params = {}): string {
  const pattern = bundle.getMessage(id)?.value;
  if (!pattern) throw new Error(`no message ${id}`);
  const errors: Error[] = [];
  const text = bundle.formatPattern(pattern, plain(params), errors);
  if (errors[0]) throw new Error(`${id}: ${errors[0].message}`);
  return text;
}

/** Numbers as they are, without a sign between the thousands: they stand beside typed ones. */
function plain(params: Params): Record<string, FluentVariable> {
  return Object.fromEntries(
    Object.entries(params).map(([name, value]) => [
      name,
      typeof value === "number"
        ? new FluentNumber(value, { useGrouping: false, maximumFractionDigits: 6 })
        : (value ?? ""),
    ]),
  );
}

function bundleOf(locale: string): FluentBundle {
  const made = new FluentBundle([locale, SOURCE], {
    useIsolating: false,
    ...(locale === MARKED && { transform: marked }),
  });
  for (const folder of new Set([SOURCE, locale])) {
    for (const [path, text] of Object.entries(FILES)) {
      if (path.startsWith(`./${folder}/`)) {
        made.addResource(new FluentResource(text), { allowOverrides: true });
      }
    }
  }
  return made;
}

/** Every letter with a ring or a stroke, so that plain letters stand out. */
function marked(text: string): string {
  return text.replace(/[a-z]/gi, (letter) => `${letter}\u030a`);
}
