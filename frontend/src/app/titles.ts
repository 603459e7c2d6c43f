import { useEffect } from "react";

const NAMES: Record<string, string> = {
  "/plan": "Plan",
  "/convert": "Convert",
  "/schedule": "Schedule",
  "/cook": "Cook",
  "/log": "Log",
  "/plan/saved": "Saved plans",
  "/kitchen": "My kitchen",
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
