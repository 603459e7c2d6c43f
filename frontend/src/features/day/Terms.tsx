import { type DayDraft, localTime } from "@/lib/day";
import { Button } from "@/ui/Button";
import { Tick } from "@/ui/Tick";

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
        <span className="text-pencil">people cooking</span>
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
      <Tick label="with a shopping trip" on={day.shop} onChange={(shop) => onChange({ shop })} />
      <Tick label="I have started: plan from now" on={live} onChange={onLive} />
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
      <Tick
        label={night ? "nobody is cooking from" : "nobody is cooking at night"}
        on={night !== null}
        onChange={(on) => onChange(on ? { from: "23:00", to: "06:00" } : null)}
      />
      {night && (
        <>
          <input
            type="time"
            aria-label="the night begins at"
            value={night.from}
            onChange={(event) =>
              event.target.value && onChange({ ...night, from: event.target.value })
            }
            className={`${FIELD} font-dial text-[0.875rem]`}
          />
          <span className="text-[0.875rem]">to</span>
          <input
            type="time"
            aria-label="the night ends at"
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
        <span className="text-pencil">serve at</span>
        <input
          type="datetime-local"
          value={table}
          onChange={(event) => event.target.value && onChange(event.target.value)}
          className={`${FIELD} font-dial`}
        />
      </label>
      <Button aria-label="15 minutes earlier" onClick={() => step(-15)}>
        −15
      </Button>
      <Button aria-label="15 minutes later" onClick={() => step(15)}>
        +15
      </Button>
    </div>
  );
}
