/** Numbers and measures as a cook reads them. No physics. */

export type Units = "metric" | "us";

const M_PER_INCH = 0.0254;
const KG_PER_OUNCE = 0.028349523125;

/** Hours and minutes, as a chart and a cooker that shows hours have them: 95 → `1:35`. */
export function hoursMinutes(minutes: number): string {
  const whole = Math.max(0, Math.round(minutes));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, "0")}`;
}

/** A cook time: always minutes. */
export function cookTime(minutes: number): string {
  return `${Math.max(0, Math.round(minutes))}\u00a0min`;
}

/** A range of cook times: `74–129 min`. */
export function cookTimes(low: number, high: number): string {
  const from = Math.max(0, Math.round(low));
  const to = Math.max(0, Math.round(high));
  return from === to ? cookTime(from) : `${from}–${cookTime(to)}`;
}

const M3_PER_QUART = 9.46352946e-4;

/** The size of a cooker: `5.7 l` or `6 qt`. */
export function sizeText(cubicMeters: number, units: Units): string {
  return units === "us"
    ? `${trimmed(cubicMeters / M3_PER_QUART, 1)} qt`
    : `${trimmed(1000 * cubicMeters, 1)} l`;
}

const KPA_PER_PSI = 6.894757;

/** A gauge pressure, given in kPa. */
export function pressureText(kpa: number, units: Units): string {
  return units === "us"
    ? `${trimmed(kpa / KPA_PER_PSI, 1)}\u00a0psi`
    : `${Math.round(kpa)}\u00a0kPa`;
}

/** A temperature, given in °C. */
export function temperatureText(celsius: number, units: Units): string {
  return units === "us"
    ? `${Math.round((celsius * 9) / 5 + 32)}\u00a0°F`
    : `${Math.round(celsius)}\u00a0°C`;
}

/** What stands in both systems, for safety: the kitchen's own leads. */
export function inBoth(shown: Record<Units, string>, units: Units): string {
  const other = units === "us" ? "metric" : "us";
  return bindUnits(`${shown[units]} (${shown[other]})`);
}

/** A temperature to stand in a field, as one would type it. */
export function typedTemperature(celsius: number, units: Units): string {
  return temperatureText(celsius, units).replace("\u00a0", " ");
}

/** A temperature to a tenth of a degree, given in °C. */
export function preciseTemperature(celsius: number, units: Units): string {
  return units === "us"
    ? `${((celsius * 9) / 5 + 32).toFixed(1)}\u00a0°F`
    : `${celsius.toFixed(1)}\u00a0°C`;
}

/** Minutes in words: 95 → `1 h 35 min`. */
export function spokenTime(minutes: number): string {
  const whole = Math.max(0, Math.round(minutes));
  const hours = Math.floor(whole / 60);
  const rest = whole % 60;
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

const GLYPHS: Record<string, string> = {
  "1/2": "½",
  "1/4": "¼",
  "3/4": "¾",
  "1/8": "⅛",
  "3/8": "⅜",
  "5/8": "⅝",
  "7/8": "⅞",
};

/** A number as a cook writes it, to the nearest part: 1.75 → `1¾`. */
export function mixedFraction(value: number, parts: number): string {
  const total = Math.round(value * parts);
  const whole = Math.floor(total / parts);
  let top = total % parts;
  let bottom = parts;
  while (top > 0 && top % 2 === 0 && bottom % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  if (top === 0) return String(whole);
  const glyph = GLYPHS[`${top}/${bottom}`] ?? ` ${top}/${bottom}`;
  return whole === 0 ? glyph.trim() : `${whole}${glyph}`;
}

/** Which system a typed measure is in; the household's when it has no letter that tells. */
export function unitsOf(text: string, fallback: Units): Units {
  if (/in\b|inch|\d\s*°?F\b|["″#]|lb|pound|oz|ounce|cup|tbsp|qt|pt/i.test(text)) return "us";
  return /\d\s*(k?g|°?C\b|[cm]?m|m?l|gram|lit)|kilo|gram|lit(er|re)/i.test(text)
    ? "metric"
    : fallback;
}

/** What stands beside a measure that was typed: the kitchen's own unit, when it is in the other. */
export function besideTyped(
  shown: Record<Units, string> | undefined,
  typed: string,
  units: Units,
): string | undefined {
  return unitsOf(typed, units) === units ? undefined : shown?.[units];
}

/** What was typed, with a unit where it was a number alone: `3` → `3 lb`. */
export function withUnit(text: string, unit: string): string {
  const typed = text.trim();
  return /\d|[½⅓⅔¼¾⅛⅜⅝⅞]/.test(typed) && /^[\d\s.,/½⅓⅔¼¾⅛⅜⅝⅞]+$/.test(typed)
    ? `${typed} ${unit}`
    : text;
}

/** A length to type: to the millimetre, or to an eighth of an inch. */
export function lengthText(metres: number, units: Units): string {
  if (units === "us") return `${mixedFraction(metres / M_PER_INCH, 8)} in`;
  return `${trimmed(100 * metres, 1)} cm`;
}

/** A mass to type: to 10 g, or to an ounce. */
export function massText(kilograms: number, units: Units): string {
  if (units === "metric") {
    return kilograms < 1 ? `${Math.round(kilograms * 100) * 10} g` : `${trimmed(kilograms, 2)} kg`;
  }
  const ounces = Math.round(kilograms / 0.028349523125);
  const pounds = Math.floor(ounces / 16);
  const rest = ounces % 16;
  if (pounds === 0) return `${rest} oz`;
  return rest === 0 ? `${pounds} lb` : `${pounds} lb ${rest} oz`;
}

const MASS_KG: Record<string, number> = {
  kg: 1,
  g: 0.001,
  lb: 0.45359237,
  oz: 0.028349523125,
};
const LENGTH_M: Record<string, number> = { cm: 0.01, in: M_PER_INCH };

/** Reads back what `massText` wrote; null for anything else, which only the server reads. */
export function ownMass(text: string): number | null {
  return readBack(text, MASS_KG);
}

/** Reads back what `lengthText` wrote; null for anything else, which only the server reads. */
export function ownLength(text: string): number | null {
  return readBack(text, LENGTH_M);
}

function readBack(written: string, units: Record<string, number>): number | null {
  const text = Object.entries(GLYPHS)
    .reduce((left, [plain, glyph]) => left.replace(glyph, ` ${plain}`), written)
    .trim();
  if (!/^([\d.]+( \d+\/\d+)?|\d+\/\d+) [a-z]+( \d+ oz)?$/.test(text)) return null;
  let total = 0;
  let amount = 0;
  for (const part of text.split(" ")) {
    const [top, bottom] = part.split("/").map(Number);
    const unit = units[part];
    if (unit !== undefined) {
      total += amount * unit;
      amount = 0;
    } else if (top !== undefined && Number.isFinite(top)) {
      amount += top / (bottom ?? 1);
    } else {
      return null;
    }
  }
  return total;
}

/** One step of a length: 5 mm, or a quarter inch, on a round value. */
export function steppedLength(metres: number, direction: 1 | -1, units: Units): number {
  return stepped(metres, direction, units === "us" ? M_PER_INCH / 4 : 0.005);
}

/** One step of a mass: 100 g, or 4 ounces, on a round value. */
export function steppedMass(kilograms: number, direction: 1 | -1, units: Units): number {
  return stepped(kilograms, direction, units === "us" ? 0.45359237 / 4 : 0.1);
}

function stepped(value: number, direction: 1 | -1, step: number): number {
  const position = value / step;
  const next = direction > 0 ? Math.floor(position + 1e-6) + 1 : Math.ceil(position - 1e-6) - 1;
  return Math.max(step, next * step);
}

function trimmed(value: number, digits: number): string {
  return String(Number(value.toFixed(digits)));
}

/** Keeps a number and its unit on one line. */
export function bindUnits(text: string): string {
  return text.replace(/(\d) (°C|°F|min|ml|cm|m|kg|h|%)(?![\w])/g, "$1\u00a0$2");
}

/** Seconds from and to in minutes or hours: [300, 600] → `5–10 min`. */
export function spanText(seconds: number[]): string {
  const minutes = seconds.map((value) => Math.round(value / 60));
  const [from = 0, to = from] = minutes;
  if (from === to) return spokenTime(to);
  return to >= 180 ? `${trimmed(from / 60, 1)}–${trimmed(to / 60, 1)} h` : `${from}–${to} min`;
}

/** The same of minutes. */
export const spanOfMinutes = (minutes: number[]): string =>
  spanText(minutes.map((value) => 60 * value));

const M3_PER_CUP = 2.365882365e-4;

/** A span of volumes: `150–200 ml`, `½–¾ cup`. */
export function smallVolume(cubicMeters: number[], units: Units): string {
  if (units === "us") {
    const cups = [...new Set(cubicMeters.map((value) => mixedFraction(value / M3_PER_CUP, 4)))];
    return `${cups.join("–")}\u00a0${cubicMeters.some((v) => v > M3_PER_CUP) ? "cups" : "cup"}`;
  }
  const shown = [...new Set(cubicMeters.map((value) => Math.round(value * 1e5) * 10))];
  return `${shown.join("–")}\u00a0ml`;
}

/** Small masses from and to: [0.011, 0.016] → `11–16 g` or `0.4–0.6 oz`. */
export function smallMass(kilograms: number[], units: Units): string {
  const [from = 0, to = from] = kilograms.map((value) =>
    units === "us" ? Number((value / KG_PER_OUNCE).toFixed(1)) : Math.round(value * 1000),
  );
  const unit = units === "us" ? "oz" : "g";
  return from === 0 || from === to ? `${to}\u00a0${unit}` : `${from}–${to}\u00a0${unit}`;
}

/** Minutes from now until a time of day; of tomorrow when it is past. */
export function minutesUntil(clock: string, now: Date): number | null {
  const found = /^(\d{1,2}):(\d{2})$/.exec(clock);
  if (!found) return null;
  const wanted = Number(found[1]) * 60 + Number(found[2]);
  const left = wanted - (now.getHours() * 60 + now.getMinutes());
  return left > 0 ? left : left + 24 * 60;
}
