import { useState } from "react";
import { ProblemError } from "@/api/client";
import { useAddOwnPot } from "@/api/queries";
import type { Units } from "@/lib/format";
import { Button } from "@/ui/Button";
import { Sheet } from "@/ui/Sheet";
import { TextField } from "@/ui/TextField";
import { Tick } from "@/ui/Tick";

interface Props {
  units: Units;
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
type Field = keyof typeof EMPTY;

/** A pot of one's own, with only what a ruler and the plate on its back say. */
export function OwnPotSheet({ units, onClose }: Props) {
  const [typed, setTyped] = useState(EMPTY);
  const [startKey, setStartKey] = useState(false);
  const [crisping, setCrisping] = useState(false);
  const add = useAddOwnPot();
  const problem = add.error instanceof ProblemError ? add.error.problem : null;
  const field = (name: Field, label: string, placeholder: string) => (
    <TextField
      label={label}
      value={typed[name]}
      placeholder={placeholder}
      trouble={problem?.field === name ? `${problem.message} ${problem.hint ?? ""}` : null}
      onChange={(value) => setTyped({ ...typed, [name]: value })}
    />
  );
  const metric = units === "metric";
  const save = () =>
    add.mutate(
      {
        ...typed,
        power_w: Number(typed.power_w) || 1,
        longest_min: Number(typed.longest_min) || null,
        panel_step_min: null,
        least_liquid: typed.least_liquid || null,
        high: typed.high || null,
        low: typed.low || null,
        start_key: startKey,
        crisping_lid: crisping,
      },
      { onSuccess: onClose },
    );
  const loose = problem && !(problem.field && problem.field in EMPTY) ? problem : null;
  return (
    <Sheet title="A pot of your own" open onClose={onClose}>
      <form
        className="grid gap-2 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <div className="sm:col-span-2">
          {field("name", "What do you call it?", "the vestry pot")}
        </div>
        {field("volume", "Size on its plate", metric ? "5.7 l" : "6 qt")}
        {field("power_w", "Watts on its plate", "1000")}
        {field("diameter", "Inside, wall to wall", metric ? "22 cm" : "8 5/8 in")}
        {field("height", "Inside, base to rim", metric ? "15 cm" : "5 7/8 in")}
        <p className="text-[0.875rem] text-pencil sm:col-span-2">
          From the manual, or leave empty for what is usual at this size:
        </p>
        {field("least_liquid", "Least liquid", metric ? "250 ml" : "1 cup")}
        {field("longest_min", "Longest program, minutes", "240")}
        {field("high", "Pressure, high", metric ? "75 kPa" : "11 psi")}
        {field("low", "Pressure, low", metric ? "40 kPa" : "6 psi")}
        <Tick label="it waits for a start key" on={startKey} onChange={setStartKey} />
        <Tick label="it has a crisping lid" on={crisping} onChange={setCrisping} />
        {loose && (
          <p role="alert" className="border-care border-l-4 pl-2 text-[0.875rem] sm:col-span-2">
            {loose.message} {loose.hint}
          </p>
        )}
        <div className="mt-1 sm:col-span-2">
          <Button strong type="submit" disabled={add.isPending}>
            Take it in
          </Button>
        </div>
      </form>
    </Sheet>
  );
}
