import { useId, useRef, useState } from "react";
import { type HouseholdOut, isStale, ProblemError } from "@/api/client";
import { useChangeHousehold } from "@/api/queries";
import { ReaderChoices } from "@/parts/ReaderChoices";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { ChangedElsewhere } from "@/ui/ChangedElsewhere";
import { Checkbox } from "@/ui/Checkbox";
import { Choice } from "@/ui/Choice";

interface Props {
  household: HouseholdOut;
}

const tastes = () => [
  { value: "-1", name: say("kitchen-one-step-firmer") },
  { value: "0", name: say("kitchen-usual") },
  { value: "1", name: say("kitchen-one-step-softer") },
];

/** What is usual here: altitude, how cold the meat is, which measures. */
export function HouseholdForm({ household }: Props) {
  const [name, setName] = useState(household.name);
  const [altitude, setAltitude] = useState(household.altitude_shown[household.units]);
  const [start, setStart] = useState(household.start_shown[household.units]);
  const [units, setUnits] = useState(household.units);
  const [locale, setLocale] = useState(household.locale);
  const [servings, setServings] = useState(String(household.servings));
  const [taste, setTaste] = useState(String(household.taste_step));
  const [simulated, setSimulated] = useState(household.simulated_teach);
  const [seen, setSeen] = useState(household.version);
  const change = useChangeHousehold();
  const problem = change.error instanceof ProblemError ? change.error.problem : null;
  const save = (version: number | null) =>
    change.mutate(
      {
        seen: version,
        body: {
          name,
          altitude,
          start,
          units,
          locale,
          servings: Number(servings) || null,
          taste_step: Number(taste),
          simulated_teach: simulated,
        },
      },
      {
        onSuccess: (saved) => {
          typed.current = false;
          setSeen(saved.version);
        },
      },
    );
  const take = (other: HouseholdOut) => {
    setName(other.name);
    setAltitude(other.altitude_shown[other.units]);
    setStart(other.start_shown[other.units]);
    setUnits(other.units);
    setLocale(other.locale);
    setServings(String(other.servings));
    setTaste(String(other.taste_step));
    setSimulated(other.simulated_teach);
    setSeen(other.version);
    change.reset();
  };
  const typed = useRef(false);
  // what another tab saved stands here too, unless something was typed here already
  if (household.version !== seen && !typed.current && !change.isPending) take(household);
  return (
    <form
      aria-label={say("kitchen-kitchen")}
      className="flex flex-col gap-3"
      onChange={() => {
        typed.current = true;
      }}
      onSubmit={(event) => {
        event.preventDefault();
        save(seen);
      }}
    >
      <h2 className="font-bold text-[1.25rem]">{say("kitchen-my-kitchens-settings")}</h2>
      <Field label={say("kitchen-name")} value={name} onChange={setName} trouble={null} />
      <Field
        label={say("kitchen-altitude")}
        value={altitude}
        onChange={setAltitude}
        trouble={problem?.field === "altitude" ? problem : null}
      />
      <Field
        label={say("kitchen-refrigerator-temperature")}
        value={start}
        onChange={setStart}
        trouble={problem?.field === "start" ? problem : null}
      />
      <ReaderChoices units={units} locale={locale} onUnits={setUnits} onLocale={setLocale} />
      <Field
        label={say("kitchen-people-at-the-table")}
        value={servings}
        onChange={setServings}
        trouble={problem?.field === "servings" ? problem : null}
      />
      <div>
        <span className="text-pencil">{say("kitchen-you-like-your-meat")}</span>
        <Choice label={say("kitchen-taste")} value={taste} options={tastes()} onChange={setTaste} />
      </div>
      <Checkbox
        label={say("kitchen-let-simulated-cooks-change-my-plans")}
        on={simulated}
        onChange={(on) => {
          typed.current = true;
          setSimulated(on);
        }}
      />
      <Button strong type="submit" disabled={change.isPending} className="self-start">
        {say("kitchen-save")}
      </Button>
      {change.isSuccess && (
        <p role="status" className="text-safe">
          {say("kitchen-saved-every-plan-now-uses-this")}
        </p>
      )}
      {isStale(change.error) && (
        <ChangedElsewhere
          what={say("kitchen-this-kitchen")}
          busy={change.isPending}
          onMine={() => save(null)}
          onTheirs={() => take(household)}
        />
      )}
      {problem && !problem.field && (
        <p role="alert" className="border-care border-l-4 pl-2">
          <strong>{problem.message}</strong> {problem.hint}
        </p>
      )}
    </form>
  );
}

interface FieldProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
  trouble: { message: string; hint?: string | null } | null;
}

function Field({ label, value, onChange, trouble }: FieldProps) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="text-pencil">
        {label}
      </label>
      <input
        id={id}
        value={value}
        required
        maxLength={80}
        autoComplete="off"
        aria-invalid={trouble ? true : undefined}
        aria-describedby={trouble ? `${id}-trouble` : undefined}
        onChange={(event) => onChange(event.target.value)}
        className="w-full rounded-sm border border-edge bg-sheet px-2 py-1.5"
      />
      {trouble && (
        <p id={`${id}-trouble`} role="alert" className="mt-1 border-care border-l-4 pl-2">
          <strong>{trouble.message}</strong> {trouble.hint}
        </p>
      )}
    </div>
  );
}
