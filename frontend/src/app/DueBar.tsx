import { Link } from "wouter";
import type { Turn } from "@/api/client";
import { useHeard, useTurns } from "@/api/cooks";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { useBell, useSound } from "@/ui/bell";

export interface Due {
  cook: Turn;
  timerId: string | null;
  title: string;
}

/** Everything that is due at the cookers: timers nobody heard, and trouble. */
export function dueIn(turns: Turn[]): Due[] {
  return turns.flatMap((cook) => [
    ...cook.rang.map((timer) => ({ cook, timerId: timer.timer_id, title: timer.title })),
    ...(cook.wants === "help" ? [{ cook, timerId: null, title: cook.title }] : []),
  ]);
}

export function useDue(): Due[] {
  return dueIn(useTurns().data?.turns ?? []);
}

/** A due timer stands on every view until it is heard, rings, and is read out. */
export function DueBar({ due }: { due: Due[] }) {
  const heard = useHeard();
  const [on, setOn] = useSound();
  const first = due[0] ?? null;
  const silent = useBell(first && `${first.cook.id} ${first.timerId ?? "help"}`, on);
  if (!first) return null;
  return (
    <div role="alert" className="print:hidden">
      <ul className="flex flex-wrap items-center gap-x-6 gap-y-1 border-care border-b-2 bg-care-wash px-3 py-1 text-[1.125rem]">
        {due.map(({ cook, timerId, title }) => (
          <li key={`${cook.id} ${timerId}`} className="flex flex-wrap items-center gap-x-3 gap-y-1">
            <span>
              <strong>{timerId ? say("app-time-is-up", { title }) : title}</strong>, {cook.name}
            </span>
            {timerId && (
              <Button
                strong
                className="min-h-[2.75rem]"
                disabled={heard.isPending}
                onClick={() => heard.mutate({ cook: cook.id, timerId })}
              >
                {say("app-got-it")}
              </Button>
            )}
            <Link
              href={`/cook?cook=${cook.id}`}
              className="grid min-h-[2.75rem] items-center underline"
            >
              {say("app-go-to-it")}
            </Link>
          </li>
        ))}
        {!on && (
          <li>
            <Button className="min-h-[2.75rem]" onClick={() => setOn(true)}>
              {say("app-ring-out-loud-on-this-device")}
            </Button>
          </li>
        )}
        {silent && <li>{say("app-touch-the-page-once-this-browser")}</li>}
      </ul>
    </div>
  );
}
