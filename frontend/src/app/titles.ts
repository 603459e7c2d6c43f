import { useEffect } from "react";
import { say } from "@/text/say";

const NAMES: Record<string, string> = {
  "/plan": "app-plan",
  "/convert": "app-convert",
  "/schedule": "app-schedule",
  "/cook": "app-cook",
  "/log": "app-log",
  "/plan/saved": "app-saved-plans",
  "/kitchen": "app-my-kitchen",
  "/guide": "app-guide",
};

/** The title of the tab: what is due, where one is, and the app. */
export function titleOf(path: string, due: string | null): string {
  const view = say(NAMES[path] ?? "app-not-found");
  return [due, view, "Pneumachron"].filter(Boolean).join(" · ");
}

export function useTitle(path: string, due: string | null): void {
  useEffect(() => {
    document.title = titleOf(path, due);
  }, [path, due]);
}
