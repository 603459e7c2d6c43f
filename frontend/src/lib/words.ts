/** The vocabulary, as the server words it for this kitchen; learned before anything is shown. */

import type {
  CatalogueOut,
  ConvertedOut,
  FinishKind,
  LiquidStyle,
  Marinade,
  PhaseOut,
  PlanIn,
  PlanOut,
  ReleaseMethod,
  SourceMethod,
  Texture,
} from "@/api/client";

export interface Word {
  name: string;
  says: string;
}

type Words<Code extends string> = Record<Code, Word>;
export type ArrangementKind = NonNullable<PlanOut["arrangement"]["kind"]>;

export const TEXTURES: Texture[] = ["chewy", "holds", "tender", "very", "falls"];
export const LIQUID_STYLE_WORDS = {} as Words<LiquidStyle>;
export const RELEASE_WORDS = {} as Words<ReleaseMethod>;
export const RACK_WORDS = {} as Words<NonNullable<PlanIn["rack"]>>;
export const PHASE_WORDS = {} as Words<PhaseOut["kind"]>;
export const SOURCE_WORDS = {} as Record<string, Word>;
export const MARINADE_WORDS = {} as Words<Marinade>;
export const METHOD_WORDS = {} as Words<SourceMethod>;
export const FINISH_WORDS = {} as Words<FinishKind>;
export const LYING_WORDS = {} as Words<ArrangementKind>;
export const WHEN_WORDS = {} as Words<ConvertedOut["lines"][number]["when"]>;
const TENDERNESS: Record<string, Record<string, string>> = {};
const ANY_CUT = "brisket_flat";

const GROUPS: Record<string, Record<string, Word>> = {
  style: LIQUID_STYLE_WORDS,
  release: RELEASE_WORDS,
  rack: RACK_WORDS,
  phase: PHASE_WORDS,
  source: SOURCE_WORDS,
  marinade: MARINADE_WORDS,
  method: METHOD_WORDS,
  finish: FINISH_WORDS,
  lying: LYING_WORDS,
  when: WHEN_WORDS,
};

/** Takes the words of a catalogue over. */
export function learnWords(catalogue: Pick<CatalogueOut, "words" | "cuts">): void {
  for (const [group, words] of Object.entries(GROUPS)) {
    Object.assign(words, catalogue.words[group]);
  }
  for (const cut of catalogue.cuts) {
    TENDERNESS[cut.id] = Object.fromEntries(cut.ladder.map((step) => [step.texture, step.word]));
  }
}

/** The word for a step of tenderness: ribs are told by the bone, roasts by the fork. */
export function tendernessOf(texture: Texture, cut?: string): string {
  return (TENDERNESS[cut ?? ANY_CUT] ?? TENDERNESS[ANY_CUT])?.[texture] ?? texture;
}

/** Names of a group, to choose from. */
export function namesOf(words: Record<string, Word>): { value: string; name: string }[] {
  return Object.entries(words).map(([value, word]) => ({ value, name: word.name }));
}
