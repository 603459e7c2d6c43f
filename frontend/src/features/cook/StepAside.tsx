import { useState } from "react";
import type { CookStep } from "@/api/client";
import { newKey, type Tell } from "@/api/cooks";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  step: CookStep;
  act: Tell;
}

/** A word by taste at any step, and leaving a step out, with the reason. */
export function StepAside({ step, act }: Props) {
  const [asked, setAsked] = useState<"note" | "skip" | null>(null);
  const [text, setText] = useState("");
  const [saved, setSaved] = useState("");
  const close = () => {
    setAsked(null);
    setText("");
  };
  const save = async () => {
    const said = text.trim();
    if (!said) return;
    const key = newKey();
    const event =
      asked === "note"
        ? ({ kind: "note", key, step_id: step.step_id, text: said } as const)
        : ({ kind: "done", key, step_id: step.step_id, anyway: true, skipped: said } as const);
    if (!(await act({ kind: "tell", event }))) return;
    if (asked === "note") setSaved(said);
    close();
  };
  return (
    <div className="mt-2 flex flex-col gap-2 text-[1.0625rem]">
      {saved && (
        <p role="status" className="border-rule border-l-4 pl-2">
          {say("cook-noted", { saved })}
        </p>
      )}
      {asked === null ? (
        <p className="flex flex-wrap gap-2">
          <Button className="min-h-[3rem]" onClick={() => setAsked("note")}>
            {say("cook-add-a-note")}
          </Button>
          {step.skippable && (
            <Button className="min-h-[3rem]" onClick={() => setAsked("skip")}>
              {say("cook-leave-this-step-out")}
            </Button>
          )}
        </p>
      ) : (
        <form
          className="flex flex-wrap items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            save();
          }}
        >
          <label className="flex min-w-0 grow flex-col gap-1">
            <span className="text-[0.875rem] text-pencil">
              {asked === "note"
                ? say("cook-note-such-as-a-touch-more")
                : say("cook-why-is-it-left-out")}
            </span>
            <input
              value={text}
              maxLength={200}
              onChange={(event) => setText(event.target.value)}
              className="min-h-[3rem] rounded-sm border border-edge bg-sheet px-2"
            />
          </label>
          <Button type="submit" strong className="min-h-[3rem]" disabled={!text.trim()}>
            {asked === "note" ? say("cook-save-note") : say("cook-leave-it-out")}
          </Button>
          <Button className="min-h-[3rem]" onClick={close}>
            {say("cook-cancel")}
          </Button>
        </form>
      )}
    </div>
  );
}
