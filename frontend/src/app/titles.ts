import { useEffect } from "react";

const NAMES: Record<string, string> = {
  "/": "Bench",
  "/convert": "Convert",
  "/day": "Day",
  "/cook": "Cook",
  "/log": "Log",
  "/plans": "Plans",
  "/kit": "Kit",
  "/guide": "Guide",
};

/** The title of the tab: what is due, where one is, and the app. */
export function titleOf(path: string, due: string | null): string {
  const view = NAMES[path] ?? "Not found";
  return [due, view, "Pneumachron"].filter(Boolean).join(" · ");
}

export function useTitle(path: string, due: string | null): void {
  useEffect(() => {
    document.title = titleOf(path, due);
  }, [path, due]);
}
