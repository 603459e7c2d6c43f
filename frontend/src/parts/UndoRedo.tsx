import { Redo2, Undo2 } from "lucide-react";
import { useHistoryState } from "wouter/use-browser-location";
import { canRedo, canUndo } from "@/lib/edits";
import { say } from "@/text/say";

const LOOK =
  "flex min-h-[1.75rem] items-center gap-1 underline underline-offset-4 disabled:opacity-45 disabled:no-underline";

/** One step back, and forward again, through what was changed in the plan. */
export function UndoRedo() {
  const state = useHistoryState<unknown>();
  return (
    <>
      <button
        type="button"
        className={LOOK}
        disabled={!canUndo(state)}
        onClick={() => window.history.back()}
      >
        <Undo2 size={16} aria-hidden />
        {say("shared-undo")}
      </button>
      <button
        type="button"
        className={LOOK}
        disabled={!canRedo(state)}
        onClick={() => window.history.forward()}
      >
        <Redo2 size={16} aria-hidden />
        {say("shared-redo")}
      </button>
    </>
  );
}
