import { useState } from "react";
import { type HouseholdOut, type KeptPotOut, ProblemError } from "@/api/client";
import { useChangeHousehold, useChangePot, useSkipIntroduction } from "@/api/queries";
import { ownPotOf } from "@/lib/own-pot";
import { ReaderChoices } from "@/parts/ReaderChoices";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { SelectField } from "@/ui/SelectField";
import { TextField } from "@/ui/TextField";

interface Props {
  household: HouseholdOut;
  pots: KeptPotOut[];
  onDone: () => void;
}

/** What a kitchen is like: asked once, and changed in My kitchen. */
export function FirstRun({ household, pots, onDone }: Props) {
  const [units, setUnits] = useState(household.units);
  const [locale, setLocale] = useState(household.locale);
  const [altitude, setAltitude] = useState(
    household.introduced ? household.altitude_shown[household.units] : "",
  );
  const [servings, setServings] = useState(String(household.servings));
  const [potId, setPotId] = useState(
    (pots.find((kept) => kept.ready_id === "tenor") ?? pots[0])?.id ?? "",
  );
  const pot = pots.find((kept) => kept.id === potId);
  const [least, setLeast] = useState("");
  const change = useChangeHousehold();
  const changePot = useChangePot();
  const skip = useSkipIntroduction();
  const problemOf = (error: unknown) => (error instanceof ProblemError ? error.problem : null);
  const problem = problemOf(change.error) ?? problemOf(changePot.error);
  const at = (field: string) =>
    problem?.field === field ? `${problem.message} ${problem.hint ?? ""}` : null;
  const save = async () => {
    if (pot && least.trim()) {
      await changePot.mutateAsync({
        id: pot.id,
        body: { ...ownPotOf(pot.pot), least_liquid: least },
      });
    }
    await change.mutateAsync({
      seen: null,
      body: {
        name: household.name,
        altitude: altitude.trim() || "0 m",
        start: household.start_shown[household.units],
        units,
        locale,
        servings: Number(servings) || household.servings,
        taste_step: household.taste_step,
        simulated_teach: household.simulated_teach,
      },
    });
    onDone();
  };
  return (
    <form
      aria-label={say("plan-your-kitchen-2")}
      className="mt-5 grid gap-3 rounded-sm border border-edge p-4 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        save().catch(() => undefined);
      }}
    >
      <h2 className="font-semibold text-[1.125rem] sm:col-span-2">{say("plan-your-kitchen")}</h2>
      <ReaderChoices units={units} locale={locale} onUnits={setUnits} onLocale={setLocale} />
      <TextField
        label={say("plan-altitude")}
        value={altitude}
        placeholder={
          units === "us" ? say("plan-sea-level-or-3770-ft") : say("plan-sea-level-or-1150-m")
        }
        trouble={at("altitude")}
        onChange={setAltitude}
      />
      <TextField
        label={say("plan-people-at-the-table")}
        value={servings}
        placeholder="4"
        trouble={at("servings")}
        onChange={setServings}
      />
      <SelectField
        label={say("plan-your-cooker")}
        value={potId}
        options={pots.map((kept) => ({ value: kept.id, name: kept.pot.name }))}
        onChange={setPotId}
      />
      <TextField
        label={say("plan-its-minimum-liquid-from-the-manual")}
        value={least}
        placeholder={pot?.pot.min_liquid_shown[units] ?? ""}
        trouble={at("least_liquid")}
        onChange={setLeast}
      />
      {problem && !problem.field && (
        <p role="alert" className="border-care border-l-4 pl-2 sm:col-span-2">
          <strong>{problem.message}</strong> {problem.hint}
        </p>
      )}
      <p className="flex flex-wrap gap-3 sm:col-span-2">
        <Button strong type="submit" className="min-h-11" disabled={change.isPending}>
          {say("plan-save-my-kitchen")}
        </Button>
        <Button className="min-h-11" onClick={() => skip.mutate(undefined, { onSuccess: onDone })}>
          {say("plan-skip-for-now")}
        </Button>
      </p>
    </form>
  );
}
