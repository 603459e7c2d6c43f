import { Tabs } from "radix-ui";
import type { CutOut, PlanOut } from "@/api/client";
import { Around } from "@/features/plan/Around";
import { GivenMinutes } from "@/features/plan/GivenMinutes";
import { ReadyBy } from "@/features/plan/ReadyBy";
import { SauceAndSides } from "@/features/plan/SauceAndSides";
import { Steps } from "@/features/plan/Steps";
import type { Planner } from "@/features/plan/usePlanner";
import { WentWrong } from "@/features/plan/WentWrong";
import { WhatIf } from "@/features/plan/WhatIf";
import { Why } from "@/features/plan/Why";
import type { Units } from "@/lib/format";
import { say } from "@/text/say";

interface Props {
  planner: Planner;
  plan: PlanOut;
  cut: CutOut | undefined;
  units: Units;
}

const TAB =
  "min-h-6 border-transparent border-b-2 px-0.5 font-semibold text-[0.875rem] text-pencil data-[state=active]:border-ink data-[state=active]:text-ink";

/** Beside the pot: why it is so, and what changes if something else is done. */
export function Notes({ planner, plan, cut, units }: Props) {
  return (
    <Tabs.Root defaultValue="why" className="flex min-h-[190px] flex-col lg:h-[190px]">
      <Tabs.List aria-label={say("plan-about-this-plan")} className="mb-1 flex flex-wrap gap-x-3">
        <Tabs.Trigger value="why" className={TAB}>
          {say("plan-why")}
        </Tabs.Trigger>
        <Tabs.Trigger value="steps" className={TAB}>
          {say("plan-steps")}
        </Tabs.Trigger>
        <Tabs.Trigger value="what-if" className={TAB}>
          {say("plan-what-if")}
        </Tabs.Trigger>
        <Tabs.Trigger value="ready-by" className={TAB}>
          {say("plan-ready-by")}
        </Tabs.Trigger>
        <Tabs.Trigger value="around" className={TAB}>
          {say("plan-prep-and-serving")}
        </Tabs.Trigger>
        <Tabs.Trigger value="sauce" className={TAB}>
          {say("plan-sauce-and-sides")}
        </Tabs.Trigger>
        <Tabs.Trigger value="minutes" className={TAB}>
          {say("plan-check-a-recipes-time")}
        </Tabs.Trigger>
        <Tabs.Trigger value="wrong" className={TAB}>
          {say("plan-not-done")}
        </Tabs.Trigger>
      </Tabs.List>
      <Tabs.Content value="why" className="min-h-0 lg:overflow-y-auto">
        <Why plan={plan} stale={planner.stale} />
      </Tabs.Content>
      <Tabs.Content value="steps" className="min-h-0 lg:overflow-y-auto">
        <Steps planner={planner} />
      </Tabs.Content>
      <Tabs.Content value="what-if" className="min-h-0 lg:overflow-y-auto">
        <WhatIf planner={planner} />
      </Tabs.Content>
      <Tabs.Content value="ready-by" className="min-h-0 lg:overflow-y-auto">
        <ReadyBy planner={planner} />
      </Tabs.Content>
      <Tabs.Content value="around" className="min-h-0 lg:overflow-y-auto">
        <Around planner={planner} />
      </Tabs.Content>
      <Tabs.Content value="sauce" className="min-h-0 lg:overflow-y-auto">
        <SauceAndSides planner={planner} plan={plan} units={units} />
      </Tabs.Content>
      <Tabs.Content value="minutes" className="min-h-0 lg:overflow-y-auto">
        <GivenMinutes planner={planner} cut={cut} />
      </Tabs.Content>
      <Tabs.Content value="wrong" className="min-h-0 lg:overflow-y-auto">
        <WentWrong planner={planner} plan={plan} cut={cut} />
      </Tabs.Content>
    </Tabs.Root>
  );
}
