import type { AlternativeOut, LiquidStyle, ReleaseMethod, Texture, WhatIfOut } from "@/api/client";
import { useUnits, useWhatIf } from "@/api/queries";
import type { Planner } from "@/features/plan/usePlanner";
import type { CookRequest } from "@/lib/cookRequest";
import { cookTime, spokenTime, type Units } from "@/lib/format";
import { isFree, WHAT_IF_KEYS } from "@/lib/keys";
import {
  type ArrangementKind,
  LIQUID_STYLE_WORDS,
  LYING_WORDS,
  RELEASE_WORDS,
  tendernessOf,
} from "@/lib/words";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  planner: Planner;
}

/** The same cook with one thing different; what can be set here can be taken over with one click. */
export function WhatIf({ planner }: Props) {
  const units = useUnits();
  const { data, isError, isPlaceholderData } = useWhatIf(planner.stale ? null : planner.settled);
  if (isError)
    return <p className="text-[0.875rem]">{say("plan-the-app-does-not-answer-right")}</p>;
  if (!data) return <p className="text-[0.875rem] text-pencil">{say("plan-calculating")}</p>;
  const possible = data.alternatives.filter((item) => item.answer);
  const refused = data.alternatives.filter((item) => !item.answer);
  const rows = [...possible, ...refused];
  const open = rows.filter((item) => item.answer && patchOf(item, planner));
  const numbered = open.slice(0, WHAT_IF_KEYS.length);
  const byKey = (event: React.KeyboardEvent) => {
    const item = numbered[WHAT_IF_KEYS.findIndex(({ key }) => key === event.key)];
    const patch = item && patchOf(item, planner);
    if (patch && isFree(event)) planner.change(patch);
  };
  return (
    <>
      {data.early_out && <EarlyOut early={data.early_out} units={units} planner={planner} />}
      <table
        className={`w-full text-[13.5px] ${isPlaceholderData ? "stale" : ""}`}
        aria-busy={isPlaceholderData}
        aria-label={say("plan-what-if-table")}
        aria-keyshortcuts={
          numbered.length > 0 ? say("plan-1-to", { numbered: numbered.length }) : undefined
        }
        onKeyDown={byKey}
      >
        <thead>
          <tr className="text-left text-pencil">
            <th className="font-normal" scope="col">
              {say("plan-if-it-is")}
            </th>
            <th className="w-16 text-right font-normal" scope="col">
              {say("plan-cook-time")}
            </th>
            <th className="w-24 text-right font-normal" scope="col">
              {say("plan-total-time-3")}
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((item) => (
            <Row
              key={`${item.kind} ${item.value}`}
              item={item}
              number={numbered.indexOf(item) + 1}
              planner={planner}
            />
          ))}
        </tbody>
      </table>
    </>
  );
}

interface EarlyProps {
  early: NonNullable<WhatIfOut["early_out"]>;
  units: Units;
  planner: Planner;
}

/** Unlike pieces: two cycles instead of one compromise. */
function EarlyOut({ early, units, planner }: EarlyProps) {
  const named = (out: boolean) =>
    early.pieces
      .filter((piece) => piece.out_early === out)
      .map((piece) => `${piece.cut}, ${piece.thickness_shown[units]}`)
      .join("; ");
  return (
    <div data-testid="early-out" className="mb-1 border-rule border-b pb-2 text-[0.875rem]">
      <p>
        <strong className="font-semibold">
          {planner.request.thinFirst
            ? say("plan-as-it-is-in-two-steps")
            : say("plan-or-in-two-steps")}
        </strong>{" "}
        {say("plan-open-after-with-a-quick-release", {
          first_min: cookTime(early.first_min),
          value: named(true),
          second_min: cookTime(early.second_min),
          value2: named(false),
          done_s: spokenTime(early.done_s / 60),
        })}
      </p>
      <Button
        className="mt-1"
        onClick={() =>
          planner.change(
            planner.request.thinFirst ? { thinFirst: false } : { thinFirst: true, ownMinutes: "" },
          )
        }
      >
        {planner.request.thinFirst ? say("plan-one-cook-time") : say("plan-cook-it-in-two-steps")}
      </Button>
    </div>
  );
}

interface RowProps {
  item: AlternativeOut;
  /** The key that takes it over; 0 when there is none. */
  number: number;
  planner: Planner;
}

function Row({ item, number, planner }: RowProps) {
  const name = nameOf(item, planner.request.cut);
  const patch = patchOf(item, planner);
  return (
    <tr className="border-rule border-t align-baseline">
      <td className="py-px">
        <span className="inline-block w-5 font-dial text-pencil">{number || ""}</span>
        {patch && item.answer ? (
          <button
            type="button"
            title={say("plan-use-this")}
            onClick={() => planner.change(patch)}
            className="text-left underline decoration-edge underline-offset-2"
          >
            {name}
          </button>
        ) : (
          name
        )}
        {item.trouble && <span className="block text-pencil">{item.trouble}</span>}
      </td>
      {item.answer ? (
        <>
          <td className="whitespace-nowrap text-right font-semibold">{timesOf(item.answer)}</td>
          <td className="text-right">{spokenTime(item.answer.lid_on_to_open_s / 60)}</td>
        </>
      ) : (
        <td className="pl-3 text-pencil" colSpan={2}>
          {say("plan-does-not-work")}
        </td>
      )}
    </tr>
  );
}

/** One cook time, or both of a cook in two steps. */
function timesOf({ hold_min, then_min }: NonNullable<AlternativeOut["answer"]>): string {
  return then_min == null
    ? cookTime(hold_min)
    : say("plan-one-and-the-other", { first: String(hold_min), second: cookTime(then_min) });
}

const cutWords = (): Record<string, string> => ({
  halved: say("plan-each-piece-halved-through-its-thickness"),
  quartered: say("plan-each-piece-quartered"),
  sections: say("plan-cut-into-sections-of-three-bones"),
  frozen: say("plan-from-the-freezer"),
});

function nameOf({ kind, value }: AlternativeOut, cut: string): string {
  if (kind === "release") return RELEASE_WORDS[value as ReleaseMethod].says;
  if (kind === "texture") return tendernessOf(value as Texture, cut);
  if (kind === "liquid_style") return LIQUID_STYLE_WORDS[value as LiquidStyle].name;
  if (kind === "level") return say("plan-pressure", { level: value });
  if (kind === "lying") return LYING_WORDS[value as ArrangementKind].name;
  return cutWords()[kind] ?? say("plan-in-2", { value });
}

/** What to set so that it is so; null for what cannot be set here. */
function patchOf(item: AlternativeOut, planner: Planner): Partial<CookRequest> | null {
  return PATCHES[item.kind](item.value, planner);
}

/** What is cut already cannot be said to be cut once more. */
const cutAs = (knife: string, planner: Planner) =>
  planner.request.knife ? null : { knife, liquid: "", lying: null };

const PATCHES: Record<
  AlternativeOut["kind"],
  (value: string, planner: Planner) => Partial<CookRequest> | null
> = {
  release: (value) => ({ release: value as ReleaseMethod }),
  texture: (value) => ({ texture: value as Texture }),
  liquid_style: (value) => ({ liquidStyle: value as LiquidStyle, liquid: "" }),
  lying: (value) => ({ lying: value as ArrangementKind, liquid: "" }),
  level: (value) => ({ level: value === "low" ? "low" : "high" }),
  frozen: () => ({ start: "frozen" }),
  halved: (_, planner) => cutAs("halved", planner),
  quartered: (_, planner) => cutAs("quartered", planner),
  sections: (value, planner) => cutAs(`sections:${value}`, planner),
  pot: (value, planner) => {
    const pot = planner.pots.find((kept) => kept.pot.name === value);
    return pot ? { pot: pot.id, liquid: "" } : null;
  },
};
