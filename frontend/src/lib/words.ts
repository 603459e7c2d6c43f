/** The app's words for the choices of the trade. */

import type { PhaseOut, ReleaseMethod, School, Texture } from "@/api/client";

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
  short_braise: { name: "short braise", says: "1–2½ cups around the meat, becomes the sauce" },
  bath: { name: "bath", says: "nearly covered, moister" },
};

export const RELEASE_WORDS: Record<ReleaseMethod, { name: string; says: string }> = {
  natural: { name: "by itself", says: "switch off and wait till the pin drops" },
  timed: { name: "wait 10, vent", says: "wait ten minutes, then open the valve" },
  quick: { name: "vent now", says: "open the valve straight away" },
};

export const PHASE_WORDS: Record<PhaseOut["kind"], string> = {
  come_up: "heating up",
  hold: "hold",
  natural_release: "falls by itself",
  waiting: "waiting",
  venting: "venting",
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
