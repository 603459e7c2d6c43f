import { useState } from "react";
import type { DayIn, GuestsLateOut } from "@/api/client";
import { useLateCooks } from "@/api/cooks";
import { useGuestsLate } from "@/api/schedule";
import { clockTime } from "@/lib/clock";
import { type DayDraft, localTime } from "@/lib/day";
import { spokenTime } from "@/lib/format";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  asked: DayIn;
  /** The cook of each dish that is under way. */
  beside: DayDraft["beside"];
  onChange: (part: Partial<DayDraft>) => void;
}

const CHOICES_MIN = [15, 30, 45, 60, 90, 120, 180];

/** The guests come later: what waits, how, and what that does to the meat. */
export function GuestsLate({ asked, beside, onChange }: Props) {
  const [lateMin, setLateMin] = useState(0);
  const { data, error } = useGuestsLate(asked, lateMin);
  const late = useLateCooks();
  const shown = lateMin > 0 ? data : undefined;
  const serveAt = (told: GuestsLateOut) => {
    const cooks = told.dishes.flatMap(({ dish_id, how }) => {
      const cook = beside[dish_id];
      return cook === undefined ? [] : [{ cook, how }];
    });
    const table = localTime(new Date(told.table));
    const moved = () => {
      onChange({ table });
      setLateMin(0);
    };
    if (cooks.length === 0) moved();
    else late.mutate({ cooks, lateMin }, { onSuccess: moved });
  };
  return (
    <section aria-label={say("schedule-guests-are-late")} className="mt-2 print:hidden">
      <label className="flex flex-wrap items-center gap-2">
        <span className="text-pencil">{say("schedule-guests-are-late-by")}</span>
        <select
          value={lateMin}
          onChange={(event) => setLateMin(Number(event.target.value))}
          className="rounded-sm border border-edge bg-sheet px-2 py-1"
        >
          <option value={0}>{say("schedule-nothing")}</option>
          {CHOICES_MIN.map((minutes) => (
            <option key={minutes} value={minutes}>
              {spokenTime(minutes)}
            </option>
          ))}
        </select>
      </label>
      {lateMin > 0 && error && <p role="alert">{error.message}</p>}
      {shown && (
        <div className="mt-1 border-rule border-l-4 pl-2" aria-live="polite">
          <ul>
            {shown.dishes.map((dish) => (
              <li key={dish.dish_id}>
                {dish.words} <span className="text-pencil">{dish.tenderness}</span>
              </li>
            ))}
          </ul>
          <Button className="mt-1" disabled={late.isPending} onClick={() => serveAt(shown)}>
            {say("schedule-serve-at", { value: clockTime(new Date(shown.table)) })}
          </Button>
        </div>
      )}
    </section>
  );
}
