import { Tabs } from "radix-ui";
import type { PlanOut } from "@/api/client";
import type { Bench } from "@/features/bench/useBench";
import { WhatIf } from "@/features/bench/WhatIf";
import { Why } from "@/features/bench/Why";

interface Props {
  bench: Bench;
  plan: PlanOut;
}

const TAB =
  "border-transparent border-b-2 pb-px font-dial font-semibold text-[15px] text-pencil data-[state=active]:border-ink data-[state=active]:text-ink";

/** Beside the pot: why it is so, and what changes if something else is done. */
export function Notes({ bench, plan }: Props) {
  return (
    <Tabs.Root defaultValue="why" className="flex min-h-[190px] flex-col lg:h-[190px]">
      <Tabs.List aria-label="about this setting" className="mb-1 flex gap-4">
        <Tabs.Trigger value="why" className={TAB}>
          Why
        </Tabs.Trigger>
        <Tabs.Trigger value="what-if" className={TAB}>
          What changes if
        </Tabs.Trigger>
      </Tabs.List>
      <Tabs.Content value="why">
        <Why plan={plan} stale={bench.stale} />
      </Tabs.Content>
      <Tabs.Content value="what-if" className="min-h-0 lg:overflow-y-auto">
        <WhatIf bench={bench} />
      </Tabs.Content>
    </Tabs.Root>
  );
}
