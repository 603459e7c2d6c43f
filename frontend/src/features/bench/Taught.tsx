import { Popover } from "radix-ui";
import { Link } from "wouter";
import type { PlanOut } from "@/api/client";
import { taughtWords } from "@/lib/lessons";

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
        adjusted from your log
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label="adjustments from your log"
          sideOffset={4}
          collisionPadding={8}
          className="z-20 w-[min(23rem,92vw)] rounded-sm border-2 border-ink bg-paper px-3 py-2 text-[0.875rem]"
        >
          <p className="font-semibold">Adjusted by how your cooks came out</p>
          <ul>
            {learned.map((item) => (
              <li key={`${item.kind} ${item.key}`}>{taughtWords(item)}</li>
            ))}
          </ul>
          <Link href="/log" className="underline">
            Which cooks, and Reset
          </Link>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
