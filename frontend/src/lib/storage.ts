/** What the browser keeps between visits. It may be switched off, full, or emptied at any time: then
 * things are kept as long as the page is open, and the page works all the same. */

const memory = new Map<string, string>();

export function readKept(key: string): string | null {
  if (memory.has(key)) return memory.get(key) ?? null;
  try {
    return window.localStorage.getItem(key);
  } catch {
    return null; // switched off
  }
}

/** Keep a text; says whether it outlives the page. */
export function keep(key: string, text: string): boolean {
  try {
    window.localStorage.setItem(key, text);
    memory.delete(key);
    return true;
  } catch {
    memory.set(key, text); // switched off or full
    return false;
  }
}

export function forgetKept(key: string): void {
  memory.delete(key);
  try {
    window.localStorage.removeItem(key);
  } catch {
    // switched off: there is nothing to forget
  }
}

/** A kept value of a known shape, or null when it is missing or not of that shape. */
export function readKeptAs<T>(key: string, is: (value: unknown) => value is T): T | null {
  try {
    const value: unknown = JSON.parse(readKept(key) ?? "null");
    return is(value) ? value : null;
  } catch {
    return null; // a broken draft is no draft
  }
}

export function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

/** Changes that another tab makes to a key; gives a function that ends listening. */
export function onKeptElsewhere(key: string, changed: (text: string | null) => void): () => void {
  const listen = (event: StorageEvent) => {
    if (event.key === key || event.key === null) changed(event.newValue);
  };
  window.addEventListener("storage", listen);
  return () => window.removeEventListener("storage", listen);
}
