import { useState } from "react";
import { type KeptPotOut, type OwnPotIn, ProblemError } from "@/api/client";
import { useAddOwnPot, useChangePot } from "@/api/queries";
import { pressureText, sizeText, type Units } from "@/lib/format";
import { ownPotOf } from "@/lib/own-pot";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { Checkbox } from "@/ui/Checkbox";
import { Dialog } from "@/ui/Dialog";
import { TextField } from "@/ui/TextField";

interface Props {
  units: Units;
  /** The cooker that is changed; a new one when left out. */
  kept?: KeptPotOut | undefined;
  onClose: () => void;
}

const EMPTY = {
  name: "",
  volume: "",
  diameter: "",
  height: "",
  power_w: "",
  least_liquid: "",
  high: "",
  low: "",
  longest_min: "",
};
const EXAMPLES = {
  metric: {
    volume: "5.7 l",
    diameter: "22 cm",
    height: "15 cm",
    least_liquid: "250 ml",
    high: "75 kPa",
    low: "40 kPa",
  },
  us: {
    volume: "6 qt",
    diameter: "8⅝ in",
    height: "5⅞ in",
    least_liquid: "1 cup",
    high: "11 psi",
    low: "6 psi",
  },
};
type Field = keyof typeof EMPTY;

/** A cooker as its measures are shown. */
function typedOf({ pot }: KeptPotOut, units: Units): typeof EMPTY {
  return {
    name: pot.name,
    volume: sizeText(pot.usable_volume_m3, units),
    diameter: pot.inner_diameter_shown[units],
    height: pot.inner_height_shown[units],
    power_w: String(pot.heater_w),
    least_liquid: pot.min_liquid_shown[units],
    high: pressureText(pot.gauge_high_pa / 1000, units),
    low: pressureText(pot.gauge_low_pa / 1000, units),
    longest_min: String(pot.longest_hold_min),
  };
}

/** What is sent. Of a cooker that is here, what was not touched keeps its exact number. */
function bodyOf(
  typed: typeof EMPTY,
  kept: KeptPotOut | undefined,
  has: { startKey: boolean; crisping: boolean; stovetop: boolean },
  units: Units,
): OwnPotIn {
  const body: OwnPotIn = {
    ...typed,
    power_w: Number(typed.power_w) || 1,
    longest_min: Number(typed.longest_min) || null,
    panel_step_min: kept?.pot.panel_step_min ?? null,
    least_liquid: typed.least_liquid || null,
    high: typed.high || null,
    low: typed.low || null,
    start_key: has.startKey,
    crisping_lid: has.crisping,
    stovetop: has.stovetop,
  };
  if (!kept) return body;
  const before = typedOf(kept, units);
  const exact = ownPotOf(kept.pot);
  const same = (Object.keys(before) as Field[]).filter((name) => before[name] === typed[name]);
  return { ...body, ...Object.fromEntries(same.map((name) => [name, exact[name]])) };
}

/** A pot of one's own, with only what a ruler and the plate on its back say. */
export function OwnPotSheet({ units, kept, onClose }: Props) {
  const [typed, setTyped] = useState(() => (kept ? typedOf(kept, units) : EMPTY));
  const [startKey, setStartKey] = useState(kept?.pot.has_start_key ?? false);
  const [crisping, setCrisping] = useState(kept?.pot.has_crisping_lid ?? false);
  const [stovetop, setStovetop] = useState(kept?.pot.is_stovetop ?? false);
  const add = useAddOwnPot();
  const change = useChangePot();
  const error = add.error ?? change.error;
  const problem = error instanceof ProblemError ? error.problem : null;
  const field = (name: Field, label: string, placeholder: string) => (
    <TextField
      label={label}
      value={typed[name]}
      placeholder={placeholder}
      trouble={problem?.field === name ? `${problem.message} ${problem.hint ?? ""}` : null}
      onChange={(value) => setTyped({ ...typed, [name]: value })}
    />
  );
  const examples = EXAMPLES[units];
  const save = () => {
    const body = bodyOf(typed, kept, { startKey, crisping, stovetop }, units);
    if (kept) change.mutate({ id: kept.id, body }, { onSuccess: onClose });
    else add.mutate(body, { onSuccess: onClose });
  };
  const loose = problem && !(problem.field && problem.field in EMPTY) ? problem : null;
  return (
    <Dialog
      title={kept ? say("kitchen-edit", { name: kept.pot.name }) : say("kitchen-your-own-cooker")}
      open
      onClose={onClose}
    >
      <form
        className="grid gap-2 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <div className="sm:col-span-2">
          {field("name", say("kitchen-what-do-you-call-it"), say("kitchen-the-vestry-cooker"))}
        </div>
        {field("volume", say("kitchen-size-on-its-label"), examples.volume)}
        {field("power_w", say("kitchen-watts-on-its-label"), "1000")}
        {field("diameter", say("kitchen-inside-wall-to-wall"), examples.diameter)}
        {field("height", say("kitchen-inside-bottom-to-rim"), examples.height)}
        <p className="text-[0.875rem] text-pencil sm:col-span-2">
          {say("kitchen-from-the-manual-leave-empty-for")}
        </p>
        {field("least_liquid", say("kitchen-minimum-liquid"), examples.least_liquid)}
        {field("longest_min", say("kitchen-longest-time-it-takes-minutes"), "240")}
        {field("high", say("kitchen-pressure-high"), examples.high)}
        {field("low", say("kitchen-pressure-low"), examples.low)}
        <Checkbox
          label={say("kitchen-it-waits-for-a-start-button")}
          on={startKey}
          onChange={setStartKey}
        />
        <Checkbox
          label={say("kitchen-it-has-an-air-fryer-lid")}
          on={crisping}
          onChange={setCrisping}
        />
        <Checkbox
          label={say("kitchen-it-stands-on-the-stove")}
          on={stovetop}
          onChange={setStovetop}
        />
        {loose && (
          <p role="alert" className="border-care border-l-4 pl-2 text-[0.875rem] sm:col-span-2">
            {loose.message} {loose.hint}
          </p>
        )}
        <div className="mt-1 sm:col-span-2">
          <Button strong type="submit" disabled={add.isPending || change.isPending}>
            {kept ? say("kitchen-save-cooker") : say("kitchen-add-cooker")}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
