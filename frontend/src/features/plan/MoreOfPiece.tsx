import { useState } from "react";
import type { CatalogueOut } from "@/api/client";
import { type Planner, troubleAt } from "@/features/plan/usePlanner";
import type { Shape } from "@/lib/cookRequest";
import type { Units } from "@/lib/format";
import { type ArrangementKind, LYING_WORDS, namesOf } from "@/lib/words";
import { say } from "@/text/say";
import { Checkbox } from "@/ui/Checkbox";
import { MeasureField } from "@/ui/MeasureField";
import { SelectField } from "@/ui/SelectField";

interface Props {
  planner: Planner;
  catalogue: CatalogueOut;
  units: Units;
}

const waysOfLying = () => [
  { value: "", name: say("plan-best-way-that-fits") },
  ...namesOf(LYING_WORDS),
];

/** What most pieces do without: their shape, sections, a sauce, another kind in the same pot. */
export function MoreOfPiece({ planner, catalogue, units }: Props) {
  const { request, change } = planner;
  // once open it stays so, even when its last field is emptied
  const [opened, setOpened] = useState(false);
  const whole = planner.plan?.wholes?.[0];
  const field = (name: string) => {
    const found = troubleAt(planner.problem, name);
    return found ? { message: found.message, hint: found.hint ?? null } : null;
  };
  return (
    <details
      className="text-[0.875rem]"
      open={opened || hasMore(planner)}
      onToggle={(event) => setOpened(event.currentTarget.open)}
    >
      <summary className="cursor-pointer text-pencil">
        {say("plan-more-shape-sauce-a-second-cut")}
      </summary>
      <div className="mt-1 flex flex-col gap-1.5">
        <div className="grid grid-cols-2 gap-x-3">
          <SelectField
            label={say("plan-shape")}
            value={request.shape}
            options={shapes()}
            onChange={(value) => change({ shape: value as Shape })}
          />
          <SelectField
            label={say("plan-batches-2")}
            value={request.batches}
            options={batches()}
            onChange={(batches) => change({ batches, liquid: "" })}
          />
        </div>
        <MeasureField
          label={say("plan-length")}
          value={request.length}
          placeholder={whole?.length_shown[units] ?? say("plan-by-the-weight")}
          problem={field("length")}
          onChange={(length) => change({ length }, "type")}
        />
        <MeasureField
          label={say("plan-width")}
          value={request.width}
          placeholder={whole?.width_shown[units] ?? say("plan-by-the-weight")}
          problem={field("width")}
          onChange={(width) => change({ width }, "type")}
        />
        <SelectField
          label={say("plan-arrangement")}
          value={request.lying ?? ""}
          options={waysOfLying()}
          onChange={(value) =>
            change({ lying: value ? (value as ArrangementKind) : null, liquid: "" })
          }
        />
        <Checkbox
          label={say("plan-keep-pieces-apart-with-gaps-for")}
          on={request.apart}
          onChange={(apart) => change({ apart })}
        />
        <Checkbox
          label={say("plan-weighed-as-bought-with-the-fat")}
          on={request.bought}
          onChange={(bought) => change({ bought })}
        />
        <MeasureField
          label={say("plan-sauce")}
          value={request.sauce}
          placeholder={say("plan-a-thick-or-sweet-one-besides")}
          problem={field("sauce")}
          onChange={(sauce) => change({ sauce }, "type")}
        />
        {request.sauce && <SauceIs planner={planner} />}
        <MeasureField
          label={say("plan-simmer-uncovered-to-reduce")}
          value={request.boil}
          inputMode="numeric"
          placeholder={say("plan-minutes-after-opening")}
          other="min"
          problem={field("boil")}
          onChange={(boil) => change({ boil }, "type")}
        />
        <Checkbox
          label={say("plan-something-in-it-foams-beans-grains")}
          on={request.foams}
          onChange={(foams) => change({ foams })}
        />
        <SecondKind planner={planner} catalogue={catalogue} />
      </div>
    </details>
  );
}

function hasMore({ request }: Planner): boolean {
  const ticked = request.bought || request.foams || request.lying || request.apart;
  const typed = request.batches || request.sauce || request.also.cut || request.boil;
  return Boolean(ticked || typed || request.length || request.width);
}

/** What kind of sauce it is decides how much of it counts as liquid, and whether it scorches. */
function SauceIs({ planner: { request, change, problem } }: { planner: Planner }) {
  const trouble = troubleAt(problem, "sauce_sugar_g_l");
  return (
    <>
      <Checkbox
        label={say("plan-thin-broth-wine-juice")}
        on={request.sauceThin}
        onChange={(sauceThin) => change({ sauceThin })}
      />
      <MeasureField
        label={say("plan-sugar")}
        value={request.sugar}
        inputMode="numeric"
        placeholder={say("plan-per-liter")}
        other="g/l"
        problem={trouble ? { message: trouble.message, hint: trouble.hint ?? null } : null}
        onChange={(sugar) => change({ sugar }, "type")}
      />
      <Checkbox
        label={say("plan-poured-over-the-meat-not-on")}
        on={request.sauceOnTop}
        onChange={(sauceOnTop) => change({ sauceOnTop })}
      />
    </>
  );
}

const shapes = () => [
  { value: "block", name: say("plan-even") },
  {
    value: "tapered",
    name: say("plan-tapered"),
    says: say("plan-measured-at-its-thickest-third"),
  },
  {
    value: "rolled",
    name: say("plan-rolled"),
    says: say("plan-measured-across-the-roll"),
  },
];
const batches = () => [
  { value: "", name: say("plan-one-batch") },
  ...["2", "3", "4", "5", "6"].map((value) => ({ value, name: say("plan-batches-3", { value }) })),
];

function SecondKind({ planner, catalogue }: Omit<Props, "units">) {
  const { also } = planner.request;
  const set = (part: Partial<typeof also>, how: "type" | "set") =>
    planner.change({ also: { ...also, ...part } }, how);
  const options = [
    { value: "", name: say("plan-nothing-else") },
    ...catalogue.cuts.map((cut) => ({ value: cut.id, name: cut.name })),
  ];
  const trouble = (name: string) => {
    const { problem } = planner;
    const here = problem?.field === `pieces.1.${name}`;
    return here ? { message: problem.message, hint: problem.hint ?? null } : null;
  };
  return (
    <>
      <SelectField
        label={say("plan-second-cut-in-the-same-cooker")}
        value={also.cut}
        options={options}
        onChange={(cut) => set({ cut }, "set")}
      />
      {also.cut && (
        <>
          <MeasureField
            label={say("plan-weight")}
            value={also.mass}
            placeholder={say("plan-of-the-second-cut")}
            problem={trouble("mass")}
            onChange={(mass) => set({ mass }, "type")}
          />
          <MeasureField
            label={say("plan-pieces-2")}
            value={also.count}
            inputMode="numeric"
            problem={trouble("count")}
            onChange={(count) => set({ count }, "type")}
          />
          <MeasureField
            label={say("plan-thickness")}
            value={also.thickness}
            placeholder={say("plan-measure-it")}
            problem={trouble("thickness")}
            onChange={(thickness) => set({ thickness }, "type")}
          />
        </>
      )}
    </>
  );
}
