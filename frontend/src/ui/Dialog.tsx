import { X } from "lucide-react";
import { Dialog as RadixDialog } from "radix-ui";
import { type ReactNode, useRef } from "react";
import { say } from "@/text/say";

interface Props {
  title: string;
  open: boolean;
  onClose: () => void;
  children: ReactNode;
}

/** A dialog on its own sheet of paper. The backdrop is ours: Radix's writes inline styles,
 * which the page's policy refuses. So is the way back of the focus: Radix knows only its own button. */
export function Dialog({ title, open, onClose, children }: Props) {
  const opener = useRef<Element | null>(null);
  return (
    <RadixDialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <RadixDialog.Portal>
        <div className="fixed inset-0 z-10 bg-ink/40 dark:bg-paper/70" aria-hidden="true" />
        <RadixDialog.Content
          aria-describedby={undefined}
          onOpenAutoFocus={() => {
            opener.current = document.activeElement;
          }}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            const back = opener.current?.isConnected ? opener.current : null;
            if (back instanceof HTMLElement && back !== document.body) back.focus();
            else document.getElementById("main")?.focus({ preventScroll: true });
          }}
          className="fixed top-1/2 left-1/2 z-20 max-h-[90dvh] w-[min(26rem,92vw)] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-sm border-2 border-ink bg-paper p-5"
        >
          <RadixDialog.Title className="mb-3 pr-8 font-semibold text-[1.1875rem]">
            {title}
          </RadixDialog.Title>
          {children}
          {/* last, so that the first field has the focus when the sheet opens */}
          <RadixDialog.Close
            aria-label={say("ui-close")}
            className="absolute top-4 right-4 grid h-7 w-7 place-items-center"
          >
            <X size={18} aria-hidden="true" />
          </RadixDialog.Close>
        </RadixDialog.Content>
      </RadixDialog.Portal>
    </RadixDialog.Root>
  );
}
