import { Moon, Sun } from "lucide-react";
import { useState } from "react";
import { Link, useLocation } from "wouter";
import { keepTheme, savedTheme } from "@/app/theme";
import { lastBench } from "@/lib/draft";

const VIEWS = [
  { path: "/", name: "Bench" },
  { path: "/convert", name: "Convert" },
  { path: "/day", name: "Day" },
  { path: "/cook", name: "Cook" },
  { path: "/log", name: "Log" },
  { path: "/plans", name: "Plans" },
  { path: "/kit", name: "Kit" },
  { path: "/guide", name: "Guide" },
];

/** The name and the ways through the app. */
export function Masthead() {
  const [location] = useLocation();
  const [theme, setTheme] = useState(savedTheme);
  const other = theme === "light" ? "dark" : "light";
  return (
    <header className="print:hidden flex min-h-12 items-center gap-2.5 border-ink border-b-2 px-3 sm:gap-6 sm:px-5">
      <span className="hidden font-bold font-dial text-[0.9375rem] min-[520px]:inline sm:text-[1.25rem]">
        Pneumachron
      </span>
      <nav
        aria-label="Views"
        className="flex min-w-0 flex-wrap gap-x-1.5 text-[0.8125rem] min-[400px]:gap-x-2.5 min-[400px]:text-[0.875rem] sm:gap-x-5 sm:text-[0.9375rem]"
      >
        {VIEWS.map(({ path, name }) => (
          <Link
            key={path}
            href={path === "/" ? `/${lastBench()}` : path}
            aria-current={location === path ? "page" : undefined}
            className="border-transparent border-b-[3px] pt-1 font-medium aria-[current=page]:border-ink aria-[current=page]:font-semibold"
          >
            {name}
          </Link>
        ))}
      </nav>
      <button
        type="button"
        className="ml-auto grid h-8 w-8 place-items-center"
        aria-label={other === "dark" ? "slate for the night" : "paper for the day"}
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
