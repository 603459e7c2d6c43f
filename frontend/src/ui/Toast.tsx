import { useEffect, useRef } from "react";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  text: string;
  action?: { name: string; run: () => void };
  onClose: () => void;
}

/** A slip at the foot of the page: what was just done, and how to undo it. What vanished had the
 * focus, so its Undo takes it, and the page gets it when the slip is gone.
 * A slip without one only says something, and takes no focus. */
export function Toast({ text, action, onClose }: Props) {
  const slip = useRef<HTMLDivElement>(null);
  const undoes = action !== undefined;
  // biome-ignore lint/correctness/useExhaustiveDependencies: another text is another thing to undo
  useEffect(() => {
    if (undoes) slip.current?.querySelector("button")?.focus({ preventScroll: true });
  }, [text, undoes]);
  useEffect(() => {
    const here = slip.current;
    return () => {
      const at = document.activeElement;
      if (at === null || at === document.body || here?.contains(at)) {
        document.getElementById("main")?.focus({ preventScroll: true });
      }
    };
  }, []);
  return (
    <div
      ref={slip}
      role="status"
      className="fixed bottom-4 left-1/2 z-10 flex w-max max-w-[92vw] -translate-x-1/2 items-center gap-3 rounded-sm border-2 border-ink bg-paper px-4 py-2"
    >
      <span className="break-words">{text}</span>
      {action && <Button onClick={action.run}>{action.name}</Button>}
      <Button onClick={onClose}>{say("ui-ok")}</Button>
    </div>
  );
}
