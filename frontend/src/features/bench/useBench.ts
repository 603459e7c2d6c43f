import { useCallback, useEffect, useMemo } from "react";
import { useLocation, useSearch } from "wouter";
import type { KeptPotOut, Problem } from "@/api/client";
import { ProblemError } from "@/api/client";
import { usePlan, usePots } from "@/api/queries";
import { keepBench, lastBench } from "@/lib/draft";
import { type Wish, wishFromAddress, wishToAddress, wishToPlan } from "@/lib/wish";
import { useSettled } from "@/ui/useSettled";

/** What stands on the Bench (it lives in the address) and the plan that answers it. */
export function useBench() {
  const raw = useSearch();
  const [, navigate] = useLocation();
  const pots = usePots();
  const search = useMemo(() => new URLSearchParams(raw), [raw]);
  const planId = search.get("plan");
  const kept = pots.data?.pots ?? NO_POTS;
  const firstPot = kept.find((pot) => pot.ready_id === "tenor") ?? kept[0];
  const wish = useMemo(() => {
    const typed = wishFromAddress(search);
    // an address may name a ready pot; the household's own one of that kind is meant
    const named = kept.find((pot) => pot.id === typed.pot || pot.ready_id === typed.pot);
    const pot = named ?? (typed.pot ? undefined : firstPot);
    return pot ? { ...typed, pot: pot.id } : typed;
  }, [search, firstPot, kept]);

  useEffect(() => {
    if (raw) keepBench(`?${raw}`);
    else if (lastBench()) navigate(`/${lastBench()}`, { replace: true });
  }, [raw, navigate]);

  const change = useCallback(
    (part: Partial<Wish>, how: "drag" | "set" = "set") => {
      const next = wishToAddress({ ...wish, ...part }, planId);
      // typing and dragging replace the address; a choice can be undone with "back"
      navigate(`/?${next}`, { replace: how === "drag" });
    },
    [wish, planId, navigate],
  );

  const inputs = useMemo(() => wishToPlan(wish), [wish]);
  const { query, shown } = usePlan(inputs);
  const refusal = query.error instanceof ProblemError ? query.error.problem : null;
  const problem = useSettled(refusal, SETTLE_MS);
  return {
    wish,
    planId,
    change,
    inputs,
    plan: shown,
    /** The plan shown is not for what stands here: it was refused, or something is missing. */
    stale: shown !== undefined && (problem !== null || inputs === null),
    busy: query.isFetching,
    problem,
    pots: kept,
  };
}

const NO_POTS: KeptPotOut[] = [];

/** As long as a slow typist needs for the next letter. */
const SETTLE_MS = 500;

export type Bench = ReturnType<typeof useBench>;

/** The trouble that belongs to a field of the piece or of the whole wish. */
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
];

/** Trouble that no field shows: it stands above the answer instead. */
export function looseTrouble(problem: Problem | null): Problem | null {
  if (!problem) return null;
  return OWN_FIELDS.some((field) => troubleAt(problem, field)) ? null : problem;
}
