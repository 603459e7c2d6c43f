import { useState } from "react";
import type { CookOut, PieceOutcome, Texture } from "@/api/client";
import type { Act } from "@/api/cooks";
import { newKey } from "@/api/cooks";
import { TEXTURE_WORDS } from "@/lib/words";
import { Button } from "@/ui/Button";

interface Props {
  cook: CookOut;
  act: (act: Act) => Promise<unknown>;
}

const FIELD = "rounded-sm border border-edge bg-sheet px-2 py-1";
const RUNGS = [1, 2, 3, 4, 5];

/** How it came out, piece by piece, and the line for next time. */
export function OutcomePanel({ cook, act }: Props) {
  const [pieces, setPieces] = useState<PieceOutcome[]>(() =>
    cook.plan.kinds.map(() => ({ texture: null, juicy: null, taste: null })),
  );
  const [note, setNote] = useState("");
  const [before, setBefore] = useState("");
  const [after, setAfter] = useState("");
  const set = (index: number, part: Partial<PieceOutcome>) =>
    setPieces(pieces.map((piece, at) => (at === index ? { ...piece, ...part } : piece)));
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
  };
  return (
    <section aria-label="how it came out" className="mt-3 flex flex-col gap-3">
      {cook.plan.kinds.map((kind, index) => (
        <fieldset key={kind.name} className="border-rule border-t pt-1">
          <legend className="font-semibold">
            {kind.count} × {kind.name}
            {kind.membrane ? ", membrane on" : ""}
          </legend>
          <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
            <label className="flex items-center gap-2">
              <span className="text-pencil">texture</span>
              <select
                value={pieces[index]?.texture ?? ""}
                onChange={(event) =>
                  set(index, { texture: (event.target.value || null) as Texture | null })
                }
                className={FIELD}
              >
                <option value="">not judged</option>
                {cook.plan.looks.map(({ texture }) => (
                  <option key={texture} value={texture}>
                    {TEXTURE_WORDS[texture]}
                  </option>
                ))}
              </select>
            </label>
            <OneToFive
              name="juicy"
              value={pieces[index]?.juicy ?? null}
              onChange={(juicy) => set(index, { juicy })}
            />
            <OneToFive
              name="taste"
              value={pieces[index]?.taste ?? null}
              onChange={(taste) => set(index, { taste })}
            />
          </div>
        </fieldset>
      ))}
      <div className="flex flex-wrap gap-4">
        <label className="flex items-center gap-2">
          <span className="text-pencil">kg raw</span>
          <input
            inputMode="decimal"
            value={before}
            onChange={(event) => setBefore(event.target.value)}
            className={`${FIELD} w-20`}
          />
        </label>
        <label className="flex items-center gap-2">
          <span className="text-pencil">kg cooked</span>
          <input
            inputMode="decimal"
            value={after}
            onChange={(event) => setAfter(event.target.value)}
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
          onChange={(event) => setNote(event.target.value)}
          className={FIELD}
        />
      </label>
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

interface RungProps {
  name: string;
  value: number | null;
  onChange: (value: number | null) => void;
}

function OneToFive({ name, value, onChange }: RungProps) {
  return (
    <fieldset aria-label={`${name}, one to five`} className="flex items-center gap-1">
      <span className="text-pencil">{name}</span>
      {RUNGS.map((rung) => (
        <button
          key={rung}
          type="button"
          aria-pressed={value === rung}
          onClick={() => onChange(value === rung ? null : rung)}
          className="h-9 w-9 rounded-sm border border-edge aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
        >
          {rung}
        </button>
      ))}
    </fieldset>
  );
}
