import { useState } from "react";
import { Link, useLocation } from "wouter";
import type { HouseholdOut, KeptPotOut } from "@/api/client";
import { useSavedPlans, useTakePlan } from "@/api/plans";
import { useClearDemo } from "@/api/queries";
import { CutDrawing } from "@/drawing/CutDrawing";
import { EXAMPLES, type Example, exampleRequest } from "@/features/plan/examples";
import { FirstRun } from "@/features/plan/FirstRun";
import { requestFromPlan, requestToAddress } from "@/lib/cookRequest";
import { cookTime } from "@/lib/format";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  household: HouseholdOut;
  pots: KeptPotOut[];
  onOwn: () => void;
}

const RECENT = 4;

/** The newest saved plans, to go on with. */
function Recent() {
  const plans = useSavedPlans("").data?.plans ?? [];
  const take = useTakePlan();
  const [, navigate] = useLocation();
  if (plans.length === 0) return null;
  const open = (id: string) =>
    take.mutate(id, {
      onSuccess: ({ inputs }) => navigate(`/plan?${requestToAddress(requestFromPlan(inputs), id)}`),
    });
  return (
    <section aria-labelledby="recent-title" className="mt-6">
      <h2 id="recent-title" className="font-semibold text-[1.0625rem]">
        {say("plan-saved-plans")}
      </h2>
      <ul>
        {plans.slice(0, RECENT).map((plan) => (
          <li key={plan.id} className="border-rule border-b">
            <button
              type="button"
              onClick={() => open(plan.id)}
              className="flex min-h-11 w-full items-center justify-between gap-3 py-1 text-left hover:underline"
            >
              <span className="min-w-0 [overflow-wrap:anywhere]">{plan.name}</span>
              <strong className="shrink-0 font-semibold">{cookTime(plan.hold_min)}</strong>
            </button>
          </li>
        ))}
      </ul>
      {plans.length > RECENT && (
        <Link href="/plan/saved" className="inline-block min-h-6 pt-1 underline underline-offset-2">
          {say("plan-all-saved-plans", { plans: plans.length })}
        </Link>
      )}
    </section>
  );
}

/** Before anything is planned: what this is, three examples, and the way to one's own. */
export function Start({ household, pots, onOwn }: Props) {
  const [, navigate] = useLocation();
  const clear = useClearDemo();
  const [setting, setSetting] = useState(false);
  const fill = (example: Example) =>
    navigate(`/plan?${requestToAddress(exampleRequest(example, household.units), null)}`);
  return (
    <section aria-labelledby="start-title" className="mx-auto w-full max-w-4xl px-4 py-6">
      <h1 id="start-title" className="font-bold text-[1.5rem]">
        {say("plan-how-long-do-ribs-brisket-short")}
      </h1>
      <p className="mt-1">{say("plan-type-the-cut-the-weight-and")}</p>
      <ul aria-label={say("plan-examples")} className="mt-4 grid gap-3 sm:grid-cols-3">
        {EXAMPLES.map((example) => (
          <li key={example.family}>
            <button
              type="button"
              onClick={() => fill(example)}
              className="flex min-h-11 w-full items-center gap-3 rounded-sm border border-edge bg-sheet p-3 text-left hover:border-ink"
            >
              <CutDrawing family={example.family} />
              <span>
                <strong className="block font-semibold">
                  {say(`plan-example-${example.family}`)}
                </strong>
                <span className="text-[0.875rem] text-pencil">
                  {typedText(example[household.units])}
                </span>
              </span>
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-4 flex flex-wrap items-center gap-3">
        <Button strong className="min-h-11" onClick={onOwn}>
          {say("plan-start-with-your-own")}
        </Button>
        {household.introduced && !setting && (
          <Button className="min-h-11" onClick={() => setSetting(true)}>
            {say("plan-set-up-my-kitchen")}
          </Button>
        )}
      </div>
      <Recent />
      {household.demo && (
        <p className="mt-4 border-edge border-l-4 pl-2 text-[0.875rem]">
          {say("plan-this-is-demo-data-the-marrow")}{" "}
          <button
            type="button"
            disabled={clear.isPending}
            onClick={() => clear.mutate(undefined)}
            className="min-h-6 underline underline-offset-2"
          >
            {say("plan-clear-demo-data")}
          </button>{" "}
          {say("plan-a-copy-is-kept-in-my")}
        </p>
      )}
      {(!household.introduced || setting) && (
        <FirstRun household={household} pots={pots} onDone={() => setSetting(false)} />
      )}
    </section>
  );
}

function typedText({ mass, thickness }: Example["us"]): string {
  return say("plan-weight-and-thickness", { mass, thickness });
}
