import { useDeferredValue, useId, useState } from "react";
import { useDeletePlan, useRestorePlan, useSavedPlans } from "@/api/plans";
import { useCatalogue, usePeople } from "@/api/queries";
import { Compare } from "@/features/saved/Compare";
import { PlanRow } from "@/features/saved/PlanRow";
import { say } from "@/text/say";
import { Toast } from "@/ui/Toast";

/** Plans that were saved, to find, open, rename and delete. */
export function SavedPlansView() {
  const [search, setSearch] = useState("");
  const saved = useSavedPlans(useDeferredValue(search));
  const people = usePeople();
  const catalogue = useCatalogue();
  const remove = useDeletePlan();
  const restore = useRestorePlan();
  const [gone, setGone] = useState<{ id: string; name: string } | null>(null);
  const [picked, setPicked] = useState<string[]>([]);
  // the two that were ticked last
  const pick = (plan: string, on: boolean) =>
    setPicked((now) => [...now.filter((item) => item !== plan), ...(on ? [plan] : [])].slice(-2));
  const id = useId();
  const plans = saved.data?.plans ?? [];
  const nameOf = (person: string | null) =>
    people.data?.people.find((item) => item.id === person)?.name;
  const cutOf = (id: string) => catalogue.data?.cuts.find((cut) => cut.id === id);
  return (
    <div className="mx-auto max-w-6xl px-4 py-5">
      <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <h1 className="font-bold text-[1.5rem]">{say("saved-saved-plans")}</h1>
        <div>
          <label htmlFor={id} className="mr-2 text-pencil">
            {say("saved-find")}
          </label>
          <input
            id={id}
            type="search"
            value={search}
            maxLength={120}
            autoComplete="off"
            onChange={(event) => setSearch(event.target.value)}
            className="w-56 rounded-sm border border-edge bg-sheet px-2 py-1"
          />
        </div>
      </div>
      {saved.isError && (
        <p role="alert" className="border-care border-l-4 pl-2">
          <strong>{say("saved-the-app-does-not-answer")}</strong>{" "}
          {say("saved-start-it-again-your-plans-are")}
        </p>
      )}
      {saved.isPending && <p className="text-pencil">{say("shared-loading")}</p>}
      {saved.data && plans.length === 0 && (
        <p className="text-pencil">
          {search
            ? say("saved-no-plan-has-these-words-in")
            : say("saved-no-plan-is-saved-yet-make")}
        </p>
      )}
      {picked.length === 1 && (
        <p className="mb-2 text-pencil">{say("saved-select-another-plan-to-compare")}</p>
      )}
      {picked.length === 2 && <Compare ids={picked} onClose={() => setPicked([])} />}
      <ul className="border-rule border-t" aria-label={say("saved-saved-plans-2")}>
        {plans.map((plan) => (
          <PlanRow
            key={plan.id}
            plan={plan}
            cook={nameOf(plan.person_id)}
            cutName={cutOf(plan.cut)?.name ?? ""}
            family={cutOf(plan.cut)?.family ?? ""}
            picked={picked.includes(plan.id)}
            onPick={(on) => pick(plan.id, on)}
            onDelete={() =>
              remove.mutate(plan.id, { onSuccess: () => setGone({ id: plan.id, name: plan.name }) })
            }
          />
        ))}
      </ul>
      {saved.data && saved.data.total > plans.length && (
        <p className="mt-3 text-pencil">
          {say("saved-the-newest-of-type-a-word", { plans: plans.length, total: saved.data.total })}
        </p>
      )}
      {gone && (
        <Toast
          text={say("saved-is-deleted", { name: gone.name })}
          action={{
            name: say("saved-undo"),
            run: () => restore.mutate(gone.id, { onSuccess: () => setGone(null) }),
          }}
          onClose={() => setGone(null)}
        />
      )}
    </div>
  );
}
