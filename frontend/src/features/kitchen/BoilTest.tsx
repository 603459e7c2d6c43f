import { useState } from "react";
import { type KeptPotOut, ProblemError } from "@/api/client";
import { useBoilTest } from "@/api/queries";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { TextField } from "@/ui/TextField";

interface Props {
  kept: KeptPotOut;
}

/** A litre of cold water, the minutes it took, and the pot's heat is known. */
export function BoilTest({ kept }: Props) {
  const [minutes, setMinutes] = useState("");
  const test = useBoilTest();
  const problem = test.error instanceof ProblemError ? test.error.problem : null;
  const { heat_ratio: ratio } = kept.pot;
  const tested = Math.abs(ratio - 1) > 0.004;
  return (
    <details className="mt-1 text-[0.875rem]">
      <summary className="cursor-pointer">
        {tested
          ? say("kitchen-boil-test-of-its-label", { round: Math.round(100 * ratio) })
          : say("kitchen-boil-test")}
      </summary>
      <form
        className="mt-1 flex flex-col gap-1.5"
        onSubmit={(event) => {
          event.preventDefault();
          test.mutate({ id: kept.id, minutes: Number(minutes) || 0 });
        }}
      >
        <p>{say("kitchen-boil-a-liter-about-a-quart")}</p>
        <TextField
          label={say("kitchen-minutes-for-a-liter-in", { name: kept.pot.name })}
          value={minutes}
          placeholder="14"
          trouble={problem ? `${problem.message} ${problem.hint ?? ""}` : null}
          onChange={setMinutes}
        />
        <div className="flex gap-2">
          <Button type="submit" disabled={!(Number(minutes) > 0) || test.isPending}>
            {say("kitchen-save-boil-test")}
          </Button>
          {tested && (
            <Button onClick={() => test.mutate({ id: kept.id, minutes: 0 })}>
              {say("kitchen-reset")}
            </Button>
          )}
        </div>
      </form>
    </details>
  );
}
