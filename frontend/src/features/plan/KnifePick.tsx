import type { CutOut } from "@/api/client";
import { type Planner, troubleAt } from "@/features/plan/usePlanner";
import { say } from "@/text/say";
import { MeasureField } from "@/ui/MeasureField";

interface Props {
  planner: Planner;
  cut: CutOut | undefined;
}

/** How each whole piece is cut before it goes in: what lies in the pot follows from it. */
export function KnifePick({ planner, cut }: Props) {
  const { request, change } = planner;
  const options = cut?.id === "brisket_whole" ? WHOLE : cut?.takes_membrane ? RACKS : ROASTS;
  const known = options.some(([value]) => value === request.knife);
  return (
    <select
      aria-label={say("plan-how-each-piece-is-cut")}
      value={request.knife}
      onChange={(event) => change({ knife: event.target.value, liquid: "", lying: null })}
      className="w-[112px] rounded-sm border border-edge bg-sheet px-1 py-1 font-medium text-[0.875rem]"
    >
      {options.map(([value, message, count]) => (
        <option key={value} value={value}>
          {say(message, { count })}
        </option>
      ))}
      {!known && <option value={request.knife}>{request.knife.replace(":", " ")}</option>}
    </select>
  );
}

/** The size of cubes, and what cannot be cut so. */
export function KnifeMore({ planner }: { planner: Planner }) {
  const { request, change, problem } = planner;
  const trouble = KNIFE_FIELDS.map((name) => troubleAt(problem, name)).find((found) => found);
  return (
    <>
      {request.knife === "cubes" && (
        <MeasureField
          label={say("plan-cubes-of")}
          value={request.cube}
          placeholder={say("plan-4-cm")}
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

/** A way to cut: its value, its message, and the number in both. */
type Cutting = [value: string, message: string, count?: number];

const ROASTS: Cutting[] = [
  ["", "plan-whole"],
  ["lengthwise:2", "plan-lengthwise", 2],
  ["lengthwise:3", "plan-lengthwise", 3],
  ["across:2", "plan-across", 2],
  ["across:3", "plan-across", 3],
  ["across:4", "plan-across", 4],
  ["halved", "plan-halved-thinner"],
  ["quartered", "plan-quartered"],
  ["cubes", "plan-cubes"],
];

const WHOLE: Cutting[] = [...ROASTS, ["parted", "plan-flat-and-point"]];

const RACKS: Cutting[] = [
  ["", "plan-whole"],
  ["sections:6", "plan-bones-each", 6],
  ["sections:4", "plan-bones-each", 4],
  ["sections:3", "plan-bones-each", 3],
  ["sections:2", "plan-bones-each", 2],
  ["sections:1", "plan-single-ribs"],
];
