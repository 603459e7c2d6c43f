/** Judged pieces of a pot: blanks to fill in, and what they are called. */

import type { CookOut, PieceOutcome } from "@/api/client";
import { say } from "@/text/say";

type Kind = CookOut["plan"]["kinds"][number];

export const MOST_MARK = 40;
/** More are judged as one: nobody writes down fifty short ribs. */
const MOST_ALONE = 12;

/** Blanks for a kind: one for all of it, or one for each piece. */
export function unjudged(kind: Kind, group: number, alone: boolean): PieceOutcome[] {
  const blank = { group, texture: null, juicy: null, taste: null, mark: "" };
  if (!alone) return [{ ...blank, number: null }];
  const count = Math.min(kind.count, MOST_ALONE);
  return Array.from({ length: count }, (_, index) => ({ ...blank, number: index + 1 }));
}

/** What a sheet says of its pieces; a kind that it says nothing of is blank. */
export function judgedSoFar(cook: CookOut): PieceOutcome[] {
  const told = (cook.outcome?.pieces as PieceOutcome[] | undefined) ?? [];
  const placed = told.map((piece, index) => ({ ...piece, group: piece.group ?? index }));
  return cook.plan.kinds.flatMap((kind, group) => {
    const own = placed.filter((piece) => piece.group === group);
    return own.length > 0 ? own : unjudged(kind, group, false);
  });
}

/** `back ribs 2 (membrane off)`; a sheet that names no kind goes by the order. */
export function pieceName(piece: PieceOutcome, index: number, kinds: Kind[]): string {
  const name = kinds[piece.group ?? index]?.name ?? say("shared-piece");
  return `${name}${piece.number ? ` ${piece.number}` : ""}${piece.mark ? ` (${piece.mark})` : ""}`;
}
