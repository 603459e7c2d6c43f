import type { CookOut, PieceOutcome } from "@/api/client";
import type { Act } from "@/api/cooks";
import { newKey } from "@/api/cooks";
import { JudgedPieces } from "@/features/cook/JudgedPieces";
import { Photos } from "@/features/log/Photos";
import { unjudged } from "@/lib/outcome";
import { Button } from "@/ui/Button";
import { useKept } from "@/ui/useKept";

interface Props {
  cook: CookOut;
  act: (act: Act) => Promise<unknown>;
}

/** What stands here until the sheet is closed; it outlives a reload. */
interface Typed {
  pieces: PieceOutcome[];
  note: string;
  before: string;
  after: string;
}

const FIELD = "rounded-sm border border-edge bg-sheet px-2 py-1";

/** How it came out, piece by piece, and the line for next time. */
export function OutcomePanel({ cook, act }: Props) {
  const [typed, keep, forget] = useKept<Typed>(`pneumachron.outcome.${cook.id}`, () => ({
    pieces: cook.plan.kinds.flatMap((kind, group) => unjudged(kind, group, false)),
    note: "",
    before: "",
    after: "",
  }));
  const { pieces, note, before, after } = typed;
  const set = (part: Partial<Typed>) => keep({ ...typed, ...part });
  const close = async () => {
    await act({ kind: "tell", event: { kind: "outcome", key: newKey(), pieces } });
    const weights = { before_kg: kilos(before), after_kg: kilos(after) };
    if (weights.before_kg || weights.after_kg) {
      await act({ kind: "tell", event: { kind: "weighed", key: newKey(), ...weights } });
    }
    if (note.trim()) {
      await act({ kind: "tell", event: { kind: "note", key: newKey(), text: note.trim() } });
    }
    await act({ kind: "tell", event: { kind: "ended", key: newKey() } });
    forget();
  };
  return (
    <section aria-label="how it came out" className="mt-3 flex flex-col gap-3">
      <JudgedPieces cook={cook} pieces={pieces} onChange={(next) => set({ pieces: next })} />
      <div className="flex flex-wrap gap-4">
        <label className="flex items-center gap-2">
          <span className="text-pencil">kg raw</span>
          <input
            inputMode="decimal"
            value={before}
            onChange={(event) => set({ before: event.target.value })}
            className={`${FIELD} w-20`}
          />
        </label>
        <label className="flex items-center gap-2">
          <span className="text-pencil">kg cooked</span>
          <input
            inputMode="decimal"
            value={after}
            onChange={(event) => set({ after: event.target.value })}
            className={`${FIELD} w-20`}
          />
        </label>
      </div>
      <label className="flex flex-col">
        <span className="text-pencil">next time</span>
        <textarea
          rows={2}
          maxLength={2000}
          value={note}
          onChange={(event) => set({ note: event.target.value })}
          className={FIELD}
        />
      </label>
      <Photos cook={cook} />
      <Button strong className="min-h-12 self-start text-[18px]" onClick={close}>
        Close the sheet
      </Button>
    </section>
  );
}

function kilos(text: string): number | null {
  const value = Number(text.replace(",", "."));
  return Number.isFinite(value) && value > 0 && value <= 40 ? value : null;
}
