import { useState } from "react";
import type { CookOut, PieceOutcome, Trouble } from "@/api/client";
import type { Tell } from "@/api/cooks";
import { newKey } from "@/api/cooks";
import { useUnits } from "@/api/queries";
import { judgedSoFar } from "@/lib/outcome";
import { JudgedPieces } from "@/parts/JudgedPieces";
import { Photos } from "@/parts/Photos";
import { Weights } from "@/parts/Weights";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { useKept } from "@/ui/useKept";

interface Props {
  cook: CookOut;
  tell: Tell;
  /** What was refused, in words. */
  trouble: Trouble | null;
  /** The sheet is closed already and this corrects it; what to do when that is done or not. */
  onCorrected?: () => void;
}

/** What stands here until it is written down; it outlives a reload. */
interface Typed {
  pieces: PieceOutcome[];
  note: string;
  before: string;
  after: string;
}

/** How it came out, piece by piece, and the line for next time. */
export function OutcomePanel({ cook, tell, trouble, onCorrected }: Props) {
  const units = useUnits();
  const [busy, setBusy] = useState(false);
  const [typed, keep, forget] = useKept<Typed>(
    `pneumachron.${onCorrected ? "corrected" : "outcome"}.${cook.id}`,
    () => ({
      pieces: judgedSoFar(cook),
      note: "",
      before: cook.weighed.before?.[units] ?? "",
      after: cook.weighed.after?.[units] ?? "",
    }),
  );
  const { pieces, note, before, after } = typed;
  const set = (part: Partial<Typed>) => keep({ ...typed, ...part });
  const write = async () => {
    const weighed = before.trim() || after.trim();
    const lines = [
      // the only one that can be refused comes first; with it refused, nothing is written
      ...(weighed ? [{ kind: "weighed" as const, key: newKey(), before, after }] : []),
      { kind: "outcome" as const, key: newKey(), pieces },
      ...(note.trim() ? [{ kind: "note" as const, key: newKey(), text: note.trim() }] : []),
      ...(onCorrected ? [] : [{ kind: "ended" as const, key: newKey() }]),
    ];
    setBusy(true);
    for (const event of lines) {
      if (!(await tell({ kind: "tell", event }))) {
        setBusy(false);
        return;
      }
    }
    forget();
    onCorrected?.();
  };
  return (
    <section aria-label={say("shared-rate-it")} className="mt-3 flex flex-col gap-3">
      <JudgedPieces cook={cook} pieces={pieces} onChange={(next) => set({ pieces: next })} />
      <div className="flex flex-wrap gap-x-5 gap-y-2">
        <Weights before={before} after={after} units={units} onChange={set} />
      </div>
      <label className="flex flex-col">
        <span className="text-pencil">{say("shared-next-time")}</span>
        <textarea
          rows={2}
          maxLength={2000}
          value={note}
          placeholder={onCorrected && say("shared-one-more-line-what-you-wrote")}
          onChange={(event) => set({ note: event.target.value })}
          className="rounded-sm border border-edge bg-sheet px-2 py-1 placeholder:text-pencil"
        />
      </label>
      {!onCorrected && <Photos cook={cook} />}
      {trouble && (
        <p role="alert" className="border-care border-l-4 bg-care-wash px-3 py-1 text-[1.125rem]">
          <strong>{trouble.message}</strong> {trouble.hint}
        </p>
      )}
      <div className="flex flex-wrap gap-3">
        <Button strong className="min-h-[3rem] text-[1.125rem]" disabled={busy} onClick={write}>
          {onCorrected ? say("shared-save-rating") : say("shared-save-to-log")}
        </Button>
        {onCorrected && (
          <Button
            className="min-h-[3rem]"
            onClick={() => {
              forget();
              onCorrected();
            }}
          >
            {say("shared-cancel")}
          </Button>
        )}
      </div>
    </section>
  );
}
