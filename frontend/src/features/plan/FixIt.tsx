import type { Problem } from "@/api/client";
import { useBatches } from "@/api/queries";
import type { Planner } from "@/features/plan/usePlanner";
import type { CookRequest } from "@/lib/cookRequest";
import { cookTime, spokenTime, type Units } from "@/lib/format";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  planner: Planner;
  units: Units;
}

interface FixProps extends Props {
  /** Beside which words it stands: those under the pot, or those of a field of the piece. */
  at: "pot" | "piece";
}

/** What does not fit: the one change that makes it fit, as a button beside the words. */
export function FixIt({ planner, units, at }: FixProps) {
  const { problem, change } = planner;
  const fix = problem?.fix;
  if (!fix || (problem.field === "pot") !== (at === "pot")) return null;
  return (
    <div data-testid="fix" className="mt-2 flex flex-col items-start gap-1 text-[0.875rem]">
      {fix.kind === "batches" && <Batches planner={planner} units={units} />}
      <Button onClick={() => change(patchOf(fix))}>{wordsOf(fix)}</Button>
    </div>
  );
}

/** How much goes into each batch, and what all of them take. */
function Batches({ planner, units }: Props) {
  const { data } = useBatches(planner.settled);
  const first = data?.runs[0];
  if (!first) return null;
  const all = data.runs.reduce((sum, run) => sum + run.answer.lid_on_to_open_s, 0);
  return (
    <p>
      {say("plan-batches-of-each-in-all", {
        runs: data.runs.length,
        pieces: first.pieces,
        mass: first.mass_shown[units],
        hold_min: cookTime(first.answer.hold_min),
        all: spokenTime(all / 60),
      })}
    </p>
  );
}

type Fix = NonNullable<Problem["fix"]>;

function wordsOf({ kind, value }: Fix): string {
  switch (kind) {
    case "rack":
      return say("plan-leave-the-trivet-out");
    case "lying":
      return say("plan-arrange-it-the-best-way");
    case "liquid":
      return say("plan-use-the-usual-liquid");
    case "sections":
      return say("plan-cut-into-sections-of-bones", { value });
    case "across":
      return say("plan-cut-each-piece-across-into", { value });
    case "batches":
      return say("plan-cook-in-batches", { value });
  }
}

function patchOf({ kind, value }: Fix): Partial<CookRequest> {
  switch (kind) {
    case "rack":
      return { rack: "none", liquid: "" };
    case "lying":
      return { lying: null, apart: false };
    case "liquid":
      return { liquid: "" };
    case "batches":
      return { batches: value, liquid: "" };
    default:
      return { knife: `${kind}:${value}`, liquid: "" };
  }
}
