import { useBatches } from "@/api/queries";
import type { Bench } from "@/features/bench/useBench";
import { panelTime, spokenTime, type Units } from "@/lib/format";
import { Button } from "@/ui/Button";

interface Props {
  bench: Bench;
  units: Units;
}

/** What does not go into one run: how many runs it takes, and one of them to take over. */
export function Runs({ bench, units }: Props) {
  const crowded = CROWDED.has(bench.problem?.code ?? "");
  const { data } = useBatches(crowded ? bench.settled : null);
  if (!crowded || !data || data.runs.length < 2) return null;
  const [first] = data.runs;
  if (!first) return null;
  const all = data.runs.reduce((sum, run) => sum + run.answer.lid_on_to_open_s, 0);
  return (
    <div data-testid="runs" className="mt-2 text-[0.875rem]">
      <p>
        It goes in <strong className="font-semibold">{data.runs.length} runs</strong> of about{" "}
        {first.pieces === 1 ? "one piece" : `${first.pieces} pieces`}, {first.mass_shown[units]}:{" "}
        {panelTime(first.answer.hold_min)} each, {spokenTime(all / 60)} in all.
      </p>
      {bench.wish.also.cut === "" && bench.wish.sections === "" && (
        <Button
          className="mt-1"
          onClick={() =>
            bench.change({
              count: String(first.pieces),
              mass: first.mass_shown[units],
              // what a run weighs is trimmed already
              bought: false,
              liquid: "",
            })
          }
        >
          Plan one run
        </Button>
      )}
    </div>
  );
}

const CROWDED = new Set(["does_not_lie", "too_full", "too_tall"]);
