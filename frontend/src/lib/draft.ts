/** What stood in Plan last, so that nothing typed is lost between visits. */

import { keep, readKept } from "@/lib/storage";

const KEY = "pneumachron.bench";

export function lastBench(): string {
  return readKept(KEY) ?? "";
}

export function keepBench(search: string): void {
  keep(KEY, search);
}
