import { useEffect, useMemo, useRef, useState } from "react";
import { type DayOut, ProblemError } from "@/api/client";
import { useHousehold, usePots } from "@/api/queries";
import { useDay } from "@/api/schedule";
import { LaneChart } from "@/drawing/LaneChart";
import { Cards } from "@/features/schedule/Cards";
import { Dishes } from "@/features/schedule/Dishes";
import { GuestsLate } from "@/features/schedule/GuestsLate";
import { SavedSchedules } from "@/features/schedule/SavedSchedules";
import { ShoppingList } from "@/features/schedule/ShoppingList";
import { Takeaway } from "@/features/schedule/Takeaway";
import { TaskList } from "@/features/schedule/TaskList";
import { Terms } from "@/features/schedule/Terms";
import { Trouble } from "@/features/schedule/Trouble";
import { useNow } from "@/features/schedule/useNow";
import { clockTime, longDay } from "@/lib/clock";
import {
  type DayDraft,
  dayToAsk,
  hasBegun,
  isOnTheClock,
  keepDay,
  loadScheduleDraft,
  localTime,
  missedMin,
  onDayElsewhere,
  shopping,
} from "@/lib/day";
import { spokenTime } from "@/lib/format";
import { nickname } from "@/lib/pot-name";
import { say } from "@/text/say";
import { Answered } from "@/ui/Answered";
import { Button } from "@/ui/Button";
import { useWidth } from "@/ui/useWidth";

/** When do I start? Everything counted back from the time on the table. */
export function ScheduleView() {
  const [day, setDay] = useState(loadScheduleDraft);
  const [live, setLive] = useState(() => hasBegun(day, new Date()));
  const [now, setNow] = useNow();
  const pots = usePots();
  const household = useHousehold();
  const [ref, width] = useWidth<HTMLDivElement>(1000);
  const asked = useMemo(() => dayToAsk(day, live ? now : null), [day, live, now]);
  const { data, error, isPlaceholderData } = useDay(asked);
  const problem = error instanceof ProblemError ? error.problem : null;
  // what is fetched meanwhile must not write over what was typed meanwhile
  const latest = useRef(day);
  const change = (part: Partial<DayDraft>) => {
    latest.current = { ...latest.current, ...part };
    keepDay(latest.current);
    setDay(latest.current);
    // a cook of the day has begun, or another day was opened
    const started = part.beside ? hasBegun(latest.current, new Date()) : live;
    setLive(started);
    if (started) setNow();
  };
  useEffect(
    () =>
      onDayElsewhere((other) => {
        latest.current = other;
        setDay(other);
      }),
    [],
  );
  const planFromNow = (on: boolean) => {
    setNow();
    setLive(on);
  };
  const nameOf = (lane: string) => laneName(lane, pots.data?.pots ?? []);
  const shown = asked ? data : undefined;
  return (
    <div className="mx-auto max-w-6xl px-4 py-4">
      <h1 className="font-bold text-[1.5rem]">{say("schedule-schedule")}</h1>
      <Terms day={day} live={live} onLive={planFromNow} onChange={change} />
      {!isOnTheClock(day.table) && (
        <p role="alert" className="my-2 border-care border-l-4 pl-2">
          <strong>{say("schedule-this-time-does-not-exist")}</strong>{" "}
          {say("schedule-the-clocks-go-forward-in-that")}
        </p>
      )}
      <SavedSchedules day={day} asked={asked} onChange={change} />
      <Dishes day={day} problem={problem} onChange={change} />
      {problem && (
        <p role="alert" className="my-2 border-care border-l-4 pl-2">
          <strong>{problem.message}</strong> {problem.hint}
        </p>
      )}
      {shown && (
        <Answered busy={isPlaceholderData} refused={problem !== null}>
          <Answer day={shown} />
          {!live && <Missed day={shown} now={now} onPlanFromNow={() => planFromNow(true)} />}
          {asked && <Trouble day={shown} draft={day} asked={asked} onChange={change} />}
          {asked && live && <GuestsLate asked={asked} beside={day.beside} onChange={change} />}
          <div ref={ref} className="mt-3 hidden sm:block">
            <LaneChart
              day={shown}
              dishes={day.dishes.map((dish) => dish.dish_id)}
              width={width}
              nameOf={nameOf}
              now={now}
              away={asked?.away ?? []}
              onTable={(moment) => change({ table: localTime(moment) })}
            />
          </div>
          <TaskList
            day={shown}
            draft={day}
            live={live}
            now={now}
            nameOf={nameOf}
            onChange={change}
          />
          {asked && (
            <Takeaway
              asked={asked}
              onPins={(pins) => change({ pinned: { ...day.pinned, ...pins } })}
            />
          )}
          <ShoppingList shops={shopping(day, shown.cards)} />
          <Cards day={shown} units={household.data?.units ?? "metric"} />
        </Answered>
      )}
    </div>
  );
}

interface MissedProps {
  day: DayOut;
  now: Date;
  onPlanFromNow: () => void;
}

/** What should have begun by now: nothing that lies in the past is planned without a word. */
function Missed({ day, now, onPlanFromNow }: MissedProps) {
  const late = missedMin(day, now);
  if (late === 0) return null;
  const isOver = Date.parse(day.table) < now.getTime();
  return (
    <p data-testid="missed" className="mt-1 flex flex-wrap items-center gap-2 text-[0.875rem]">
      <strong className="font-semibold text-care">
        {isOver
          ? say("schedule-serving-time-is-past")
          : say("schedule-should-have-started", { late: spokenTime(late) })}
      </strong>
      {!isOver && <Button onClick={onPlanFromNow}>{say("schedule-plan-from-now")}</Button>}
    </p>
  );
}

function Answer({ day }: { day: DayOut }) {
  const start = new Date(day.start);
  const late = Math.round(day.delay_s / 60);
  return (
    <p className="mt-3" aria-live="polite">
      <span className="text-pencil">{say("schedule-start")} </span>
      <span className="font-bold font-dial text-[2.75rem] leading-none" data-testid="start">
        {clockTime(start)}
      </span>{" "}
      <span>{longDay(start)}</span>
      {late > 0 && (
        <strong className="ml-3 font-semibold text-care" data-testid="delay">
          {say("schedule-ready-later-than-you-wanted", { late: spokenTime(late) })}
        </strong>
      )}
    </p>
  );
}

function laneName(lane: string, pots: { id: string; pot: { name: string } }[]): string {
  if (!lane.startsWith("pot:")) return say("schedule-lane", { lane });
  const id = lane.slice(4);
  const known = pots.find((kept) => kept.id === id);
  return known ? nickname(known.pot.name) : say("schedule-lane", { lane: "pot" });
}
