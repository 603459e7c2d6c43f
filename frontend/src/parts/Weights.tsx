import type { Units } from "@/lib/format";
import { say } from "@/text/say";

interface Props {
  before: string;
  after: string;
  units: Units;
  /** Words above the fields, as in a form of such. */
  stacked?: boolean;
  onChange: (part: { before?: string; after?: string }) => void;
}

const FIELD = "w-28 rounded-sm border border-edge bg-sheet px-2 py-1 placeholder:text-pencil";
const SUCH_AS = { metric: ["1.42 kg", "0.95 kg"], us: ["3 lb 2 oz", "2 lb 1 oz"] } as const;

/** All the meat weighed raw and cooked, typed with its unit. */
export function Weights({ before, after, units, stacked, onChange }: Props) {
  const label = stacked ? "flex flex-col" : "flex items-center gap-2";
  return (
    <>
      <label className={label}>
        <span className="text-pencil">{say("shared-raw-weight")}</span>
        <input
          value={before}
          maxLength={40}
          placeholder={SUCH_AS[units][0]}
          onChange={(event) => onChange({ before: event.target.value })}
          className={FIELD}
        />
      </label>
      <label className={label}>
        <span className="text-pencil">{say("shared-cooked-weight")}</span>
        <input
          value={after}
          maxLength={40}
          placeholder={SUCH_AS[units][1]}
          onChange={(event) => onChange({ after: event.target.value })}
          className={FIELD}
        />
      </label>
    </>
  );
}
