import { Popover } from "radix-ui";
import type { ReactNode } from "react";
import { say } from "@/text/say";

interface Props {
  /** What is explained, for those who hear the page. */
  of: string;
  children: ReactNode;
}

/** A small "why?" beside a number; its facts stand beside it when it is pressed. */
export function WhyMark({ of, children }: Props) {
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={say("ui-why-this", { of })}
        className="h-6 whitespace-nowrap px-0.5 text-[0.8125rem] text-pencil leading-tight underline underline-offset-2"
      >
        {say("ui-why")}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={say("ui-why-this", { of })}
          sideOffset={4}
          collisionPadding={8}
          className="z-20 max-h-[60dvh] w-[min(23rem,92vw)] overflow-auto rounded-sm border-2 border-ink bg-paper px-3 py-2 text-[0.875rem]"
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
