import type { DayOut } from "@/api/client";
import { letter } from "@/drawing/LaneChart";
import type { DayDraft } from "@/lib/day";
import { localTime } from "@/lib/day";
import { Tick } from "@/ui/Tick";

interface Props {
  day: DayOut;
  draft: DayDraft;
  nameOf: (lane: string) => string;
  onChange: (part: Partial<DayDraft>) => void;
}

type Block = DayOut["blocks"][number];

/** Everything in the order of the clock: pin a start, tick what is done, and the rest follows. */
export function TaskList({ day, draft, nameOf, onChange }: Props) {
  const dishes = draft.dishes.map((dish) => dish.dish_id);
  const stand = (which: "pinned" | "done", block: Block, start: string | null) => {
    const { [block.block_id]: _, ...rest } = draft[which];
    onChange({ [which]: start ? { ...rest, [block.block_id]: start } : rest });
  };
  return (
    <section aria-labelledby="tasks-title" className="mt-4">
      <h2 id="tasks-title" className="font-semibold text-[18px]">
        In the order of the clock
      </h2>
      <ol aria-label="tasks" className="border-rule border-t">
        {day.blocks.map((block) => (
          <li
            key={block.block_id}
            className={`grid gap-x-4 border-rule border-b py-1.5 sm:grid-cols-[11rem_minmax(0,1fr)_auto] ${block.state === "done" ? "text-pencil" : ""}`}
          >
            <div className="flex items-baseline gap-2">
              <span className="font-bold font-dial text-[18px]">{clock(block.start)}</span>
              <span className="text-[14px] text-pencil">
                {dayWord(block.start, day.table)} to {clock(block.end)}
              </span>
            </div>
            <div>
              <span className="mr-1 font-bold font-dial">
                {letter(dishes.indexOf(block.dish_id))}
              </span>
              <Segments block={block} nameOf={nameOf} />
            </div>
            <div className="flex flex-wrap items-center gap-3 print:hidden">
              <label className="flex items-center gap-1 text-[14px] text-pencil">
                pin
                <input
                  type="datetime-local"
                  aria-label={`pin ${block.segments[0]?.title ?? ""} of ${block.dish}`}
                  value={pinnedAt(draft, block)}
                  onChange={(event) =>
                    stand(
                      "pinned",
                      block,
                      event.target.value ? new Date(event.target.value).toISOString() : null,
                    )
                  }
                  className="w-[12.5rem] rounded-sm border border-edge bg-sheet px-1 py-0.5"
                />
              </label>
              <Tick
                label="done"
                on={block.state === "done"}
                onChange={(on) => stand("done", block, on ? block.start : null)}
              />
            </div>
          </li>
        ))}
      </ol>
    </section>
  );
}

function pinnedAt(draft: DayDraft, block: Block): string {
  const pinned = draft.pinned[block.block_id];
  return pinned ? localTime(new Date(pinned)) : "";
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
            <span className="font-dial text-[14px] text-pencil">
              {clock(new Date(segment.start).toISOString())}{" "}
            </span>
          )}
          {segment.title}
          <span className="text-[14px] text-pencil">
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
  return whole < 120 ? `${whole} min` : `${Math.round(whole / 6) / 10} h`;
}

function clock(moment: string): string {
  const at = new Date(moment);
  return `${at.getHours()}:${String(at.getMinutes()).padStart(2, "0")}`;
}

/** The weekday, when it is not the day of the table. */
function dayWord(moment: string, table: string): string {
  const at = new Date(moment);
  if (at.toDateString() === new Date(table).toDateString()) return "";
  return at.toLocaleDateString([], { weekday: "short" });
}
