import type { CookOut, PieceOutcome, Texture } from "@/api/client";
import { MOST_MARK, unjudged } from "@/lib/outcome";
import { tendernessOf } from "@/lib/words";
import { say } from "@/text/say";
import { Checkbox } from "@/ui/Checkbox";

interface Props {
  cook: CookOut;
  pieces: PieceOutcome[];
  onChange: (pieces: PieceOutcome[]) => void;
}

const FIELD = "rounded-sm border border-edge bg-sheet px-2 py-1";
const RATINGS = [1, 2, 3, 4, 5];
const MARKS = [
  "shared-membrane-on",
  "shared-membrane-off",
  "shared-at-the-edge",
  "shared-in-the-middle",
  "shared-thick-end",
  "shared-thin-end",
];

/** How it came out: each kind as one, or each piece alone. */
export function JudgedPieces({ cook, pieces, onChange }: Props) {
  const set = (at: number, part: Partial<PieceOutcome>) =>
    onChange(pieces.map((piece, index) => (index === at ? { ...piece, ...part } : piece)));
  return cook.plan.kinds.map((kind, group) => {
    const own = pieces.flatMap((piece, at) => (piece.group === group ? [{ piece, at }] : []));
    const alone = own.some(({ piece }) => piece.number != null);
    const split = (on: boolean) =>
      onChange([
        ...pieces.filter((piece) => (piece.group ?? 0) < group),
        ...unjudged(kind, group, on),
        ...pieces.filter((piece) => (piece.group ?? 0) > group),
      ]);
    return (
      <fieldset key={kind.name} className="border-rule border-t pt-1">
        <legend className="font-semibold">
          {kind.count} × {kind.name}
        </legend>
        {kind.count > 1 && (
          <Checkbox label={say("shared-rate-each-piece")} on={alone} onChange={split} />
        )}
        {own.map(({ piece, at }) => (
          <Piece
            key={piece.number ?? 0}
            cook={cook}
            name={piece.number == null ? kind.name : `${kind.name} ${piece.number}`}
            piece={piece}
            onChange={(part) => set(at, part)}
          />
        ))}
        <datalist id="piece-marks">
          {MARKS.map((mark) => (
            <option key={mark} value={say(mark)} />
          ))}
        </datalist>
      </fieldset>
    );
  });
}

interface PieceProps {
  cook: CookOut;
  name: string;
  piece: PieceOutcome;
  onChange: (part: Partial<PieceOutcome>) => void;
}

function Piece({ cook, name, piece, onChange }: PieceProps) {
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-2 border-rule border-b py-1.5 last-of-type:border-b-0">
      {piece.number != null && (
        <label className="flex items-center gap-2">
          <span className="font-dial font-bold">{piece.number}</span>
          <input
            aria-label={say("shared-what-is-different-about", { name })}
            list="piece-marks"
            value={piece.mark}
            maxLength={MOST_MARK}
            placeholder={say("shared-membrane-off")}
            onChange={(event) => onChange({ mark: event.target.value })}
            className={`${FIELD} w-36 placeholder:text-pencil`}
          />
        </label>
      )}
      <label className="flex items-center gap-2">
        <span className="text-pencil">{say("shared-tenderness")}</span>
        <select
          aria-label={say("shared-tenderness-of", { name })}
          value={piece.texture ?? ""}
          onChange={(event) =>
            onChange({ texture: (event.target.value || null) as Texture | null })
          }
          className={FIELD}
        >
          <option value="">{say("shared-not-rated")}</option>
          {cook.plan.looks.map(({ texture }) => (
            <option key={texture} value={texture}>
              {tendernessOf(texture, cook.plan.cut)}
            </option>
          ))}
        </select>
      </label>
      <OneToFive
        name="juicy"
        of={name}
        value={piece.juicy ?? null}
        onChange={(juicy) => onChange({ juicy })}
      />
      <OneToFive
        name="taste"
        of={name}
        value={piece.taste ?? null}
        onChange={(taste) => onChange({ taste })}
      />
    </div>
  );
}

interface RatingProps {
  name: string;
  of: string;
  value: number | null;
  onChange: (value: number | null) => void;
}

function OneToFive({ name, of, value, onChange }: RatingProps) {
  return (
    <fieldset
      aria-label={say("shared-one-to-five-of", { name, of })}
      className="flex items-center gap-1"
    >
      <span className="text-pencil">{name}</span>
      {RATINGS.map((rating) => (
        <button
          key={rating}
          type="button"
          aria-pressed={value === rating}
          onClick={() => onChange(value === rating ? null : rating)}
          className="h-9 w-9 rounded-sm border border-edge aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
        >
          {rating}
        </button>
      ))}
    </fieldset>
  );
}
