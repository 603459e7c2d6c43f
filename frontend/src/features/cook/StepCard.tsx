import type { RefObject } from "react";
import type { CookOut, CookStep, Trouble } from "@/api/client";
import type { Tell } from "@/api/cooks";
import { newKey, press } from "@/api/cooks";
import { JudgePanel } from "@/features/cook/JudgePanel";
import { Timers } from "@/features/cook/Timers";
import { leftTime, potAt } from "@/lib/cook";
import { OutcomePanel } from "@/parts/OutcomePanel";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  cook: CookOut;
  step: CookStep;
  act: Tell;
  /** What was refused, in words. */
  trouble: Trouble | null;
  /** The words of the step: they have the focus when it changes. */
  words: RefObject<HTMLHeadingElement | null>;
}

/** One step, to be read from two metres: what to do, what to look for, and if not so. */
export function StepCard({ cook, step, act, trouble, words }: Props) {
  const counted = cook.timers.find(
    (timer) => timer.step_id === step.step_id && /^(pressure|step)-/.test(timer.timer_id),
  );
  const left = (step.kind === "hold" ? cook.pot?.left_s : null) ?? counted?.left_s;
  return (
    <article aria-label={say("cook-the-step-now")}>
      <h1
        ref={words}
        tabIndex={-1}
        data-step="now"
        className="break-words font-bold text-[2.125rem] leading-tight sm:text-[2.625rem]"
        data-testid="step"
      >
        {step.title}
      </h1>
      {left !== undefined && (
        <p
          className="font-bold font-dial text-[4rem] leading-none sm:text-[6rem]"
          role="timer"
          data-testid="countdown"
        >
          {leftTime(left)}
        </p>
      )}
      <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-[1.25rem]">
        {step.recipe.length > 0 && (
          <>
            <dt className="text-pencil">{say("cook-recipe")}</dt>
            <dd>{step.recipe.join(" ")}</dd>
          </>
        )}
        <dt className="text-pencil">{say("cook-look-for")}</dt>
        <dd>{step.look_for}</dd>
        <dt className="text-pencil">{say("cook-if-not")}</dt>
        <dd>{step.if_not}</dd>
      </dl>
      <Ticks step={step} act={act} />
      <AtThePot cook={cook} step={step} act={act} />
      <div className="mt-3">
        <Timers cook={cook} act={act} />
      </div>
      {step.kind === "judge" && <JudgePanel key={step.step_id} cook={cook} act={act} />}
      {step.kind === "write_down" && <OutcomePanel cook={cook} tell={act} trouble={trouble} />}
    </article>
  );
}

/** Lines to confirm one by one, big enough for a knuckle. */
function Ticks({ step, act }: Pick<Props, "step" | "act">) {
  if (step.ticks.length === 0) return null;
  return (
    <ul aria-label={say("cook-to-confirm")} className="mt-3 flex flex-wrap gap-2">
      {step.ticks.map((tick) => (
        <li key={tick.code}>
          <button
            type="button"
            aria-pressed={tick.on}
            disabled={tick.on}
            onClick={() =>
              act({
                kind: "tell",
                event: {
                  kind: "ticked",
                  key: newKey(),
                  step_id: step.step_id,
                  tick: tick.code,
                },
              })
            }
            className="min-h-[3.5rem] rounded-sm border-2 border-edge px-4 text-[1.125rem] aria-pressed:border-safe aria-pressed:text-safe"
          >
            <span aria-hidden="true">{tick.on ? "✓ " : "○ "}</span>
            {tick.text}
          </button>
        </li>
      ))}
    </ul>
  );
}

/** A connected pot does it, once somebody says that they stand there. */
function AtThePot({ cook, step, act }: Omit<Props, "trouble" | "words">) {
  const asked = potAt()[step.kind];
  if (!cook.connected || !asked || (step.kind === "release" && !step.hands)) return null;
  const pressAll = async () => {
    for (const what of asked.does) {
      if (!(await act(press(what, true)))) return;
    }
  };
  return (
    <Button className="mt-3 min-h-[3.5rem] border-2 text-[1.125rem]" onClick={pressAll}>
      {asked.words}
    </Button>
  );
}
