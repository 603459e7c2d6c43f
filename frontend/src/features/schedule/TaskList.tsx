import type { DayOut } from "@/api/client";
import { letter } from "@/drawing/LaneChart";
import { clockTime, weekday } from "@/lib/clock";
import type { DayDraft } from "@/lib/day";
import { localTime } from "@/lib/day";
import { say } from "@/text/say";
import { Checkbox } from "@/ui/Checkbox";

interface Props {
  day: DayOut;
  draft: DayDraft;
  /** It is under way: what is ticked began or ended now. */
  live: boolean;
  /** The kitchen's present. */
  now: Date;
  nameOf: (lane: string) => string;
  onChange: (part: Partial<DayDraft>) => void;
}

type Block = DayOut["blocks"][number];

/** Everything in the order of the clock: pin a start, tick what is done, and the rest follows. */
export function TaskList({ day, draft, live, now, nameOf, onChange }: Props) {
  const dishes = draft.dishes.map((dish) => dish.dish_id);
  const told = new Map(day.done.map((item) => [item.block_id, item]));
  const change = (block: Block, part: Standing) => onChange(standing(draft, block, part));
  return (
    <section aria-labelledby="tasks-title" className="mt-4">
      <h2 id="tasks-title" className="font-semibold text-[1.125rem]">
        {say("schedule-timeline")}
      </h2>
      <ol aria-label={say("schedule-tasks")} className="border-rule border-t">
        {day.blocks.map((block) => (
          <li
            key={block.block_id}
            className={`grid gap-x-4 border-rule border-b py-1.5 sm:grid-cols-[11rem_minmax(0,1fr)_auto] ${block.state === "done" ? "text-pencil" : ""}`}
          >
            <div className="flex items-baseline gap-2">
              <span className="whitespace-nowrap font-bold font-dial text-[1.125rem]">
                {clockTime(block.start)}
              </span>
              <span className="text-[0.875rem] text-pencil">
                {say("schedule-to", {
                  start: dayWord(block.start, day.table),
                  end: clockTime(block.end),
                })}
              </span>
            </div>
            <div>
              <span className="mr-1 font-bold font-dial">
                {letter(dishes.indexOf(block.dish_id))}
              </span>
              <Segments block={block} nameOf={nameOf} />
            </div>
            <Stands
              block={block}
              told={told.get(block.block_id)}
              draft={draft}
              live={live}
              now={now}
              onChange={(part) => change(block, part)}
            />
          </li>
        ))}
      </ol>
    </section>
  );
}

/** What of a block stands: a pin, when it began, when it ended; null takes it off. */
interface Standing {
  pinned?: string | null;
  done?: string | null;
  ended?: string | null;
}

function standing(draft: DayDraft, block: Block, part: Standing): Partial<DayDraft> {
  const found: Partial<DayDraft> = {};
  for (const which of ["pinned", "done", "ended"] as const) {
    const moment = part[which];
    if (moment === undefined) continue;
    const { [block.block_id]: _, ...rest } = draft[which];
    found[which] = moment ? { ...rest, [block.block_id]: moment } : rest;
  }
  return found;
}

interface StandsProps {
  block: Block;
  /** When it began and ended, as it was ticked or as its cook tells. */
  told: DayOut["done"][number] | undefined;
  draft: DayDraft;
  live: boolean;
  now: Date;
  onChange: (part: Standing) => void;
}

/** Pin a start; tick what has begun and what is over, at the time it really was. */
function Stands({ block, told, draft, live, now, onChange }: StandsProps) {
  const what = say("schedule-of", { title: block.segments[0]?.title ?? "", dish: block.dish });
  const began = told?.start;
  const ended = told?.end ?? undefined;
  const begin = () =>
    live && Date.parse(block.start) > now.getTime() ? now.toISOString() : block.start;
  const end = () => (live ? now.toISOString() : block.end);
  return (
    <div className="flex flex-wrap items-center gap-3 print:hidden">
      {began ? (
        <>
          <Moment name="began" what={what} value={began} onChange={(done) => onChange({ done })} />
          {ended && (
            <Moment
              name="ended"
              what={what}
              value={ended}
              onChange={(moment) => onChange({ ended: moment })}
            />
          )}
        </>
      ) : (
        <Moment
          name={say("schedule-lock-start-time")}
          what={what}
          value={draft.pinned[block.block_id]}
          onChange={(pinned) => onChange({ pinned })}
        />
      )}
      <Checkbox
        label={say("schedule-started")}
        on={block.state === "begun" || block.state === "done"}
        onChange={(on) => onChange(on ? { done: begin() } : { done: null, ended: null })}
      />
      <Checkbox
        label={say("schedule-done")}
        on={block.state === "done"}
        onChange={(on) => onChange(on ? { done: began ?? begin(), ended: end() } : { ended: null })}
      />
    </div>
  );
}

interface MomentProps {
  name: string;
  what: string;
  value: string | undefined;
  onChange: (moment: string | null) => void;
}

function Moment({ name, what, value, onChange }: MomentProps) {
  return (
    <label className="flex items-center gap-1 text-[0.875rem] text-pencil">
      {name}
      <input
        type="datetime-local"
        aria-label={`${name} ${what}`}
        value={value ? localTime(new Date(value)) : ""}
        onChange={(event) =>
          onChange(event.target.value ? new Date(event.target.value).toISOString() : null)
        }
        className="w-[12.5rem] rounded-sm border border-edge bg-sheet px-1 py-0.5"
      />
    </label>
  );
}

function Segments({ block, nameOf }: { block: Block; nameOf: (lane: string) => string }) {
  let begin = Date.parse(block.start);
  const rows = block.segments.map((segment) => {
    const start = begin;
    begin += 1000 * segment.likely_s;
    return { ...segment, start };
  });
  return (
    <ul className="inline">
      {rows.map((segment) => (
        <li key={segment.kind} className="block first:inline">
          {rows.length > 1 && (
            <span className="font-dial text-[0.875rem] text-pencil">
              {clockTime(segment.start)}{" "}
            </span>
          )}
          {segment.title}
          <span className="text-[0.875rem] text-pencil">
            {" "}
            {minutes(segment.likely_s)}
            {segment.lanes.length > 0 && `; ${segment.lanes.map(nameOf).join(", ")}`}
          </span>
        </li>
      ))}
    </ul>
  );
}

function minutes(seconds: number): string {
  const whole = Math.max(Math.round(seconds / 60), 1);
  return whole < 120 ? say("schedule-min-2", { whole }) : `${Math.round(whole / 6) / 10} h`;
}

/** The weekday, when it is not the day of the table. */
function dayWord(moment: string, table: string): string {
  const at = new Date(moment);
  if (at.toDateString() === new Date(table).toDateString()) return "";
  return weekday(at);
}
