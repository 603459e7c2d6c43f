import { type Texture, troubleOf } from "@/api/client";
import { useEnter } from "@/api/log";
import { useSavedPlans } from "@/api/plans";
import { useUnits } from "@/api/queries";
import { localTime } from "@/lib/day";
import { TEXTURES, tendernessOf } from "@/lib/words";
import { Weights } from "@/parts/Weights";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { useKept } from "@/ui/useKept";

/** What stands in the form; it outlives a reload. */
interface Typed {
  planId: string;
  start: string;
  hold: string;
  up: string;
  texture: Texture | "";
  before: string;
  after: string;
  note: string;
}

const FIELD = "rounded-sm border border-edge bg-sheet px-2 py-1";

/** A cook that was not followed, written down in half a minute. */
export function EntryForm({ onClose }: { onClose: () => void }) {
  const saved = useSavedPlans("");
  const enter = useEnter();
  const [typed, keepTyped, forget] = useKept<Typed>("pneumachron.entry", () => ({
    planId: "",
    start: localTime(new Date()),
    hold: "",
    up: "",
    texture: "",
    before: "",
    after: "",
    note: "",
  }));
  const units = useUnits();
  const cut = saved.data?.plans.find((item) => item.id === typed.planId)?.cut;
  const { planId, start, hold, up, texture, before, after, note } = typed;
  const set = (part: Partial<Typed>) => keepTyped({ ...typed, ...part });
  const choose = (id: string) => {
    const plan = saved.data?.plans.find((item) => item.id === id);
    set({ planId: id, ...(plan && { hold: String(plan.hold_min) }) });
  };
  const keep = () =>
    enter.mutate(
      {
        planId,
        started_at: new Date(start).toISOString(),
        hold_min: Number(hold),
        come_up_min: up ? Number(up.replace(",", ".")) : null,
        pieces: texture ? [{ texture, juicy: null, taste: null, mark: "" }] : [],
        before: before || null,
        after: after || null,
        note,
      },
      {
        onSuccess: () => {
          forget();
          onClose();
        },
      },
    );
  const trouble = enter.error ? troubleOf(enter.error) : null;
  return (
    <form
      aria-label={say("log-add-a-log-entry")}
      className="mt-2 flex flex-wrap items-end gap-3 border-2 border-edge p-3 text-[0.875rem]"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <label className="flex flex-col">
        <span className="text-pencil">{say("log-plan")}</span>
        <select value={planId} onChange={(event) => choose(event.target.value)} className={FIELD}>
          <option value="">{say("log-choose")}</option>
          {(saved.data?.plans ?? []).map((plan) => (
            <option key={plan.id} value={plan.id}>
              {plan.name}
            </option>
          ))}
        </select>
      </label>
      <label className="flex flex-col">
        <span className="text-pencil">{say("log-lid-on-at")}</span>
        <input
          type="datetime-local"
          value={start}
          onChange={(event) => set({ start: event.target.value })}
          className={FIELD}
        />
      </label>
      <label className="flex flex-col">
        <span className="text-pencil">{say("log-cook-time-set")}</span>
        <input
          inputMode="numeric"
          value={hold}
          onChange={(event) => set({ hold: event.target.value.replace(/\D/g, "") })}
          className={`${FIELD} w-20`}
        />
      </label>
      <label className="flex flex-col">
        <span className="text-pencil">{say("log-minutes-to-pressure")}</span>
        <input
          inputMode="decimal"
          value={up}
          placeholder={say("log-if-known")}
          onChange={(event) => set({ up: event.target.value.replace(/[^\d.,]/g, "") })}
          className={`${FIELD} w-24 placeholder:text-pencil`}
        />
      </label>
      <label className="flex flex-col">
        <span className="text-pencil">{say("log-result")}</span>
        <select
          value={texture}
          onChange={(event) => set({ texture: event.target.value as Texture | "" })}
          className={FIELD}
        >
          <option value="">{say("log-not-rated")}</option>
          {TEXTURES.map((item) => (
            <option key={item} value={item}>
              {tendernessOf(item, cut)}
            </option>
          ))}
        </select>
      </label>
      <Weights before={before} after={after} units={units} stacked onChange={set} />
      <label className="flex grow flex-col">
        <span className="text-pencil">{say("log-next-time")}</span>
        <input
          value={note}
          maxLength={2000}
          onChange={(event) => set({ note: event.target.value })}
          className={FIELD}
        />
      </label>
      <Button type="submit" strong disabled={!planId || !hold || !start || enter.isPending}>
        {say("log-save-log-entry")}
      </Button>
      <Button onClick={onClose}>{say("log-cancel")}</Button>
      {trouble && (
        <p role="alert" className="basis-full border-care border-l-4 pl-2">
          <strong>{trouble.message}</strong> {trouble.hint}
        </p>
      )}
    </form>
  );
}
