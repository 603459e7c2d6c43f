import type { CutOut } from "@/api/client";
import { type Bench, troubleAt } from "@/features/bench/useBench";
import { MeasureField } from "@/ui/MeasureField";

interface Props {
  bench: Bench;
  cut: CutOut | undefined;
}

/** How each whole piece is cut before it goes in: what lies in the pot follows from it. */
export function KnifePick({ bench, cut }: Props) {
  const { wish, change } = bench;
  const options = cut?.takes_membrane ? RACKS : ROASTS;
  const known = options.some(({ value }) => value === wish.knife);
  return (
    <select
      aria-label="how each piece is cut"
      value={wish.knife}
      onChange={(event) => change({ knife: event.target.value, liquid: "", lying: null })}
      className="w-[112px] rounded-sm border border-edge bg-sheet px-1 py-1 font-medium text-[0.875rem]"
    >
      {options.map(({ value, name }) => (
        <option key={value} value={value}>
          {name}
        </option>
      ))}
      {!known && <option value={wish.knife}>{wish.knife.replace(":", " ")}</option>}
    </select>
  );
}

/** The size of cubes, and what cannot be cut so. */
export function KnifeMore({ bench }: { bench: Bench }) {
  const { wish, change, problem } = bench;
  const trouble = KNIFE_FIELDS.map((name) => troubleAt(problem, name)).find((found) => found);
  return (
    <>
      {wish.knife === "cubes" && (
        <MeasureField
          label="cubes of"
          value={wish.cube}
          placeholder="4 cm"
          onChange={(cube) => change({ cube }, "type")}
        />
      )}
      {trouble && (
        <p role="alert" className="border-care border-l-4 pl-2 text-[0.875rem]">
          <strong className="font-semibold">{trouble.message}</strong> {trouble.hint}
        </p>
      )}
    </>
  );
}

const KNIFE_FIELDS = ["cutting", "parts", "cube", "section_bones"];

const ROASTS = [
  { value: "", name: "whole" },
  { value: "lengthwise:2", name: "2 lengthwise" },
  { value: "lengthwise:3", name: "3 lengthwise" },
  { value: "across:2", name: "2 across" },
  { value: "across:3", name: "3 across" },
  { value: "across:4", name: "4 across" },
  { value: "halved", name: "halved, thinner" },
  { value: "quartered", name: "quartered" },
  { value: "cubes", name: "cubes" },
];

const RACKS = [
  { value: "", name: "whole" },
  { value: "sections:6", name: "6 bones each" },
  { value: "sections:4", name: "4 bones each" },
  { value: "sections:3", name: "3 bones each" },
  { value: "sections:2", name: "2 bones each" },
  { value: "sections:1", name: "single ribs" },
];
