/** What stands in Plan, as it stands in the address. Texts are kept exactly as typed. */

import type { FinishKind, LiquidStyle, PlanIn, ReleaseMethod, Texture } from "@/api/client";
import { type ArrangementKind, TEXTURES } from "@/lib/words";

export type Rack = NonNullable<PlanIn["rack"]>;
export type Shape = PlanIn["pieces"][number]["shape"];

export interface CookRequest {
  cut: string;
  count: string;
  mass: string;
  thickness: string;
  membrane: boolean;
  start: string;
  shape: Shape;
  /** How each piece is cut: empty, "across:2", "sections:3", "halved", "cubes" … */
  knife: string;
  /** Edge of a cube, as typed. */
  cube: string;
  bought: boolean;
  /** A second kind of piece in the same pot; it is there when it has a weight. */
  also: { cut: string; count: string; mass: string; thickness: string };
  pot: string;
  texture: Texture | null;
  liquidStyle: LiquidStyle | null;
  release: ReleaseMethod | null;
  minutes: string;
  liquid: string;
  rack: Rack | null;
  sauce: string;
  sauceOnTop: boolean;
  foams: boolean;
  level: "high" | "low" | "own";
  /** The pressure as typed, when the level is "own". */
  gauge: string;
  length: string;
  width: string;
  /** How the pieces lie; null: the best way that fits. */
  lying: ArrangementKind | null;
  /** Kept apart, with gaps for the steam. */
  apart: boolean;
  /** Minutes of open boil after the release. */
  boil: string;
  /** Fillings of the cooker. */
  batches: string;
  /** The cook's own minutes under pressure; empty: the engine's. */
  ownMinutes: string;
  /** Of unlike pieces, what is done first comes out, and the rest is cooked on. */
  thinFirst: boolean;
  sauceThin: boolean;
  /** Grams of sugar in a litre of sauce. */
  sugar: string;
  finish: FinishKind | null;
}

export const EMPTY_REQUEST: CookRequest = {
  cut: "brisket_flat",
  count: "1",
  mass: "",
  thickness: "",
  membrane: false,
  start: "",
  shape: "block",
  knife: "",
  cube: "",
  bought: false,
  also: { cut: "", count: "1", mass: "", thickness: "" },
  pot: "",
  texture: null,
  liquidStyle: null,
  release: null,
  minutes: "",
  liquid: "",
  rack: null,
  sauce: "",
  sauceOnTop: false,
  foams: false,
  level: "high",
  gauge: "",
  length: "",
  width: "",
  lying: null,
  apart: false,
  boil: "",
  batches: "",
  ownMinutes: "",
  thinFirst: false,
  sauceThin: false,
  sugar: "",
  finish: null,
};

const LIQUID_STYLES: LiquidStyle[] = ["steam", "lean", "short_braise", "bath"];
const RELEASES: ReleaseMethod[] = ["natural", "timed", "quick", "soak", "keep_warm"];
const LYING: ArrangementKind[] = [
  "one",
  "side_by_side",
  "on_edge",
  "on_end",
  "leaning",
  "coiled",
  "nested",
  "folded",
  "criss_cross",
  "heap",
  "stacked",
  "on_bed",
  "layered",
];
const RACKS: Rack[] = ["none", "trivet", "tall", "basket", "bed"];
const LEVELS: CookRequest["level"][] = ["high", "low", "own"];
const FINISHES: FinishKind[] = [
  "broiler",
  "grill",
  "air_fryer",
  "crisping",
  "pan",
  "glaze",
  "none",
];
const SHAPES: Shape[] = ["block", "tapered", "rolled"];

function oneOf<T extends string>(value: string | null, known: readonly T[]): T | null {
  return known.find((item) => item === value) ?? null;
}

export function requestFromAddress(search: URLSearchParams): CookRequest {
  const text = (key: string, empty = "") => search.get(key) ?? empty;
  return {
    cut: text("cut", EMPTY_REQUEST.cut),
    count: text("pieces", EMPTY_REQUEST.count),
    mass: text("weight"),
    thickness: text("thickness"),
    membrane: search.get("membrane") === "on",
    start: text("start"),
    shape: oneOf(search.get("shape"), SHAPES) ?? "block",
    knife: text("cut-as", search.get("sections") ? `sections:${search.get("sections")}` : ""),
    cube: text("cubes-of"),
    bought: search.get("weighed") === "as-bought",
    also: {
      cut: text("also"),
      count: text("also-pieces", "1"),
      mass: text("also-weight"),
      thickness: text("also-thickness"),
    },
    pot: text("pot"),
    texture: oneOf(search.get("texture"), TEXTURES),
    // addresses of earlier versions say school
    liquidStyle: oneOf(search.get("liquid-style") ?? search.get("school"), LIQUID_STYLES),
    release: oneOf(search.get("release"), RELEASES),
    minutes: text("minutes"),
    liquid: text("liquid"),
    rack: oneOf(search.get("rack"), RACKS),
    sauce: text("sauce"),
    sauceOnTop: search.get("sauce-on") === "top",
    foams: search.get("foams") === "yes",
    level: oneOf(search.get("level"), LEVELS) ?? "high",
    gauge: text("pressure"),
    length: text("length"),
    width: text("width"),
    lying: oneOf(search.get("stacked") === "yes" ? "stacked" : search.get("lying"), LYING),
    apart: search.get("apart") === "yes",
    boil: text("boil"),
    batches: text("batches"),
    ownMinutes: text("own-minutes"),
    thinFirst: search.get("thin-first") === "yes",
    sauceThin: search.get("sauce-is") === "thin",
    sugar: text("sugar"),
    finish: oneOf(search.get("finish"), FINISHES),
  };
}

export function requestToAddress(request: CookRequest, planId: string | null): URLSearchParams {
  const search = new URLSearchParams();
  const put = (key: string, value: string | null | false) => {
    if (value) search.set(key, value);
  };
  put("cut", request.cut);
  put("pieces", request.count);
  put("weight", request.mass);
  put("thickness", request.thickness);
  put("membrane", request.membrane && "on");
  put("start", request.start);
  put("shape", request.shape !== "block" && request.shape);
  put("cut-as", request.knife);
  put("cubes-of", request.cube);
  put("weighed", request.bought && "as-bought");
  if (request.also.cut) {
    put("also", request.also.cut);
    put("also-pieces", request.also.count);
    put("also-weight", request.also.mass);
    put("also-thickness", request.also.thickness);
  }
  put("pot", request.pot);
  put("texture", request.texture);
  put("liquid-style", request.liquidStyle);
  put("release", request.release);
  put("minutes", request.minutes);
  put("liquid", request.liquid);
  put("rack", request.rack);
  put("sauce", request.sauce);
  put("sauce-on", request.sauceOnTop && "top");
  put("foams", request.foams && "yes");
  put("level", request.level !== "high" && request.level);
  put("pressure", request.level === "own" && request.gauge);
  put("length", request.length);
  put("width", request.width);
  put("lying", request.lying);
  put("apart", request.apart && "yes");
  put("boil", request.boil);
  put("batches", request.batches);
  put("own-minutes", request.ownMinutes);
  put("thin-first", request.thinFirst && "yes");
  put("sauce-is", request.sauceThin && "thin");
  put("sugar", request.sugar);
  put("finish", request.finish);
  put("plan", planId);
  return search;
}

/** A whole number as typed; 0, which the server refuses with a word, when it is none. */
function whole(text: string): number {
  return /^\d{1,3}$/.test(text.trim()) ? Number(text) : 0;
}

/** Minutes as typed, of which 0 are some; what is none the server refuses with a word. */
function minutesOf(text: string): number | null {
  const typed = text.trim();
  if (!typed) return null;
  return /^\d{1,4}$/.test(typed) ? Number(typed) : NO_MINUTES;
}

const NO_MINUTES = 99_999;

function orNull(text: string): string | null {
  return text.trim() ? text : null;
}

/** The request as the server takes it; null while there is no weight yet. Without a thickness the
 * server guesses one and says so. */
export function requestToPlan(request: CookRequest): PlanIn | null {
  const ready = request.pot && request.mass.trim();
  if (!ready) return null;
  const minutes = request.minutes.trim() ? whole(request.minutes) : null;
  const stays = request.release === "soak" || request.release === "keep_warm";
  return {
    pieces: [firstPiece(request), ...secondPiece(request)],
    pot: request.pot,
    texture: request.texture,
    liquid_style: request.liquidStyle,
    release: request.release,
    wait_min: request.release === "timed" ? minutes : null,
    stay_min: stays ? minutes : null,
    liquid: orNull(request.liquid),
    rack: request.rack,
    level: request.level === "own" ? "high" : request.level,
    gauge: request.level === "own" ? orNull(request.gauge) : null,
    stacked: false,
    lying: request.lying,
    touching: !request.apart,
    boil_min: whole(request.boil),
    batches: request.batches ? whole(request.batches) : 1,
    my_minutes: minutesOf(request.ownMinutes),
    thin_first: request.thinFirst,
    foams: request.foams,
    sauce: orNull(request.sauce),
    sauce_thick: !request.sauceThin,
    sauce_sugar_g_l: whole(request.sugar),
    finish: request.finish,
    sauce_place: request.sauceOnTop ? "top" : "base",
  };
}

type PieceIn = PlanIn["pieces"][number];

function firstPiece(request: CookRequest): PieceIn {
  return {
    cut: request.cut,
    count: whole(request.count),
    mass: request.mass,
    thickness: orNull(request.thickness),
    length: orNull(request.length),
    width: orNull(request.width),
    membrane: request.membrane ? true : null,
    start: orNull(request.start),
    shape: request.shape,
    as_bought: request.bought,
    ...knifeOf(request),
  };
}

const CUT_WAYS = ["lengthwise", "across", "halved", "quartered", "cubes", "parted"] as const;

function knifeOf({
  knife,
  cube,
}: CookRequest): Pick<PieceIn, "section_bones" | "cutting" | "parts" | "cube"> {
  const [way = "", number = ""] = knife.split(":");
  if (way === "sections") return { section_bones: whole(number) };
  const cutting = oneOf(way, CUT_WAYS);
  return {
    cutting,
    parts: number ? whole(number) : null,
    cube: cutting === "cubes" ? orNull(cube) : null,
  };
}

/** The same as it stands in the address. */
function knifeBack(piece: PieceIn): Pick<CookRequest, "knife" | "cube"> {
  if (piece.section_bones) return { knife: `sections:${piece.section_bones}`, cube: "" };
  const parts = piece.parts ? `:${piece.parts}` : "";
  return { knife: piece.cutting ? piece.cutting + parts : "", cube: piece.cube ?? "" };
}

function secondPiece({ also, start }: CookRequest): PieceIn[] {
  if (!also.cut || !also.mass.trim()) return [];
  return [
    {
      cut: also.cut,
      count: whole(also.count),
      mass: also.mass,
      thickness: orNull(also.thickness),
      start: orNull(start),
      shape: "block",
      as_bought: false,
    },
  ];
}

/** A stored plan's inputs, back in Plan. */
export function requestFromPlan(inputs: PlanIn): CookRequest {
  const [piece, also] = inputs.pieces;
  const minutes = inputs.wait_min ?? inputs.stay_min;
  return {
    ...EMPTY_REQUEST,
    ...(piece && pieceBack(piece)),
    also: also ? measuresBack(also) : EMPTY_REQUEST.also,
    pot: inputs.pot,
    texture: inputs.texture ?? null,
    liquidStyle: inputs.liquid_style ?? null,
    release: inputs.release ?? null,
    minutes: minutes ? String(minutes) : "",
    liquid: inputs.liquid ?? "",
    rack: inputs.rack ?? null,
    sauce: inputs.sauce ?? "",
    sauceOnTop: inputs.sauce_place === "top",
    foams: inputs.foams,
    ...rarerBack(inputs),
  };
}

function measuresBack(piece: PieceIn): CookRequest["also"] {
  return {
    cut: piece.cut,
    count: String(piece.count),
    mass: piece.mass,
    thickness: piece.thickness ?? "",
  };
}

function pieceBack(piece: PieceIn): Partial<CookRequest> {
  return {
    ...measuresBack(piece),
    length: piece.length ?? "",
    width: piece.width ?? "",
    membrane: piece.membrane === true,
    start: piece.start ?? "",
    shape: piece.shape,
    ...knifeBack(piece),
    bought: piece.as_bought,
  };
}

/** What most plans do without. */
function rarerBack(inputs: PlanIn): Partial<CookRequest> {
  return {
    level: inputs.gauge ? "own" : inputs.level,
    gauge: inputs.gauge ?? "",
    lying: inputs.stacked ? "stacked" : (inputs.lying ?? null),
    apart: !inputs.touching,
    boil: inputs.boil_min ? String(inputs.boil_min) : "",
    batches: (inputs.batches ?? 1) > 1 ? String(inputs.batches) : "",
    ownMinutes: typeof inputs.my_minutes === "number" ? String(inputs.my_minutes) : "",
    thinFirst: inputs.thin_first ?? false,
    sauceThin: !inputs.sauce_thick,
    sugar: inputs.sauce_sugar_g_l ? String(inputs.sauce_sugar_g_l) : "",
    finish: inputs.finish ?? null,
  };
}
