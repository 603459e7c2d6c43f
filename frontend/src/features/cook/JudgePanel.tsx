import { useState } from "react";
import { type CookOut, type Texture, troubleOf, type Verdict } from "@/api/client";
import type { Act } from "@/api/cooks";
import { newKey, useJudge, useProbe } from "@/api/cooks";
import { useUnits } from "@/api/queries";
import { LookDrawing } from "@/drawing/LookDrawing";
import { spokenTime, temperatureText, typedTemperature } from "@/lib/format";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  cook: CookOut;
  act: (act: Act) => void;
}

/** Fork, pull, bone, or a probe: done, back for some minutes, or rescued. */
export function JudgePanel({ cook, act }: Props) {
  const units = useUnits();
  const judge = useJudge(cook.id);
  const probe = useProbe(cook.id);
  const [reading, setReading] = useState("");
  const look = (seen: Texture | null, value: string | null) => judge.mutate({ seen, probe: value });
  const trouble = judge.error ? troubleOf(judge.error) : null;
  return (
    <section aria-label={say("cook-how-it-looks")} className="mt-3">
      <ul className="grid gap-2 sm:grid-cols-2">
        {cook.plan.looks.map(({ texture, looks }) => (
          <li key={texture}>
            <button
              type="button"
              onClick={() => look(texture, null)}
              className="flex min-h-[3.5rem] w-full items-center gap-3 rounded-sm border-2 border-edge px-2 py-1 text-left text-[1.0625rem] hover:border-ink"
            >
              <LookDrawing texture={texture} />
              <span>
                {looks}
                {texture === cook.plan.texture && (
                  <span className="text-[0.875rem] text-pencil">
                    {" "}
                    {say("cook-what-you-wanted")}
                  </span>
                )}
              </span>
            </button>
          </li>
        ))}
      </ul>
      <form
        className="mt-2 flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (reading.trim()) look(null, reading);
        }}
      >
        <label className="flex items-center gap-2">
          <span className="text-pencil">{say("cook-or-a-thermometer-at-the-center")}</span>
          <input
            value={reading}
            placeholder={temperatureText(96, units)}
            maxLength={40}
            onChange={(event) => setReading(event.target.value)}
            className="w-28 rounded-sm border border-edge bg-sheet px-2 py-1 placeholder:text-pencil"
          />
        </label>
        <Button type="submit">{say("cook-rate-by-it")}</Button>
        {cook.connected && (
          <Button
            onClick={() =>
              probe.mutate(undefined, {
                onSuccess: (found) => setReading(typedTemperature(found.temp_c, units)),
              })
            }
          >
            {say("cook-read-the-simulated-thermometer")}
          </Button>
        )}
        {probe.data && !probe.data.believable && (
          <span className="text-care">{say("cook-with-the-lid-on-it-reads")}</span>
        )}
      </form>
      {trouble && (
        <p role="alert" className="border-care border-l-4 pl-2">
          <strong>{trouble.message}</strong> {trouble.hint}
        </p>
      )}
      {judge.data && <Says verdict={judge.data} act={act} />}
    </section>
  );
}

function Says({ verdict, act }: { verdict: Verdict; act: (act: Act) => void }) {
  if (verdict.step === "done") {
    return (
      <p role="status" className="mt-3 font-bold text-[1.375rem] text-safe">
        {say("cook-done-take-it-out-and-let")}
      </p>
    );
  }
  if (verdict.step === "rescue") {
    return (
      <p role="status" className="mt-3 text-[1.125rem]">
        <strong>{say("cook-softer-than-you-wanted")}</strong> {verdict.advice}
      </p>
    );
  }
  return (
    <div role="status" className="mt-3 flex flex-wrap items-center gap-3 text-[1.125rem]">
      <span>
        <strong>{say("cook-not-yet")}</strong>{" "}
        {say("cook-cook-min-more-until-it-is", {
          hold_min: verdict.hold_min,
          more_s: spokenTime(verdict.more_s / 60),
        })}
      </span>
      <Button
        strong
        className="min-h-[4rem] grow px-6 text-left text-[1.375rem] sm:grow-0"
        onClick={() =>
          act({
            kind: "tell",
            event: { kind: "put_back", key: newKey(), hold_min: verdict.hold_min },
          })
        }
      >
        {say("cook-cook-min", { hold_min: verdict.hold_min })}
      </Button>
    </div>
  );
}
