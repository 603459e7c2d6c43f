import { useEffect, useState } from "react";
import { troubleOf } from "@/api/client";
import { useLoadScale, useScale, useTare } from "@/api/scale";
import type { Units } from "@/lib/format";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  units: Units;
  onMass: (text: string) => void;
  onClose: () => void;
}

/** The scale in Plan: while it is on, the weight follows it, and the plan follows the weight. */
export function Weigh({ units, onMass, onClose }: Props) {
  const scale = useScale(true);
  const tare = useTare();
  const shown = scale.data?.mass_shown[units];
  const lies = (scale.data?.mass_kg ?? 0) >= LEAST_KG;
  useEffect(() => {
    if (lies && shown) onMass(shown);
  }, [lies, shown, onMass]);
  return (
    <section
      aria-label={say("plan-the-scale")}
      className="border-2 border-edge px-2 py-1.5 text-[0.875rem]"
    >
      <p className="flex flex-wrap items-baseline gap-x-3" role="status">
        <span className="font-bold font-dial text-[1.625rem]" data-testid="scale-shows">
          {scale.isError ? "–" : (shown ?? "…")}
        </span>
        <span className="text-pencil">{sayState(scale.isError, scale.data?.settled, lies)}</span>
      </p>
      <div className="mt-1 flex flex-wrap gap-1.5">
        <Button onClick={() => tare.mutate()}>{say("plan-set-to-zero")}</Button>
        <Button strong disabled={!lies || !scale.data?.settled} onClick={onClose}>
          {say("plan-use-this-weight")}
        </Button>
      </div>
      <PutOn units={units} />
    </section>
  );
}

/** Less is crumbs, or an empty scale. */
const LEAST_KG = 0.05;

function sayState(lost: boolean, settled: boolean | undefined, lies: boolean): string {
  if (lost) return say("plan-the-scale-does-not-answer-type");
  if (!lies) return say("plan-nothing-on-it");
  return settled ? "steady" : say("plan-settling");
}

/** The scale is simulated, so somebody has to say what lies on it. */
function PutOn({ units }: { units: Units }) {
  const load = useLoadScale();
  const [typed, setTyped] = useState("");
  const trouble = load.error ? troubleOf(load.error) : null;
  return (
    <form
      className="mt-1.5 flex flex-wrap items-center gap-1.5 border-rule border-t pt-1.5"
      onSubmit={(event) => {
        event.preventDefault();
        if (typed.trim()) load.mutate(typed);
      }}
    >
      <label className="flex items-center gap-1.5">
        <span className="text-pencil">{say("plan-simulated")}</span>
        <input
          aria-label={say("plan-what-lies-on-the-simulated-scale")}
          value={typed}
          maxLength={40}
          autoComplete="off"
          placeholder={units === "us" ? say("plan-3-lb-2-oz") : say("plan-1-42-kg")}
          onChange={(event) => setTyped(event.target.value)}
          className="w-24 rounded-sm border border-edge bg-sheet px-2 py-1 placeholder:text-pencil"
        />
      </label>
      <Button type="submit">{say("plan-put-it-on")}</Button>
      {trouble && (
        <p role="alert" className="basis-full border-care border-l-4 pl-2">
          <strong>{trouble.message}</strong> {trouble.hint}
        </p>
      )}
    </form>
  );
}
