import { Moon, Sun } from "lucide-react";
import { useState } from "react";
import { Link, useLocation } from "wouter";
import { keepTheme, savedTheme } from "@/app/theme";
import { keepPlanAddress, lastPlanAddress } from "@/lib/plan-address";
import { UndoRedo } from "@/parts/UndoRedo";
import { say } from "@/text/say";

const views = () => [
  { path: "/plan", name: say("app-plan") },
  { path: "/convert", name: say("app-convert") },
  { path: "/schedule", name: say("app-schedule") },
  { path: "/cook", name: say("app-cook") },
  { path: "/log", name: say("app-log") },
  { path: "/kitchen", name: say("app-my-kitchen") },
  { path: "/guide", name: say("app-guide") },
];

/** The name and the ways through the app. */
export function Masthead() {
  const [location] = useLocation();
  const [theme, setTheme] = useState(savedTheme);
  const other = theme === "light" ? "dark" : "light";
  return (
    <header className="print:hidden flex min-h-12 items-center gap-2.5 border-ink border-b-2 px-3 sm:gap-6 sm:px-5">
      <span className="hidden font-bold font-dial text-[0.9375rem] min-[520px]:inline sm:text-[1.25rem]">
        {say("app-pneumachron")}
      </span>
      <nav
        aria-label={say("app-views")}
        className="flex min-w-0 flex-wrap gap-x-1.5 text-[0.8125rem] min-[400px]:gap-x-2.5 min-[400px]:text-[0.875rem] sm:gap-x-5 sm:text-[0.9375rem]"
      >
        {views().map(({ path, name }) => (
          <Link
            key={path}
            href={path === "/plan" ? `/plan${lastPlanAddress()}` : path}
            aria-current={location === path || location.startsWith(`${path}/`) ? "page" : undefined}
            className="border-transparent border-b-[3px] pt-1 font-medium aria-[current=page]:border-ink aria-[current=page]:font-semibold"
          >
            {name}
          </Link>
        ))}
      </nav>
      {location.startsWith("/plan") && (
        <p className="ml-auto hidden items-center gap-4 text-[0.9375rem] lg:flex">
          {location === "/plan" && <UndoRedo />}
          <Link
            href="/plan"
            onClick={() => keepPlanAddress("")}
            className="underline underline-offset-4"
          >
            {say("app-new-plan")}
          </Link>
          <Link href="/plan/saved" className="underline underline-offset-4">
            {say("app-saved-plans")}
          </Link>
        </p>
      )}
      <button
        type="button"
        className={`${location.startsWith("/plan") ? "ml-auto lg:ml-0" : "ml-auto"} grid h-8 w-8 place-items-center`}
        aria-label={other === "dark" ? say("app-dark-colors") : say("app-light-colors")}
        onClick={() => {
          keepTheme(other);
          setTheme(other);
        }}
      >
        {theme === "light" ? <Moon size={18} /> : <Sun size={18} />}
      </button>
    </header>
  );
}
