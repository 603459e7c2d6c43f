import { Popover } from "radix-ui";
import { Link } from "wouter";
import type { PlanOut } from "@/api/client";
import { taughtWords } from "@/lib/lessons";
import { say } from "@/text/say";

/** How far the log moved this plan, beside the hold. */
export function Taught({ plan }: { plan: PlanOut }) {
  const learned = plan.learned ?? [];
  if (learned.length === 0) return null;
  return (
    <Popover.Root>
      <Popover.Trigger
        data-testid="taught"
        className="h-6 px-0.5 text-[0.8125rem] text-pencil leading-tight underline underline-offset-2"
      >
        {say("plan-adjusted-from-your-log")}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={say("plan-adjustments-from-your-log")}
          sideOffset={4}
          collisionPadding={8}
          className="z-20 w-[min(23rem,92vw)] rounded-sm border-2 border-ink bg-paper px-3 py-2 text-[0.875rem]"
        >
          <p className="font-semibold">{say("plan-adjusted-by-how-your-cooks-came")}</p>
          <ul>
            {learned.map((item) => (
              <li key={`${item.kind} ${item.key}`}>{taughtWords(item)}</li>
            ))}
          </ul>
          <Link href="/log" className="underline">
            {say("plan-which-cooks-and-reset")}
          </Link>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
