import { useState } from "react";
import { useLocation } from "wouter";
import type { PlanLine } from "@/api/client";
import { useRenamePlan, useTakePlan } from "@/api/plans";
import { CutDrawing } from "@/drawing/CutDrawing";
import { requestFromPlan, requestToAddress } from "@/lib/cookRequest";
import { cookTime, spokenTime } from "@/lib/format";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { Checkbox } from "@/ui/Checkbox";

interface Props {
  plan: PlanLine;
  cook: string | undefined;
  cutName: string;
  family: string;
  picked: boolean;
  onPick: (picked: boolean) => void;
  onDelete: () => void;
}

/** One saved plan. */
export function PlanRow({ plan, cook, cutName, family, picked, onPick, onDelete }: Props) {
  const [renaming, setRenaming] = useState(false);
  const [, navigate] = useLocation();
  const take = useTakePlan();
  const open = (asCopy: boolean) =>
    take.mutate(plan.id, {
      onSuccess: ({ inputs }) =>
        navigate(`/plan?${requestToAddress(requestFromPlan(inputs), asCopy ? null : plan.id)}`),
    });
  return (
    <li className="grid grid-cols-[64px_1fr] items-center gap-x-4 border-rule border-b py-2 sm:grid-cols-[64px_1fr_auto_auto]">
      <CutDrawing family={family} />
      <div className="min-w-0">
        {renaming ? (
          <Rename plan={plan} onDone={() => setRenaming(false)} />
        ) : (
          <button
            type="button"
            onClick={() => open(false)}
            className="min-w-0 max-w-full break-words [overflow-wrap:anywhere] text-left font-dial font-semibold text-[1.0625rem] underline decoration-rule underline-offset-4 hover:decoration-ink"
          >
            {plan.name}
          </button>
        )}
        <p className="text-[0.875rem] text-pencil">
          {cutName},{" "}
          {plan.count === 1 ? say("saved-one-piece") : say("saved-pieces", { count: plan.count })},{" "}
          <span data-typed>{plan.total_mass}</span> {say("saved-in", { pot_name: plan.pot_name })}
          {cook && ` · ${cook}`}
        </p>
      </div>
      <p className="col-start-2 sm:col-start-auto sm:text-right">
        <span className="font-bold font-dial text-[1.25rem]">{cookTime(plan.hold_min)}</span>{" "}
        <span className="text-[0.875rem] text-pencil">{say("saved-cook-time")}</span>
        <span className="block text-[0.875rem] text-pencil">
          {say("saved-total-time", { lid_on_to_open_s: spokenTime(plan.total_s / 60) })}
        </span>
      </p>
      <div className="col-start-2 flex flex-wrap gap-2 pt-1 sm:col-start-auto sm:pt-0">
        <div className="w-full sm:w-auto">
          <Checkbox label={say("saved-compare")} on={picked} onChange={onPick} />
        </div>
        <Button aria-label={say("saved-copy-2", { name: plan.name })} onClick={() => open(true)}>
          {say("saved-copy")}
        </Button>
        <Button
          aria-label={say("saved-rename-2", { name: plan.name })}
          onClick={() => setRenaming(true)}
        >
          {say("saved-rename")}
        </Button>
        <Button aria-label={say("saved-delete-2", { name: plan.name })} onClick={onDelete}>
          {say("saved-delete")}
        </Button>
      </div>
    </li>
  );
}

function Rename({ plan, onDone }: { plan: PlanLine; onDone: () => void }) {
  const rename = useRenamePlan();
  const [name, setName] = useState(plan.name);
  return (
    <form
      className="flex flex-wrap gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        rename.mutate({ id: plan.id, name }, { onSuccess: onDone });
      }}
    >
      <input
        aria-label={say("saved-new-name")}
        // the cook asked for this field a moment ago
        ref={(element) => element?.focus()}
        value={name}
        maxLength={120}
        required
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => event.key === "Escape" && onDone()}
        className="min-w-0 flex-1 rounded-sm border border-edge bg-sheet px-2 py-1"
      />
      <Button strong type="submit" disabled={rename.isPending}>
        {say("saved-save-name")}
      </Button>
    </form>
  );
}
