import type { CookPieces } from "@/api/client";
import { RuledSheet, type Scale, spanOf } from "@/drawing/RuledSheet";
import { TEXTURES, tendernessOf } from "@/lib/words";
import { say } from "@/text/say";

interface Props {
  pieces: CookPieces;
  cut: string;
  width: number;
}

/** The ladder as a scale; what lies below its first step has not begun to soften. */
const FOOT = -1;
/** A little above "falls apart"; what goes further is shown as far as this. */
const LEAST_TOP = 4.4;
const MOST_TOP = 7;

function ladderOf(kinds: CookPieces["kinds"], cut: string): Scale {
  const ends = kinds.map((kind) => kind.softening.at(-1)?.[1] ?? 0);
  const top = Math.min(Math.max(LEAST_TOP, ...ends.map((end) => end + 0.3)), MOST_TOP);
  const rules = TEXTURES.map((texture, at) => ({ at, words: tendernessOf(texture, cut) }));
  return { foot: FOOT, top, rules, left: 124 };
}

const DASHES = [undefined, "7 4", "2 3", "10 3 2 3"];
const COLOURS = ["var(--ink)", "var(--heat)", "var(--safe)", "var(--pencil)"];

/** How each kind of piece in one pot softened, one over the other on one ladder. */
export function PieceTraces({ pieces, cut, width }: Props) {
  const { kinds } = pieces;
  const style = (index: number) => ({
    stroke: COLOURS[index % COLOURS.length],
    strokeDasharray: DASHES[index % DASHES.length],
  });
  return (
    <>
      <RuledSheet
        width={width}
        height={220}
        span={spanOf(kinds.map((kind) => kind.softening))}
        scale={ladderOf(kinds, cut)}
        label={say("drawing-tenderness-over-time-of", {
          join: kinds.map((kind) => kind.name).join(` ${say("drawing-and-of")} `),
        })}
      >
        {({ points }) =>
          kinds.map((kind, index) => (
            <polyline
              key={kind.name}
              points={points(kind.softening)}
              fill="none"
              strokeWidth="2"
              data-testid="softening"
              {...style(index)}
            />
          ))
        }
      </RuledSheet>
      <ul className="flex flex-wrap gap-x-5 pb-1">
        {kinds.map((kind, index) => (
          <li key={kind.name} className="flex items-center gap-2">
            <svg width="34" height="8" aria-hidden="true">
              <line x1="0" x2="34" y1="4" y2="4" strokeWidth="2" {...style(index)} />
            </svg>
            {kind.count} × {kind.name}
          </li>
        ))}
      </ul>
    </>
  );
}
