/** A cook on the screen: times and words. No physics. */

import type { CookOut, CookStep, PotCommand } from "@/api/client";
import { say } from "@/text/say";

export function stepOf(cook: CookOut, id: string | null): CookStep | undefined {
  return cook.steps.find((step) => step.step_id === id);
}

/** What is left, to read from two metres: `4:05`, `1:02:00`. */
export function leftTime(seconds: number): string {
  const whole = Math.max(Math.round(seconds), 0);
  const two = (value: number) => String(value).padStart(2, "0");
  const hours = Math.floor(whole / 3600);
  const rest = `${two(Math.floor((whole % 3600) / 60))}:${two(whole % 60)}`;
  return hours > 0 ? `${hours}:${rest}` : rest.replace(/^0(\d)/, "$1");
}

export type PotState = NonNullable<CookOut["pot"]>["state"];

export const stateWords = (): Record<PotState, string> => ({
  open: say("shared-lid-off"),
  shut: say("shared-lid-on-no-pressure"),
  heating: say("shared-heating"),
  under_pressure: say("shared-pin-up-pressure-rising"),
  holding: say("shared-under-pressure-counting"),
  falling: say("shared-pressure-falling"),
  stopped_hot: say("shared-stopped-overheat-warning"),
  no_vessel: say("shared-no-inner-pot-in-it"),
  not_sealed: say("shared-steam-but-no-pressure"),
});

/** What a cook says of a step that the pot has to do. */
const waitWords = (): Record<NonNullable<CookStep["waits"]>, string> => ({
  pressure: say("shared-the-pin-is-up"),
  hold_over: say("shared-the-cook-time-is-over"),
  pin_down: say("shared-the-pin-is-down"),
});

/** What ends a step, as its button says. */
export function doneWords(step: CookStep): string {
  return step.waits ? waitWords()[step.waits] : say("cook-done");
}

/** Whether the pot itself will say that a step is over. */
export function potTells(cook: CookOut, step: CookStep): boolean {
  return cook.pot !== null && step.waits !== null;
}

/** Whether "done" is the thing to press: not while the pot tells, or while time that the cook time
 * counts on is left. */
export function toPressNow(cook: CookOut, step: CookStep): boolean {
  const counting = cook.timers.some(
    (timer) =>
      timer.step_id === step.step_id && timer.timer_id.startsWith("step-") && timer.left_s > 30,
  );
  return !counting && !potTells(cook, step);
}

/** What a connected pot is asked to do at a step, and who has to stand there. */
export const potAt = (): Partial<
  Record<CookStep["kind"], { does: PotCommand[]; words: string }>
> => ({
  set: {
    does: ["set", "start"],
    words: say("shared-i-am-at-the-cooker-set"),
  },
  release: {
    does: ["vent"],
    words: say("shared-i-am-at-the-cooker-open"),
  },
});
