import type { LogWanted } from "@/api/cooks";
import { useCatalogue, usePots } from "@/api/queries";
import { say } from "@/text/say";

/** What is looked for in the log. */
export interface Sought {
  search: string;
  cut: string;
  pot: string;
  /** A date as an input writes it. */
  since: string;
}

export const EVERYTHING: Sought = { search: "", cut: "", pot: "", since: "" };

interface Props {
  sought: Sought;
  onChange: (part: Partial<Sought>) => void;
}

const FIELD = "rounded-sm border border-edge bg-sheet px-2 py-0.5";

/** Words, cut, pot and date of the sheets that are wanted. */
export function Finder({ sought, onChange }: Props) {
  const cuts = useCatalogue().data?.cuts ?? [];
  const pots = usePots().data?.pots ?? [];
  return (
    <>
      <label className="flex items-center gap-2">
        <span className="text-pencil">{say("log-find")}</span>
        <input
          type="search"
          value={sought.search}
          maxLength={120}
          autoComplete="off"
          onChange={(event) => onChange({ search: event.target.value })}
          className={`${FIELD} w-40`}
        />
      </label>
      <Only
        what={say("log-cut")}
        value={sought.cut}
        options={cuts}
        className="w-40"
        onChange={(cut) => onChange({ cut })}
      />
      <Only
        what={say("log-cooker")}
        value={sought.pot}
        options={pots.map(({ id, pot }) => ({ id, name: pot.name }))}
        className="w-28"
        onChange={(pot) => onChange({ pot })}
      />
      <label className="flex items-center gap-2">
        <span className="text-pencil">{say("log-since")}</span>
        <input
          type="date"
          value={sought.since}
          onChange={(event) => onChange({ since: event.target.value })}
          className={FIELD}
        />
      </label>
    </>
  );
}

interface OnlyProps {
  what: string;
  value: string;
  options: { id: string; name: string }[];
  className: string;
  onChange: (id: string) => void;
}

/** Only one of a kind, or all of them. */
function Only({ what, value, options, className, onChange }: OnlyProps) {
  return (
    <label className="flex items-center gap-2">
      <span className="text-pencil">{what}</span>
      <select
        aria-label={say("log-only-this", { what })}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        className={`${FIELD} ${className}`}
      >
        <option value="">{say("log-all")}</option>
        {options.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}

/** As the server takes it; a date half typed is none. */
export function logWanted({ search, cut, pot, since }: Sought): LogWanted {
  const moment = new Date(`${since}T00:00`);
  return {
    ...(search && { search }),
    ...(cut && { cut }),
    ...(pot && { pot }),
    ...(!Number.isNaN(moment.getTime()) && { since: moment.toISOString() }),
  };
}
