import createClient from "openapi-fetch";
import type { components, paths } from "@/api/schema";
import { say } from "@/text/say";

export const client = createClient<paths>({ baseUrl: window.location.origin });

type Schemas = components["schemas"];
export type PlanIn = Schemas["PlanIn"];
export type PlanOut = Schemas["PlanOut"];
export type PotOut = Schemas["PotOut"];
export type PhaseOut = Schemas["PhaseOut"];
export type TraceOut = Schemas["TraceOut"];
export type CutOut = Schemas["CutOut"];
export type KeptPotOut = Schemas["KeptPotOut"];
export type CatalogueOut = Schemas["CatalogueOut"];
export type HouseholdOut = Schemas["HouseholdOut"];
export type HouseholdIn = Schemas["HouseholdIn"];
export type PlanLine = Schemas["PlanLine"];
export type StoredPlanOut = Schemas["StoredPlanOut"];
export type Shown = Schemas["Shown"];
export type Problem = Schemas["Problem"];
export type AlternativeOut = Schemas["AlternativeOut"];
export type GuideLineOut = Schemas["GuideLineOut"];
export type GuidePartOut = Schemas["GuidePartOut"];
export type OwnPotIn = Schemas["OwnPotIn"];
export type RestoreOut = Schemas["RestoreOut"];
export type ReadyByOut = Schemas["ReadyByOut"];
export type AroundOut = Schemas["AroundOut"];
export type CookOut = Schemas["CookOut"];
export type CookPieces = Schemas["PiecesOut"];
export type Turn = Schemas["TurnOut"];
export type Extra = Schemas["ExtraIn"];
export type RecipeCard = Schemas["RecipeCard"];
export type CookLine = Schemas["CookLine"];
export type CookStep = Schemas["CookStepOut"];
export type CookTimer = Schemas["TimerOut"];
export type NewEventIn = NonNullable<
  paths["/api/cooks/{cook_id}/events"]["post"]["requestBody"]
>["content"]["application/json"];
export type PotCommand = Schemas["PressIn"]["do"];
export type HandAction = Schemas["HandsIn"]["do"];
export type Faults = Schemas["FaultsIn"];
export type Verdict = Schemas["OpenedOut"];
export type PieceOutcome = Schemas["PieceOutcome"];
export type EntryIn = Schemas["EntryIn"];
export type Lesson = Schemas["LessonOut"];
export type GuestsLateOut = Schemas["GuestsLateOut"];
export type DayIn = Schemas["DayIn"];
export type DayFix = Schemas["DayFixOut"];
export type WhatIfOut = Schemas["WhatIfOut"];
export type KeepDay = Schemas["KeepDayIn"];
export type SavedSchedule = Schemas["StoredDayOut"];
export type DayOut = Schemas["DayOut"];
export type RecipeText = Schemas["RecipeText"];
export type ReadOut = Schemas["ReadOut"];
export type ConvertIn = Schemas["ConvertIn"];
export type ConvertedOut = Schemas["ConvertedOut"];
export type PencilMark = Schemas["PencilMark"];
export type RecipeIn = Schemas["RecipeIn"];
export type ExportFormat = Schemas["ExportIn"]["format"];
export type OtherMethod = Schemas["OtherWayIn"]["method"];
export type SourceMethod = NonNullable<Schemas["AnswersIn"]["method"]>;
export type BeginIn = Schemas["BeginIn"];
export type Marinade = NonNullable<Schemas["AroundIn"]["marinade"]>;
export type Body = Schemas["SauceIn"]["body"];
export type FinishKind = AroundOut["finish"]["kind"];
export type Texture = NonNullable<PlanIn["texture"]>;
export type LiquidStyle = NonNullable<PlanIn["liquid_style"]>;
export type ReleaseMethod = NonNullable<PlanIn["release"]>;

/** An answer that says what is wrong, where, and what to do. */
export class ProblemError extends Error {
  readonly problem: Problem;
  readonly status: number;

  constructor(problem: Problem, status: number) {
    super(problem.message);
    this.problem = problem;
    this.status = status;
  }
}

const lost = (): Problem => ({
  code: "server_lost",
  message: say("app-the-app-does-not-answer"),
  field: null,
  hint: say("app-start-it-again-what-you-typed"),
});

/** A button of a pot that was pressed and did not get through must not be pressed later. */
export const stale = (): Problem => ({
  code: "stale_press",
  message: say("app-the-app-did-not-answer-in"),
  field: null,
  hint: say("app-look-at-the-cooker-then-press"),
});

interface Reply<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** The data of a reply, or a ProblemError. */
export async function unwrap<T>(reply: Promise<Reply<T>>): Promise<T> {
  let settled: Reply<T>;
  try {
    settled = await reply;
  } catch (error) {
    if (error instanceof DOMException && error.name === "AbortError") throw error;
    throw new ProblemError(lost(), 0);
  }
  const { data, error, response } = settled;
  if (response.ok) return data as T;
  throw new ProblemError(isProblem(error) ? error : lost(), response.status);
}

function isProblem(value: unknown): value is Problem {
  return typeof value === "object" && value !== null && "code" in value && "message" in value;
}

/** Whether a change was refused because it was made from an older version. */
export function isStale(error: Error | null): boolean {
  return error instanceof ProblemError && error.problem.code === "changed_elsewhere";
}

/** For changes whose refusal no place of its own says: the foot of the page does. */
export const SAID_BELOW = { saidBelow: true };

/** What was refused, and what to do. */
export interface Trouble {
  code?: string;
  message: string;
  hint: string | null;
}

/** What stands at a field when its question failed. */
export function troubleOf(error: Error): Trouble {
  if (!(error instanceof ProblemError)) return { message: error.message, hint: null };
  const { code, message, hint } = error.problem;
  return { code, message, hint: hint ?? null };
}
