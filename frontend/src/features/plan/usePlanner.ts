import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { useLocation, useSearch } from "wouter";
import type { KeptPotOut, Problem } from "@/api/client";
import { ProblemError } from "@/api/client";
import { usePlan, usePots } from "@/api/queries";
import {
  type CookRequest,
  requestFromAddress,
  requestToAddress,
  requestToPlan,
} from "@/lib/cookRequest";
import { stateOfEdit } from "@/lib/edits";
import { keepPlanAddress, lastPlanAddress } from "@/lib/plan-address";
import { say } from "@/text/say";
import { useRested, useSettled } from "@/ui/useSettled";

/** What stands on the Planner (it lives in the address) and the plan that answers it. */
export function usePlanner() {
  const raw = useSearch();
  const [, navigate] = useLocation();
  const pots = usePots();
  const search = useMemo(() => new URLSearchParams(raw), [raw]);
  const planId = search.get("plan");
  const kept = pots.data?.pots ?? NO_POTS;
  const firstPot = kept.find((pot) => pot.ready_id === "tenor") ?? kept[0];
  const inAddress = useMemo(() => {
    const typed = requestFromAddress(search);
    // an address may name a ready pot; the household's own one of that kind is meant
    const named = kept.find((pot) => pot.id === typed.pot || pot.ready_id === typed.pot);
    const pot = named ?? (typed.pot ? undefined : firstPot);
    return pot ? { ...typed, pot: pot.id } : typed;
  }, [search, firstPot, kept]);

  useEffect(() => {
    if (raw) keepPlanAddress(`?${raw}`);
    else if (lastPlanAddress()) navigate(`/plan${lastPlanAddress()}`, { replace: true });
  }, [raw, navigate]);

  const { request, change } = useHeld(raw, inAddress, planId);
  const inputs = useMemo(() => requestToPlan(request), [request]);
  const { query, shown, pending } = usePlan(inputs);
  const refusal = query.error instanceof ProblemError ? query.error.problem : null;
  const problem = useSettled(refusal, SETTLE_MS);
  const settled = useRested(inputs, REST_MS);
  const startAfresh = useCallback(() => {
    keepPlanAddress("");
    navigate("/plan");
  }, [navigate]);
  return {
    request,
    planId,
    change,
    /** Nothing typed, and nothing remembered of it. */
    startAfresh,
    /** Nothing was typed yet, in this address or before. */
    untouched: raw === "" && !lastPlanAddress(),
    inputs,
    /** The same once the hand rests, for questions besides the plan itself. */
    settled,
    plan: shown,
    /** The plan shown is not for what stands here: it was refused, or something is missing. */
    stale: shown !== undefined && (problem !== null || inputs === null),
    /** The answer to what stands here is on its way. */
    pending,
    busy: query.isFetching,
    problem,
    pots: kept,
  };
}

/** What is dragged is held here, and goes into the address when the hand rests: a browser takes only
 * so many addresses a second. What is typed stands in the address at once. */
function useHeld(raw: string, inAddress: CookRequest, planId: string | null) {
  const [, navigate] = useLocation();
  const [held, setHeld] = useState<Partial<CookRequest> | null>(null);
  /** The address that what is held belongs to. Another one (back, a plan taken up) lets go of it. */
  const own = useRef(raw);
  const part = raw === own.current ? held : null;
  const request = useMemo(() => (part ? { ...inAddress, ...part } : inAddress), [inAddress, part]);
  useEffect(() => {
    if (raw === own.current) return;
    own.current = raw;
    lastEdit.current = "";
    setHeld(null);
  }, [raw]);
  const lastEdit = useRef("");
  useEffect(() => {
    const elsewhere = () => {
      lastEdit.current = "";
    };
    document.addEventListener("focusin", elsewhere);
    return () => document.removeEventListener("focusin", elsewhere);
  }, []);
  const go = useCallback(
    (next: CookRequest, edit: string) => {
      // letters of a word and a hand that drags are one edit; a choice is always one of its own
      const replace = edit !== "" && edit === lastEdit.current;
      lastEdit.current = edit;
      own.current = String(requestToAddress(next, planId));
      const state = stateOfEdit(window.history.state, replace);
      navigate(`/plan?${own.current}`, { replace, state });
    },
    [navigate, planId],
  );
  /** What the callbacks below go by; they stay the same, so that drawings need not be drawn again. */
  const latest = useRef(request);
  latest.current = request;
  const write = useRef<() => void>(() => undefined);
  write.current = () => {
    if (part && String(requestToAddress(request, planId)) !== raw) {
      go(request, say("plan-drag", { join: Object.keys(part).join() }));
    }
  };
  useEffect(() => {
    if (!part) return;
    const timer = window.setTimeout(() => write.current(), HOLD_MS);
    return () => window.clearTimeout(timer);
  }, [part]);
  useEffect(() => {
    const leave = () => write.current();
    window.addEventListener("pagehide", leave);
    return () => window.removeEventListener("pagehide", leave);
  }, []);
  const change = useCallback(
    (next: Partial<CookRequest>, how: "drag" | "type" | "set" = "set") => {
      if (how === "drag") {
        setHeld((now) => ({ ...now, ...next }));
        return;
      }
      setHeld(null);
      go({ ...latest.current, ...next }, how === "type" ? Object.keys(next).join() : "");
    },
    [go],
  );
  return { request, change };
}

const NO_POTS: KeptPotOut[] = [];

/** As long as a slow typist needs for the next letter. */
const SETTLE_MS = 500;
/** A hand that rests for so long has found its value. */
const HOLD_MS = 300;
const REST_MS = 250;

export type Planner = ReturnType<typeof usePlanner>;

/** The trouble that belongs to a field of the piece or of the whole request. */
export function troubleAt(problem: Problem | null, field: string): Problem | null {
  if (!problem?.field) return null;
  return problem.field === field || problem.field === `pieces.0.${field}` ? problem : null;
}

const OWN_FIELDS = [
  "mass",
  "thickness",
  "count",
  "membrane",
  "start",
  "liquid",
  "pot",
  "sauce",
  "wait",
  "stay",
  "gauge",
  "length",
  "width",
  "sauce_sugar_g_l",
  "my_minutes",
  "cutting",
  "parts",
  "cube",
  "section_bones",
];

/** Trouble that no field shows: it stands above the answer instead. */
export function looseTrouble(problem: Problem | null): Problem | null {
  if (!problem) return null;
  return OWN_FIELDS.some((field) => troubleAt(problem, field)) ? null : problem;
}
