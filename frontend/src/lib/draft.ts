/** What stood on the Bench last, so that nothing typed is lost between visits. */

const KEY = "pneumachron.bench";

export function lastBench(): string {
  return localStorage.getItem(KEY) ?? "";
}

export function keepBench(search: string): void {
  localStorage.setItem(KEY, search);
}
