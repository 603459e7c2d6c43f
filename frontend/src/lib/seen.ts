/** Which version of a plan Plan was opened from, so that nobody writes over what they have not
 * seen. Kept between visits: the address only names the plan. */

import { isRecord, keep, readKeptAs } from "@/lib/storage";

const KEY = "pneumachron.seen";
const MOST = 60;

function all(): Record<string, unknown> {
  return readKeptAs(KEY, isRecord) ?? {};
}

/** The version that was seen first; null when it is not known. */
export function seenVersion(id: string): number | null {
  const found = all()[id];
  return typeof found === "number" ? found : null;
}

export function noteSeen(id: string, version: number): void {
  const rest = Object.entries(all()).filter(([key]) => key !== id);
  keep(KEY, JSON.stringify(Object.fromEntries([...rest.slice(1 - MOST), [id, version]])));
}

/** Note a version unless one is noted already: a later answer does not mean that it was looked at. */
export function noteFirst(id: string, version: number): void {
  if (seenVersion(id) === null) noteSeen(id, version);
}
