import { type DayDraft, localTime } from "@/lib/day";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { Checkbox } from "@/ui/Checkbox";

interface Props {
  day: DayDraft;
  live: boolean;
  onLive: (on: boolean) => void;
  onChange: (part: Partial<DayDraft>) => void;
}

const FIELD = "rounded-sm border border-edge bg-sheet px-2 py-1";

/** When it is on the table, who cooks, when nobody does. */
export function Terms({ day, live, onLive, onChange }: Props) {
  return (
    <div className="mt-1 flex flex-wrap items-end gap-x-6 gap-y-2 print:hidden">
      <TableTime table={day.table} onChange={(table) => onChange({ table })} />
      <label className="flex items-center gap-2">
        <span className="text-pencil">{say("schedule-people-cooking")}</span>
        <select
          value={day.cooks}
          onChange={(event) => onChange({ cooks: Number(event.target.value) })}
          className={FIELD}
        >
          {[1, 2, 3, 4, 5, 6].map((count) => (
            <option key={count}>{count}</option>
          ))}
        </select>
      </label>
      <Night night={day.night} onChange={(night) => onChange({ night })} />
      <Checkbox
        label={say("schedule-with-a-shopping-trip")}
        on={day.shop}
        onChange={(shop) => onChange({ shop })}
      />
      <Checkbox label={say("schedule-i-have-started-plan-from-now")} on={live} onChange={onLive} />
    </div>
  );
}

function Night({
  night,
  onChange,
}: {
  night: DayDraft["night"];
  onChange: (night: DayDraft["night"]) => void;
}) {
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Checkbox
        label={
          night
            ? say("schedule-nobody-is-cooking-from")
            : say("schedule-nobody-is-cooking-at-night")
        }
        on={night !== null}
        onChange={(on) => onChange(on ? { from: "23:00", to: "06:00" } : null)}
      />
      {night && (
        <>
          <input
            type="time"
            aria-label={say("schedule-the-night-begins-at")}
            value={night.from}
            onChange={(event) =>
              event.target.value && onChange({ ...night, from: event.target.value })
            }
            className={`${FIELD} font-dial text-[0.875rem]`}
          />
          <span className="text-[0.875rem]">{say("schedule-to-2")}</span>
          <input
            type="time"
            aria-label={say("schedule-the-night-ends-at")}
            value={night.to}
            onChange={(event) =>
              event.target.value && onChange({ ...night, to: event.target.value })
            }
            className={`${FIELD} font-dial text-[0.875rem]`}
          />
        </>
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
        <span className="text-pencil">{say("schedule-serve-at-2")}</span>
        <input
          type="datetime-local"
          value={table}
          onChange={(event) => event.target.value && onChange(event.target.value)}
          className={`${FIELD} font-dial`}
        />
      </label>
      <span className="flex gap-2">
        <Button aria-label={say("schedule-15-minutes-earlier")} onClick={() => step(-15)}>
          −15
        </Button>
        <Button aria-label={say("schedule-15-minutes-later")} onClick={() => step(15)}>
          +15
        </Button>
      </span>
    </div>
  );
}
