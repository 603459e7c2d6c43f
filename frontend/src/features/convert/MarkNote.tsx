import type { KeyboardEvent } from "react";
import type { PencilMark } from "@/api/client";
import { SOURCE_WORDS } from "@/lib/words";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

export interface MarkProps {
  open: string | null;
  onOpen: (mark: string | null) => void;
  onOverrule: (mark: string, on: boolean) => void;
}

interface Props extends MarkProps {
  mark: PencilMark;
}

/** The word of a mark; its reason opens below, arrow keys walk from mark to mark. */
export function MarkWord({ mark, open, onOpen, onOverrule }: Props) {
  const shown = open === mark.mark_id;
  const keys = (event: KeyboardEvent<HTMLButtonElement>) => {
    if (event.key === "ArrowDown" || event.key === "ArrowUp") {
      event.preventDefault();
      walk(event.currentTarget, event.key === "ArrowDown" ? 1 : -1);
    } else if (event.key === "Escape") {
      onOpen(null);
    } else if (event.key === "x" && !isFixed(mark)) {
      onOverrule(mark.mark_id, !mark.overruled);
    }
  };
  return (
    <button
      type="button"
      data-mark={mark.mark_id}
      aria-expanded={shown}
      aria-keyshortcuts="x"
      onClick={() => onOpen(mark.mark_id)}
      onFocus={() => onOpen(mark.mark_id)}
      onKeyDown={keys}
      className={`min-h-6 whitespace-nowrap font-dial font-semibold text-[0.875rem] underline decoration-dotted underline-offset-4 ${mark.overruled ? "text-care" : "text-ink"}`}
    >
      {say("convert-mark", { does: mark.overruled ? crossedOut(mark) : mark.does })}
    </button>
  );
}

/** What does not fit the pot is not argued away, and advice is not a change. */
const FIXED = new Set([
  "portioned",
  "burnt_ends",
  "bark",
  "crackling",
  "grill_instead",
  "placed",
  "placed_to_scorch",
]);

/** What the cook said is of no source, and the choice of places takes it back. */
const BY_COOK = new Set(["placed", "placed_to_scorch"]);

function isFixed(mark: PencilMark): boolean {
  return FIXED.has(mark.rule);
}

/** A recipe for a pressure cooker keeps its minutes; crossed out, those of the plan stand. */
const KEEPS_MINUTES = "minutes_kept";

function crossedOut(mark: PencilMark): string {
  return mark.rule === KEEPS_MINUTES ? "planned" : "overruled";
}

function toggle(mark: PencilMark): string {
  if (mark.rule === KEEPS_MINUTES) {
    return mark.overruled
      ? say("convert-keep-the-recipes-minutes")
      : say("convert-use-the-plans-minutes");
  }
  return mark.overruled ? say("convert-use-the-change") : say("convert-leave-it-unchanged");
}

function walk(from: HTMLElement, direction: 1 | -1) {
  const marks = [...document.querySelectorAll<HTMLElement>("[data-mark]")];
  marks[marks.indexOf(from) + direction]?.focus();
}

/** Why, from what kind of source, and the eraser. */
export function MarkNote({ mark, open, onOverrule }: Props) {
  if (open !== mark.mark_id) return null;
  return (
    <div
      className="border-edge border-l-4 bg-sheet px-2 py-1 text-[0.875rem]"
      data-testid="mark-reason"
      aria-live="polite"
    >
      {mark.reason}{" "}
      {!BY_COOK.has(mark.rule) && (
        <span className="text-pencil">({SOURCE_WORDS[mark.source_kind]?.name})</span>
      )}
      {mark.caution && (
        <p className="mt-1 border-care border-l-4 bg-care-wash px-2 font-medium">{mark.caution}</p>
      )}
      {!isFixed(mark) && (
        <Button
          className="mt-1 block text-[0.875rem]"
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => onOverrule(mark.mark_id, !mark.overruled)}
        >
          {toggle(mark)}
        </Button>
      )}
    </div>
  );
}
