/** The app's words for the choices of the trade. */

import type {
  FinishKind,
  Marinade,
  PhaseOut,
  PlanIn,
  PlanOut,
  ReleaseMethod,
  School,
  SourceMethod,
  Texture,
} from "@/api/client";

export const TEXTURE_WORDS: Record<Texture, string> = {
  chewy: "chewy",
  holds: "holds its shape",
  tender: "tender",
  very: "very tender",
  falls: "falls apart",
};

export const TEXTURES: Texture[] = ["chewy", "holds", "tender", "very", "falls"];

export const SCHOOL_WORDS: Record<School, { name: string; says: string }> = {
  steam: { name: "steam", says: "least liquid, meat on a rack, the rub stays on" },
  lean: { name: "lean", says: "half of the pot's minimum; your own choice for this cook" },
  short_braise: { name: "short braise", says: "1–2½ cups around the meat, becomes the sauce" },
  bath: { name: "bath", says: "nearly covered, moister" },
};

export const RELEASE_WORDS: Record<ReleaseMethod, { name: string; says: string }> = {
  natural: { name: "by itself", says: "switch off and wait till the pin drops" },
  timed: { name: "wait 10, vent", says: "wait ten minutes, then open the valve" },
  quick: { name: "vent now", says: "open the valve straight away" },
  soak: { name: "vent, then soak", says: "vent at once, then half an hour in the open pot" },
  keep_warm: { name: "keep warm", says: "by itself, then kept warm under the lid till you come" },
};

export const PHASE_WORDS: Record<PhaseOut["kind"], string> = {
  come_up: "heating up",
  hold: "hold",
  natural_release: "falls by itself",
  waiting: "waiting",
  venting: "venting",
  keeping_warm: "kept warm",
  boiling: "open boil",
  soaking: "soaking",
  standing: "lid off",
};

export const SOURCE_WORDS: Record<string, string> = {
  published: "published physics",
  measured: "measured",
  "common practice": "common practice",
  "from memory": "published, from memory",
  fitted: "fitted to common practice",
  judgement: "our judgement",
};

export const RACK_WORDS: Record<NonNullable<PlanIn["rack"]>, { name: string; says: string }> = {
  none: { name: "none", says: "straight on the base" },
  trivet: { name: "low rack", says: "the metal rack sold with the pot, 2 cm high" },
  tall: { name: "tall rack", says: "5 cm high, room for a dish below" },
  basket: { name: "basket", says: "for small pieces, lifts out in one go" },
  bed: { name: "vegetable bed", says: "onion wedges or potatoes, which thicken the sauce" },
};

export const MARINADE_WORDS: Record<Marinade, string> = {
  mild: "mild: wine, soy, yoghurt",
  strong_acid: "sharp: vinegar, citrus",
  fruit_enzymes: "pineapple, papaya, kiwi",
  fruit: "other fruit",
};

export const METHOD_WORDS: Record<SourceMethod, string> = {
  smoker: "in a smoker",
  oven_lid: "in the oven, covered",
  oven_open: "in the oven, open",
  slow_low: "in a slow cooker, low",
  slow_high: "in a slow cooker, high",
  grill: "on the grill",
  stovetop_pressure: "stovetop pressure cooker",
  simmer: "simmered on the stove",
};

export const FINISH_WORDS: Record<FinishKind, string> = {
  broiler: "under the broiler",
  grill: "on the grill",
  crisping: "under the crisping lid",
  none: "no crust",
};

export type Arrangement = NonNullable<PlanOut["standing"]["arrangement"]>;

/** How pieces lie in the pot. */
export const LYING_WORDS: Record<Arrangement, string> = {
  one: "lying flat",
  side_by_side: "side by side",
  on_edge: "standing on edge",
  on_end: "standing on end",
  leaning: "leaning, with gaps",
  coiled: "coiled, bone side in",
  nested: "coiled inside each other",
  folded: "folded over",
  criss_cross: "crosswise",
  heap: "in a loose heap",
  stacked: "partly on each other",
  on_bed: "on a bed of vegetables",
  layered: "in layers, vegetables between",
};
