import { useId, useState } from "react";
import { type DayIn, isStale, troubleOf } from "@/api/client";
import { useDays, useDeleteDay, useKeepDay, useOpenDay } from "@/api/schedule";
import { type DayDraft, emptyDay, openedDay } from "@/lib/day";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { ChangedElsewhere } from "@/ui/ChangedElsewhere";
import { Toast } from "@/ui/Toast";

interface Props {
  day: DayDraft;
  asked: DayIn | null;
  onChange: (part: Partial<DayDraft>) => void;
}

const FIELD = "rounded-sm border border-edge bg-sheet px-2 py-0.5";

/** Days are kept by a name, opened again, and put away. */
export function SavedSchedules({ day, asked, onChange }: Props) {
  const id = useId();
  const days = useDays();
  const keep = useKeepDay();
  const open = useOpenDay();
  const change = useDeleteDay();
  const [gone, setGone] = useState<{ id: string; name: string } | null>(null);
  const save = (seen = day.version) => {
    if (!asked || !day.name.trim()) return;
    const { now: _, ...wanted } = asked;
    const { shopping, recipes, beside } = day;
    keep.mutate(
      {
        id: day.id,
        seen,
        body: { name: day.name.trim(), day: wanted, shopping, recipes, beside },
      },
      { onSuccess: (kept) => onChange({ id: kept.id, name: kept.name, version: kept.version }) },
    );
  };
  const remove = () => {
    if (!day.id) return;
    const there = { id: day.id, name: day.name };
    change.mutate(
      { id: there.id, restore: false },
      {
        onSuccess: () => {
          setGone(there);
          onChange({ id: null });
        },
      },
    );
  };
  const failed = keep.error ?? change.error;
  const trouble = failed ? troubleOf(failed) : null;
  return (
    <section
      aria-label={say("schedule-saved-schedules")}
      className="mt-2 flex flex-wrap items-center gap-2 text-[0.875rem] print:hidden"
    >
      <label htmlFor={id} className="text-pencil">
        {say("schedule-name")}
      </label>
      <input
        id={id}
        value={day.name}
        maxLength={120}
        autoComplete="off"
        placeholder={say("schedule-rehearsal-supper")}
        onChange={(event) => onChange({ name: event.target.value })}
        className={`${FIELD} w-52 placeholder:text-pencil`}
      />
      <Button onClick={() => save()} disabled={!asked || !day.name.trim() || keep.isPending}>
        {day.id ? say("schedule-save-changes") : say("schedule-save-schedule")}
      </Button>
      {day.id && <Button onClick={remove}>{say("schedule-delete")}</Button>}
      <Button onClick={() => onChange(emptyDay())}>{say("schedule-new-schedule")}</Button>
      {(days.data?.total ?? 0) > 0 && (
        <label className="flex items-center gap-1">
          <span className="text-pencil">{say("schedule-open")}</span>
          <select
            aria-label={say("schedule-open-a-saved-schedule")}
            value=""
            onChange={(event) => {
              const { value } = event.target;
              if (value)
                open.mutate(value, { onSuccess: (kept) => onChange(openedDay(kept, day)) });
            }}
            className={`${FIELD} max-w-56`}
          >
            <option value="">{say("schedule-a-saved-schedule")}</option>
            {(days.data?.days ?? []).map((line) => (
              <option key={line.id} value={line.id}>
                {line.name}
              </option>
            ))}
          </select>
        </label>
      )}
      {keep.isSuccess && day.id && (
        <span role="status" className="text-safe">
          {say("schedule-saved")}
        </span>
      )}
      <Stale day={day} keep={keep} onMine={() => save(null)} onChange={onChange} />
      {trouble && !isStale(keep.error) && (
        <span role="alert" className="border-care border-l-4 pl-2">
          <strong>{trouble.message}</strong> {trouble.hint}
        </span>
      )}
      {gone && (
        <Toast
          text={say("schedule-is-deleted", { name: gone.name })}
          action={{
            name: say("schedule-undo"),
            run: () =>
              change.mutate(
                { id: gone.id, restore: true },
                {
                  onSuccess: () => {
                    onChange({ id: gone.id });
                    setGone(null);
                  },
                },
              ),
          }}
          onClose={() => setGone(null)}
        />
      )}
    </section>
  );
}

interface StaleProps {
  day: DayDraft;
  keep: ReturnType<typeof useKeepDay>;
  onMine: () => void;
  onChange: (part: Partial<DayDraft>) => void;
}

/** The day was changed elsewhere: both versions are offered. */
function Stale({ day, keep, onMine, onChange }: StaleProps) {
  const open = useOpenDay();
  const { id } = day;
  if (!isStale(keep.error) || !id) return null;
  return (
    <ChangedElsewhere
      what={say("schedule-this-day")}
      busy={keep.isPending || open.isPending}
      onMine={onMine}
      onTheirs={() =>
        open.mutate(id, {
          onSuccess: (kept) => {
            onChange(openedDay(kept, day));
            keep.reset();
          },
        })
      }
    />
  );
}
