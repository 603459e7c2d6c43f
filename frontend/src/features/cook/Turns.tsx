import { useLayoutEffect, useRef } from "react";
import { Link } from "wouter";
import type { Turn } from "@/api/client";
import { useTurns } from "@/api/cooks";
import { clockTimeFrom } from "@/lib/clock";
import { spokenTime } from "@/lib/format";
import { nickname } from "@/lib/pot-name";
import { say } from "@/text/say";

/** Several dishes at once, what needs hands at the top; nothing while there is one alone. Once it
 * was there it never shrinks: a cook that ends must not move what is below from under a hand. */
export function Turns({ here }: { here: string }) {
  const turns = useTurns().data?.turns ?? [];
  const section = useRef<HTMLElement>(null);
  const seen = useRef(false);
  if (turns.some((turn) => turn.id !== here)) seen.current = true;
  useLayoutEffect(() => {
    if (section.current) section.current.style.minHeight = `${section.current.offsetHeight}px`;
  });
  if (!seen.current) return null;
  return (
    <section ref={section} aria-label={say("cook-cooking-now")} className="border-ink border-y-2">
      {turns.length > 0 ? (
        <TurnList turns={turns} here={here} />
      ) : (
        <p className="px-2 py-3 text-pencil">{say("cook-no-cook-is-under-way")}</p>
      )}
    </section>
  );
}

export function TurnList({ turns, here }: { turns: Turn[]; here?: string }) {
  return (
    <ol>
      {turns.map((turn) => (
        <li key={turn.id} className="border-rule border-b last:border-b-0">
          <Link
            href={`/cook?cook=${turn.id}`}
            aria-current={turn.id === here ? "page" : undefined}
            className="grid min-h-[3rem] grid-cols-[7.5rem_minmax(0,1fr)] items-center gap-x-3 px-2 py-1 border-transparent border-l-4 aria-[current=page]:border-ink aria-[current=page]:bg-sheet"
          >
            <span className={`font-semibold ${LOOKS[turn.wants]}`}>{sayWant(turn)}</span>
            <span className="min-w-0">
              <span className="font-semibold" data-typed>
                {turn.name}
              </span>
              <span className="text-pencil">
                {" "}
                {say("cook-in", { pot: nickname(turn.pot_name) })}
              </span>
              <span className="block truncate text-[0.9375rem]">
                {turn.title}
                {turn.id === here && (
                  <span className="hidden text-pencil sm:inline"> {say("cook-shown-below")}</span>
                )}
              </span>
            </span>
          </Link>
        </li>
      ))}
    </ol>
  );
}

const LOOKS: Record<Turn["wants"], string> = {
  help: "text-care",
  ear: "text-care",
  hands: "",
  time: "text-pencil",
  notes: "text-pencil",
};

function sayWant(turn: Turn): string {
  switch (turn.wants) {
    case "help":
      return say("cook-trouble-now");
    case "ear":
      return say("cook-it-rings");
    case "hands":
      return say("cook-hands-now");
    case "notes":
      return say("cook-only-notes");
    case "time":
      if (turn.left_s < 60) return say("cook-any-moment");
      return turn.left_s < 3600
        ? say("cook-needs-you-in", { round: spokenTime(Math.round(turn.left_s / 60)) })
        : say("cook-needs-you-at", { due_at: clockTimeFrom(Date.now(), turn.due_at) });
  }
}
