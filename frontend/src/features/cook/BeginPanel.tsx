import { useState } from "react";
import { Link, useLocation } from "wouter";
import { troubleOf } from "@/api/client";
import { useBegin, useTurns } from "@/api/cooks";
import { useSavedPlans, useTakePlan } from "@/api/plans";
import { TurnList } from "@/features/cook/Turns";
import { say } from "@/text/say";
import { Checkbox } from "@/ui/Checkbox";

/** Cooks that are on, and a new one from a plan. */
export function BeginPanel() {
  const saved = useSavedPlans("");
  const turns = useTurns().data?.turns ?? [];
  const begin = useBegin();
  const [connected, setConnected] = useState(false);
  const [, navigate] = useLocation();
  const take = useTakePlan();
  const start = (planId: string) =>
    take.mutate(planId, {
      onSuccess: ({ name, inputs }) =>
        begin.mutate(
          { name, plan: inputs, connected },
          { onSuccess: (cook) => navigate(`/cook?cook=${cook.id}`) },
        ),
    });
  const trouble = begin.error ? troubleOf(begin.error) : null;
  return (
    <div className="mx-auto max-w-3xl px-4 py-4">
      <h1 className="font-bold text-[1.5rem]">{say("cook-cook")}</h1>
      {turns.length > 0 && (
        <section aria-labelledby="on-title" className="mt-3">
          <h2 id="on-title" className="font-semibold text-[1.125rem]">
            {say("cook-cooking-now")}
          </h2>
          <TurnList turns={turns} />
        </section>
      )}
      <section aria-labelledby="begin-title" className="mt-4">
        <h2 id="begin-title" className="font-semibold text-[1.125rem]">
          {say("cook-start-cooking")}
        </h2>
        <div className="my-1">
          <Checkbox
            label={say("cook-with-the-simulated-cooker")}
            on={connected}
            onChange={setConnected}
          />
        </div>
        {trouble && (
          <p role="alert" className="border-care border-l-4 pl-2">
            <strong>{trouble.message}</strong> {trouble.hint}
          </p>
        )}
        {saved.isPending && <p className="text-pencil">{say("shared-loading")}</p>}
        <ul aria-label={say("cook-plans-to-cook")} className="border-rule border-t">
          {(saved.data?.plans ?? []).map((plan) => (
            <li
              key={plan.id}
              className="flex flex-wrap items-center justify-between gap-3 border-rule border-b py-1.5"
            >
              <span>
                <span className="font-semibold">{plan.name}</span>
                <span className="ml-3 text-pencil">{plan.pot_name}</span>
              </span>
              <button
                type="button"
                aria-label={say("cook-cook-2", { name: plan.name })}
                disabled={begin.isPending || take.isPending}
                onClick={() => start(plan.id)}
                className="min-h-[2.75rem] rounded-sm border border-ink bg-ink px-4 font-medium text-paper"
              >
                {say("cook-start-cooking")}
              </button>
            </li>
          ))}
        </ul>
        {saved.data?.plans.length === 0 && (
          <p className="mt-1 text-pencil">
            {say("cook-no-plan-is-saved-yet")}{" "}
            <Link href="/plan" className="underline">
              {say("cook-make-one-in-plan")}
            </Link>
          </p>
        )}
      </section>
    </div>
  );
}
