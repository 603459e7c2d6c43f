/** What stood in Plan last, so that nothing typed is lost between visits. */

import { keep, readKept } from "@/lib/storage";

const KEY = "pneumachron.bench";

export function lastPlanAddress(): string {
  return readKept(KEY) ?? "";
}

export function keepPlanAddress(search: string): void {
  keep(KEY, search);
}
