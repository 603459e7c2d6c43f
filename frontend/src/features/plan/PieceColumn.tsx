import { Scale } from "lucide-react";
import { RadioGroup, Slider, Switch } from "radix-ui";
import { useCallback, useId, useState } from "react";
import { Link } from "wouter";
import type { CatalogueOut, CutOut, HouseholdOut, PlanOut, Shown } from "@/api/client";
import { CutDrawing } from "@/drawing/CutDrawing";
import { Crust } from "@/features/plan/Crust";
import { FixIt } from "@/features/plan/FixIt";
import { KnifeMore, KnifePick } from "@/features/plan/KnifePick";
import { Ladder } from "@/features/plan/Ladder";
import { MoreOfPiece } from "@/features/plan/MoreOfPiece";
import { Plates } from "@/features/plan/Plates";
import { type Planner, troubleAt } from "@/features/plan/usePlanner";
import { Weigh } from "@/features/plan/Weigh";
import {
  besideTyped,
  lengthText,
  massText,
  ownLength,
  ownMass,
  steppedLength,
  steppedMass,
  type Units,
  unitsOf,
} from "@/lib/format";
import { UndoRedo } from "@/parts/UndoRedo";
import { say } from "@/text/say";
import { MeasureField } from "@/ui/MeasureField";

interface Props {
  planner: Planner;
  catalogue: CatalogueOut;
  cut: CutOut | undefined;
  household: HouseholdOut;
}

/** The piece: what it is, what it weighs, how thick it is, and how soft it should get. */
export function PieceColumn({ planner, catalogue, cut, household }: Props) {
  const { request, change } = planner;
  const [weighing, setWeighing] = useState(false);
  const choose = (id: string) => change({ ...UNCHOSEN, cut: id });
  return (
    <section
      aria-labelledby="piece-title"
      className="relative flex flex-col gap-0.5 border-rule px-4 py-0.5 lg:overflow-y-auto lg:border-r"
    >
      <div className="flex items-center justify-between gap-2">
        <h2
          id="piece-title"
          className="whitespace-nowrap font-semibold text-[0.9375rem] text-pencil"
        >
          {say("plan-your-meat")}
        </h2>
        <ScaleButton on={weighing} onClick={() => setWeighing(!weighing)} />
        <CutSelect cuts={catalogue.cuts} value={request.cut} onChange={choose} />
      </div>
      <FamilyPicker cuts={catalogue.cuts} value={request.cut} onChange={choose} />
      <Measures
        planner={planner}
        catalogue={catalogue}
        cut={cut}
        household={household}
        weighing={weighing}
        onWeighed={() => setWeighing(false)}
      />
      {cut?.takes_membrane && (
        <MembraneSwitch on={request.membrane} onChange={(membrane) => change({ membrane })} />
      )}
      {cut && (
        <Ladder
          cut={cut}
          value={request.texture ?? planner.plan?.setting.texture ?? cut.default_texture}
          onChange={(texture) => change({ texture })}
        />
      )}
      <Plates planner={planner} units={household.units}>
        <Crust planner={planner} />
      </Plates>
      <MoreOfPiece planner={planner} catalogue={catalogue} units={household.units} />
      <p className="flex flex-wrap gap-x-4 gap-y-1 text-[0.875rem] lg:hidden">
        <UndoRedo />
        <button
          type="button"
          className="min-h-[1.625rem] underline underline-offset-2"
          onClick={planner.startAfresh}
        >
          {say("plan-new-plan")}
        </button>
        <Link href="/plan/saved" className="min-h-[1.625rem] underline underline-offset-2">
          {say("plan-saved-plans")}
        </Link>
      </p>
    </section>
  );
}

/** Another cut starts from its own habits. */
const UNCHOSEN = {
  texture: null,
  liquidStyle: null,
  release: null,
  rack: null,
  membrane: false,
  knife: "",
  cube: "",
  ownMinutes: "",
  thinFirst: false,
  finish: null,
  length: "",
  width: "",
  minutes: "",
  liquid: "",
} as const;

interface PickerProps {
  cuts: CutOut[];
  value: string;
  onChange: (id: string) => void;
}

/** Which of its family; the drawing above stands for all of them. */
function CutSelect({ cuts, value, onChange }: PickerProps) {
  const family = cuts.find((cut) => cut.id === value)?.family;
  return (
    <select
      aria-label={say("plan-cut-2")}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      className="min-w-0 max-w-[200px] rounded-sm border border-edge bg-sheet px-2 py-0.5 font-medium text-[0.875rem]"
    >
      {cuts
        .filter((cut) => cut.family === family)
        .map((cut) => (
          <option key={cut.id} value={cut.id}>
            {cut.name}
          </option>
        ))}
    </select>
  );
}

function FamilyPicker({ cuts, value, onChange }: PickerProps) {
  const chosen = cuts.find((cut) => cut.id === value);
  const firsts = cuts.filter(
    (cut, index) => cuts.findIndex((other) => other.family === cut.family) === index,
  );
  return (
    <RadioGroup.Root
      aria-label={say("plan-kind-of-cut")}
      value={chosen?.family ?? ""}
      onValueChange={(family) => {
        const first = firsts.find((cut) => cut.family === family);
        if (first) onChange(first.id);
      }}
      className="grid grid-cols-5"
    >
      {firsts.map((cut) => (
        <RadioGroup.Item
          key={cut.family}
          value={cut.family}
          className="flex flex-col items-center border-transparent border-b-[3px] pb-0.5 text-pencil data-[state=checked]:border-ink data-[state=checked]:text-ink"
        >
          <CutDrawing family={cut.family} />
          <span className="text-[0.8125rem] leading-tight in-data-[state=checked]:font-semibold">
            {say("plan-family", { family: cut.family.replace(" ", "-") })}
          </span>
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}

function ScaleButton({ on, onClick }: { on: boolean; onClick: () => void }) {
  return (
    <button
      type="button"
      aria-label={say("plan-weigh-it-on-the-scale")}
      aria-expanded={on}
      onClick={onClick}
      className="ml-auto flex shrink-0 items-center gap-1.5 rounded-sm border border-edge px-2 py-0.5 text-[0.875rem] hover:border-ink aria-expanded:bg-ink aria-expanded:text-paper"
    >
      <Scale size={15} aria-hidden="true" className="shrink-0" /> {say("plan-weigh")}
    </button>
  );
}

function startWords(typed: string, shown: Shown | undefined, units: Units): string | undefined {
  if (!typed) return say("plan-from-the-refrigerator");
  // a word is told in degrees
  return /\d/.test(typed) ? besideTyped(shown, typed, units) : shown?.[units];
}

const STARTS = ["refrigerator", "seared", "tempered", "frozen"];

interface MeasuresProps extends Props {
  /** The scale is on: the weight follows it. */
  weighing: boolean;
  onWeighed: () => void;
}

/** What a number alone is taken for. */
const BARE_MASS = { us: "lb", metric: "kg" };
const BARE_LENGTH = { us: "in", metric: "cm" };

function Measures({ planner, catalogue, cut, household, weighing, onWeighed }: MeasuresProps) {
  const { request, change } = planner;
  const units = household.units;
  const plan = planner.plan && !planner.stale ? planner.plan : undefined;
  const piece = plan?.pieces[0];
  // what is typed are the sizes before the knife
  const bought = plan?.wholes?.[0] ?? piece;
  const massUnits = unitsOf(request.mass, units);
  const sizeUnits = unitsOf(request.thickness, units);
  // what a step wrote is read back here, so that the next step need not wait for the server
  const totalKg = ownMass(request.mass) ?? (piece && piece.mass_kg * piece.count);
  const thicknessM = ownLength(request.thickness) ?? bought?.thickness_m;
  const count = Number(request.count) || 1;
  const weighed = useCallback((mass: string) => change({ mass }, "drag"), [change]);
  const setThickness = (metres: number, how: "drag" | "set") =>
    change({ thickness: lengthText(metres, sizeUnits) }, how);
  return (
    <div className="flex flex-col gap-1">
      <MeasureField
        label={say("plan-weight")}
        value={request.mass}
        placeholder={units === "us" ? say("plan-3-lb-2-oz") : say("plan-1-4-kg")}
        other={besideTyped(bought?.total_mass_shown, request.mass, units)}
        problem={fieldProblem(planner, "mass")}
        onChange={(mass) => change({ mass }, "type")}
        bareUnit={BARE_MASS[massUnits]}
        canStep={totalKg !== undefined}
        onStep={(direction) =>
          change({ mass: massText(steppedMass(totalKg ?? 0, direction, massUnits), massUnits) })
        }
      />
      {weighing && <Weigh units={massUnits} onMass={weighed} onClose={onWeighed} />}
      <MeasureField
        label={say("plan-pieces-2")}
        value={request.count}
        inputMode="numeric"
        beside={<KnifePick planner={planner} cut={cut} />}
        problem={fieldProblem(planner, "count")}
        onChange={(text) => change({ count: text }, "type")}
        onStep={(direction) => change({ count: String(Math.max(1, count + direction)) })}
      />
      <KnifeMore planner={planner} />
      <FixIt planner={planner} units={units} at="piece" />
      <MeasureField
        label={say("plan-thickness")}
        value={request.thickness}
        placeholder={units === "us" ? say("plan-1-in") : say("plan-4-5-cm")}
        other={besideTyped(bought?.thickness_shown, request.thickness, units)}
        problem={fieldProblem(planner, "thickness")}
        onChange={(thickness) => change({ thickness }, "type")}
        bareUnit={BARE_LENGTH[sizeUnits]}
        canStep={thicknessM !== undefined}
        onStep={(direction) =>
          setThickness(steppedLength(thicknessM ?? 0, direction, sizeUnits), "set")
        }
      />
      <ThicknessSlider
        metres={thicknessM}
        low={catalogue.thinnest_m}
        high={catalogue.thickest_m}
        onDrag={(metres) => setThickness(metres, "drag")}
        onDrop={(metres) => setThickness(metres, "set")}
      />
      <MeasureField
        label={say("plan-from")}
        value={request.start}
        placeholder={household.start_shown[units]}
        other={startWords(request.start, piece?.start_shown, units)}
        problem={fieldProblem(planner, "start")}
        onChange={(start) => change({ start }, "type")}
        suggestions={STARTS}
      />
      {piece && <InThePot planner={planner} piece={piece} units={units} />}
    </div>
  );
}

type PieceOut = PlanOut["pieces"][number];

/** What goes into the pot, and how many it serves. */
function InThePot({ planner, piece, units }: { planner: Planner; piece: PieceOut; units: Units }) {
  const { request } = planner;
  const bare = (text: string) => text.replace(/ \w+$/, "");
  const sizes = [bare(piece.length_shown[units]), piece.width_shown[units]];
  // the knife may have made them thinner than what was typed
  if (request.knife) sizes.splice(1, 1, bare(sizes[1] ?? ""), piece.thickness_shown[units]);
  const each =
    piece.count > 1
      ? `${say("plan-of", { count: piece.count, mass: piece.mass_shown[units] })} `
      : "";
  return (
    <p className="text-[0.875rem] text-pencil" data-testid="pieces">
      {each}
      {sizes.join(" × ")}; {plates(planner)}.
    </p>
  );
}

function plates({ plan }: Planner): string {
  const serving = plan?.serving;
  if (!serving) return "";
  const { plates_from: from, plates_to: to } = serving;
  return from === to ? say("plan-serves", { to }) : say("plan-serves-to", { from, to });
}

function fieldProblem(planner: Planner, field: string) {
  const problem = troubleAt(planner.problem, field);
  return problem ? { message: problem.message, hint: problem.hint ?? null } : null;
}

interface SliderProps {
  metres: number | undefined;
  low: number;
  high: number;
  onDrag: (metres: number) => void;
  onDrop: (metres: number) => void;
}

const STEP_M = 0.001;

function ThicknessSlider({ metres, low, high, onDrag, onDrop }: SliderProps) {
  const toSteps = (value: number) => Math.round(value / STEP_M);
  return (
    <Slider.Root
      min={toSteps(low)}
      max={toSteps(high)}
      step={1}
      value={[toSteps(metres ?? low)]}
      disabled={metres === undefined}
      onValueChange={([steps]) => steps !== undefined && onDrag(steps * STEP_M)}
      onValueCommit={([steps]) => steps !== undefined && onDrop(steps * STEP_M)}
      className="relative ml-[84px] flex h-6 w-[calc(100%-160px)] touch-none items-center data-[disabled]:opacity-50"
    >
      <Slider.Track className="relative h-[3px] flex-1 bg-edge">
        <Slider.Range className="absolute h-full bg-ink" />
      </Slider.Track>
      <Slider.Thumb
        aria-label={say("plan-thickness-drag")}
        className="block h-6 w-3 rounded-sm border-2 border-ink bg-paper"
      />
    </Slider.Root>
  );
}

function MembraneSwitch({ on, onChange }: { on: boolean; onChange: (on: boolean) => void }) {
  const id = useId();
  return (
    <div className="flex items-center gap-3">
      <Switch.Root
        id={id}
        checked={on}
        onCheckedChange={onChange}
        className="h-6 w-11 rounded-full border-2 border-edge bg-sheet data-[state=checked]:border-ink data-[state=checked]:bg-ink"
      >
        <Switch.Thumb className="block h-4 w-4 translate-x-0.5 rounded-full bg-edge data-[state=checked]:translate-x-[22px] data-[state=checked]:bg-paper" />
      </Switch.Root>
      <label htmlFor={id}>
        {say("plan-membrane", {
          on: on ? say("plan-on-bones-stay-in") : say("plan-off-bones-may-slide-out"),
        })}
      </label>
    </div>
  );
}
