/** What stands on the Bench, as it stands in the address. Texts are kept exactly as typed. */

import type { PlanIn, ReleaseMethod, School, Texture } from "@/api/client";
import { TEXTURES } from "@/lib/words";

export interface Wish {
  cut: string;
  count: string;
  mass: string;
  thickness: string;
  membrane: boolean;
  start: string;
  pot: string;
  texture: Texture | null;
  school: School | null;
  release: ReleaseMethod | null;
  liquid: string;
  level: "high" | "low";
}

export const EMPTY_WISH: Wish = {
  cut: "brisket_flat",
  count: "1",
  mass: "",
  thickness: "",
  membrane: false,
  start: "",
  pot: "",
  texture: null,
  school: null,
  release: null,
  liquid: "",
  level: "high",
};

const SCHOOLS: School[] = ["steam", "short_braise", "bath"];
const RELEASES: ReleaseMethod[] = ["natural", "timed", "quick"];

function oneOf<T extends string>(value: string | null, known: readonly T[]): T | null {
  return known.find((item) => item === value) ?? null;
}

export function wishFromAddress(search: URLSearchParams): Wish {
  return {
    cut: search.get("cut") ?? EMPTY_WISH.cut,
    count: search.get("pieces") ?? EMPTY_WISH.count,
    mass: search.get("weight") ?? "",
    thickness: search.get("thickness") ?? "",
    membrane: search.get("membrane") === "on",
    start: search.get("start") ?? "",
    pot: search.get("pot") ?? "",
    texture: oneOf(search.get("texture"), TEXTURES),
    school: oneOf(search.get("school"), SCHOOLS),
    release: oneOf(search.get("release"), RELEASES),
    liquid: search.get("liquid") ?? "",
    level: search.get("level") === "low" ? "low" : "high",
  };
}

export function wishToAddress(wish: Wish, planId: string | null): URLSearchParams {
  const search = new URLSearchParams();
  const put = (key: string, value: string | null) => {
    if (value) search.set(key, value);
  };
  put("cut", wish.cut);
  put("pieces", wish.count);
  put("weight", wish.mass);
  put("thickness", wish.thickness);
  put("membrane", wish.membrane ? "on" : null);
  put("start", wish.start);
  put("pot", wish.pot);
  put("texture", wish.texture);
  put("school", wish.school);
  put("release", wish.release);
  put("liquid", wish.liquid);
  put("level", wish.level === "low" ? "low" : null);
  put("plan", planId);
  return search;
}

/** The wish as the server takes it; null while there is no weight yet. Without a thickness the
 * server guesses one and says so. */
export function wishToPlan(wish: Wish): PlanIn | null {
  const ready = wish.pot && wish.mass.trim();
  if (!ready) return null;
  const count = /^\d{1,3}$/.test(wish.count.trim()) ? Number(wish.count) : 0;
  return {
    pieces: [
      {
        cut: wish.cut,
        count,
        mass: wish.mass,
        thickness: wish.thickness.trim() ? wish.thickness : null,
        membrane: wish.membrane ? true : null,
        start: wish.start.trim() ? wish.start : null,
        shape: "block",
        as_bought: false,
      },
    ],
    pot: wish.pot,
    texture: wish.texture,
    school: wish.school,
    release: wish.release,
    liquid: wish.liquid.trim() ? wish.liquid : null,
    level: wish.level,
    stacked: false,
    boil_min: 0,
    foams: false,
    sauce_thick: true,
    sauce_sugar_g_l: 0,
    sauce_place: "base",
  };
}

/** A stored plan's inputs, back on the Bench. */
export function wishFromPlan(inputs: PlanIn): Wish {
  const piece = inputs.pieces[0];
  return {
    cut: piece?.cut ?? EMPTY_WISH.cut,
    count: String(piece?.count ?? 1),
    mass: piece?.mass ?? "",
    thickness: piece?.thickness ?? "",
    membrane: piece?.membrane === true,
    start: piece?.start ?? "",
    pot: inputs.pot,
    texture: inputs.texture ?? null,
    school: inputs.school ?? null,
    release: inputs.release ?? null,
    liquid: inputs.liquid ?? "",
    level: inputs.level ?? "high",
  };
}
