import { useMemo, useState } from "react";
import { type DayOut, ProblemError } from "@/api/client";
import { useDay } from "@/api/day";
import { useHousehold, usePots } from "@/api/queries";
import { LaneChart } from "@/drawing/LaneChart";
import { Cards } from "@/features/day/Cards";
import { Dishes } from "@/features/day/Dishes";
import { ShoppingList } from "@/features/day/ShoppingList";
import { Takeaway } from "@/features/day/Takeaway";
import { TaskList } from "@/features/day/TaskList";
import { Trouble } from "@/features/day/Trouble";
import { type DayDraft, dayToAsk, keepDay, keptDay, localTime, shopping } from "@/lib/day";
import { spokenTime } from "@/lib/format";
import { Button } from "@/ui/Button";
import { Tick } from "@/ui/Tick";
import { useWidth } from "@/ui/useWidth";

/** When do I start? Everything counted back from the time on the table. */
export function DayView() {
  const [day, setDay] = useState(keptDay);
  const [live, setLive] = useState(false);
  const [now, setNow] = useState(() => new Date());
  const pots = usePots();
  const household = useHousehold();
  const [ref, width] = useWidth<HTMLDivElement>(1000);
  const asked = useMemo(() => dayToAsk(day, live ? now : null), [day, live, now]);
  const { data, error } = useDay(asked);
  const problem = error instanceof ProblemError ? error.problem : null;
  const change = (part: Partial<DayDraft>) => {
    const next = { ...day, ...part };
    setDay(next);
    keepDay(next);
  };
  const nameOf = (lane: string) => laneName(lane, pots.data?.pots ?? []);
  const shown = asked ? data : undefined;
  return (
    <div className="mx-auto max-w-6xl px-4 py-4">
      <h1 className="font-bold text-[24px]">Day</h1>
      <div className="mt-1 flex flex-wrap items-end gap-x-6 gap-y-2 print:hidden">
        <TableTime table={day.table} onChange={(table) => change({ table })} />
        <label className="flex items-center gap-2">
          <span className="text-pencil">cooks</span>
          <select
            value={day.cooks}
            onChange={(event) => change({ cooks: Number(event.target.value) })}
            className="rounded-sm border border-edge bg-sheet px-2 py-1"
          >
            {[1, 2, 3, 4, 5, 6].map((count) => (
              <option key={count}>{count}</option>
            ))}
          </select>
        </label>
        <Tick
          label="it is under way: count from now"
          on={live}
          onChange={(on) => {
            setNow(new Date());
            setLive(on);
          }}
        />
      </div>
      <Dishes day={day} problem={problem} onChange={change} />
      {problem && (
        <p role="alert" className="my-2 border-care border-l-4 pl-2">
          <strong>{problem.message}</strong> {problem.hint}
        </p>
      )}
      {shown && (
        <div className={problem ? "stale" : ""}>
          <Answer day={shown} />
          {asked && <Trouble day={shown} draft={day} asked={asked} onChange={change} />}
          <div ref={ref} className="mt-3 hidden sm:block">
            <LaneChart
              day={shown}
              dishes={day.dishes.map((dish) => dish.dish_id)}
              width={width}
              nameOf={nameOf}
              now={now}
              onTable={(moment) => change({ table: localTime(moment) })}
            />
          </div>
          <TaskList day={shown} draft={day} nameOf={nameOf} onChange={change} />
          {asked && <Takeaway asked={asked} />}
          <ShoppingList shops={shopping(day, shown.cards)} />
          <Cards day={shown} units={household.data?.units ?? "metric"} />
        </div>
      )}
    </div>
  );
}

function TableTime({ table, onChange }: { table: string; onChange: (table: string) => void }) {
  const step = (minutes: number) => {
    const moment = new Date(table);
    moment.setMinutes(moment.getMinutes() + minutes);
    onChange(localTime(moment));
  };
  return (
    <div className="flex flex-wrap items-center gap-2">
      <label className="flex flex-wrap items-center gap-2">
        <span className="text-pencil">on the table at</span>
        <input
          type="datetime-local"
          value={table}
          onChange={(event) => event.target.value && onChange(event.target.value)}
          className="rounded-sm border border-edge bg-sheet px-2 py-1 font-dial"
        />
      </label>
      <Button aria-label="a quarter of an hour sooner" onClick={() => step(-15)}>
        −15
      </Button>
      <Button aria-label="a quarter of an hour later" onClick={() => step(15)}>
        +15
      </Button>
    </div>
  );
}

function Answer({ day }: { day: DayOut }) {
  const start = new Date(day.start);
  const late = Math.round(day.delay_s / 60);
  return (
    <p className="mt-3" aria-live="polite">
      <span className="text-pencil">Start </span>
      <span className="font-bold font-dial text-[44px] leading-none" data-testid="start">
        {start.toLocaleTimeString([], { hour: "2-digit", minute: "2-digit", hour12: false })}
      </span>{" "}
      <span>
        {start.toLocaleDateString([], { weekday: "long", day: "numeric", month: "long" })}
      </span>
      {late > 0 && (
        <strong className="ml-3 font-semibold text-care" data-testid="delay">
          On the table {spokenTime(late)} later than wished.
        </strong>
      )}
    </p>
  );
}

function laneName(lane: string, pots: { id: string; pot: { name: string } }[]): string {
  if (!lane.startsWith("pot:")) return WORDS[lane] ?? lane;
  const id = lane.slice(4);
  return pots.find((kept) => kept.id === id)?.pot.name.split(",")[0] ?? "pot";
}

const WORDS: Record<string, string> = { fridge: "refrigerator", pan: "a pan" };
