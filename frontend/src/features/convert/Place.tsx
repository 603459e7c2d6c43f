import { useId } from "react";
import type { ConvertedOut, ConvertIn } from "@/api/client";
import { WHEN_WORDS } from "@/lib/words";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

export type Placed = NonNullable<NonNullable<ConvertIn["choices"]>["placed"]>[number];
type Line = ConvertedOut["lines"][number];

export interface PlaceProps {
  placed: Placed[];
  /** Null leaves the place to the app. */
  onPlace: (line: number, when: Placed["when"] | null) => void;
}

/** Where a cook may put an ingredient, in the order of work. */
const PLACES: Placed["when"][] = [
  "season",
  "sear",
  "pot",
  "top",
  "own_run",
  "after",
  "finish",
  "beside",
];

/** Where an ingredient goes; another choice puts it there. */
export function Place({
  line,
  named,
  placed,
  onPlace,
}: PlaceProps & { line: Line; named: string }) {
  const id = useId();
  const { origin, when, text, movable } = line;
  const { name } = WHEN_WORDS[when];
  // a line that says itself where it goes does not say it twice
  const shown = text.endsWith(name) ? "" : name;
  if (!movable || origin === null) {
    return <span className="whitespace-nowrap text-[0.875rem] text-pencil">{shown}</span>;
  }
  const byCook = placed.some((item) => item.line === origin);
  const places: Line["when"][] = PLACES.includes(when as Placed["when"])
    ? PLACES
    : [when, ...PLACES];
  return (
    <>
      <span className="hidden text-pencil print:inline">{shown}</span>
      <span id={`${id}-label`} className="sr-only">
        {say("convert-where-it-goes")}
      </span>
      <select
        aria-labelledby={`${id}-label ${named}`}
        value={when}
        onChange={(event) => {
          const chosen = event.target.value;
          onPlace(origin, chosen === BY_APP ? null : (chosen as Placed["when"]));
        }}
        className="field-sizing-content min-h-6 max-w-full cursor-pointer rounded-sm border border-transparent bg-transparent text-[0.875rem] text-pencil hover:border-edge print:hidden"
      >
        {places.map((place) => (
          <option key={place} value={place}>
            {WHEN_WORDS[place].name}
          </option>
        ))}
        {byCook && <option value={BY_APP}>{say("convert-as-the-app-reads-it")}</option>}
      </select>
    </>
  );
}

const BY_APP = "by-app";

interface DoubtProps {
  doubt: ConvertedOut["doubts"][number];
  onPlace: PlaceProps["onPlace"];
}

/** A place that is not sure: one press says which of two it is. */
export function PlaceDoubt({ doubt, onPlace }: DoubtProps) {
  return (
    <div
      className="mt-1 flex flex-wrap items-center gap-x-2 gap-y-1 border-care border-l-4 pl-2 text-[0.875rem]"
      data-testid="place-doubt"
    >
      <span>{say("convert-place-doubt")}</span>
      {[doubt.when, doubt.instead].map((when) => (
        <Button key={when} onClick={() => onPlace(doubt.index, when as Placed["when"])}>
          {WHEN_WORDS[when].name}
        </Button>
      ))}
    </div>
  );
}
