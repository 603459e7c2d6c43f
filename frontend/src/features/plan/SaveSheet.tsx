import { useId, useState } from "react";
import { useLocation } from "wouter";
import { isStale, ProblemError } from "@/api/client";
import { useSavePlan, useStoredPlan } from "@/api/plans";
import { usePeople } from "@/api/queries";
import type { Planner } from "@/features/plan/usePlanner";
import { requestFromPlan, requestToAddress } from "@/lib/cookRequest";
import { noteSeen, seenVersion } from "@/lib/seen";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { ChangedElsewhere } from "@/ui/ChangedElsewhere";
import { Dialog } from "@/ui/Dialog";

interface Props {
  planner: Planner;
  onClose: () => void;
}

/** Name a plan and keep it: a new one, or in place of the one that was opened. */
export function SaveSheet({ planner, onClose }: Props) {
  const stored = useStoredPlan(planner.planId);
  const people = usePeople();
  const save = useSavePlan();
  const [, navigate] = useLocation();
  const [typed, setTyped] = useState<string | null>(null);
  const [person, setPerson] = useState<string | null>(null);
  const nameId = useId();
  const personId = useId();
  const name = typed ?? stored.data?.name ?? "";
  const cook = person ?? stored.data?.person_id ?? "";

  const keep = (id: string | null, seen = id ? seenVersion(id) : null) => {
    if (!planner.inputs || !name.trim()) return;
    save.mutate(
      { id, seen, name, personId: cook || null, inputs: planner.inputs },
      {
        onSuccess: (plan) => {
          navigate(`/plan?${requestToAddress(planner.request, plan.id)}`, { replace: true });
          onClose();
        },
      },
    );
  };

  return (
    <Dialog
      title={planner.planId ? say("plan-save-changes") : say("plan-save-plan")}
      open
      onClose={onClose}
    >
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          keep(planner.planId);
        }}
      >
        <div>
          <label htmlFor={nameId}>{say("plan-name")}</label>
          <input
            id={nameId}
            value={name}
            maxLength={120}
            required
            autoComplete="off"
            onChange={(event) => setTyped(event.target.value)}
            className="mt-1 w-full rounded-sm border border-edge bg-sheet px-2 py-1.5"
          />
        </div>
        <div>
          <label htmlFor={personId}>{say("plan-cook")}</label>
          <select
            id={personId}
            value={cook}
            onChange={(event) => setPerson(event.target.value)}
            className="mt-1 w-full rounded-sm border border-edge bg-sheet px-2 py-1.5"
          >
            <option value="">{say("plan-nobody-in-particular")}</option>
            {people.data?.people.map((item) => (
              <option key={item.id} value={item.id}>
                {item.name}
              </option>
            ))}
          </select>
        </div>
        {isStale(save.error) && stored.data && (
          <ChangedElsewhere
            what={say("plan-this-plan")}
            busy={save.isPending}
            onMine={() => keep(planner.planId, null)}
            onTheirs={() => {
              if (!stored.data) return;
              noteSeen(stored.data.id, stored.data.version);
              navigate(
                `/plan?${requestToAddress(requestFromPlan(stored.data.inputs), stored.data.id)}`,
              );
              onClose();
            }}
          />
        )}
        {save.error instanceof ProblemError && !isStale(save.error) && (
          <p role="alert" className="border-care border-l-4 pl-2">
            <strong>{save.error.problem.message}</strong> {save.error.problem.hint}
          </p>
        )}
        <div className="flex flex-wrap gap-2">
          <Button strong type="submit" disabled={save.isPending}>
            {say("plan-save")}
          </Button>
          {planner.planId && (
            <Button disabled={save.isPending} onClick={() => keep(null)}>
              {say("plan-save-as-another-plan")}
            </Button>
          )}
        </div>
      </form>
    </Dialog>
  );
}
