import {
  keepPreviousData,
  MutationCache,
  QueryClient,
  useMutation,
  useQueries,
  useQuery,
  useQueryClient,
} from "@tanstack/react-query";
import { useEffect } from "react";
import {
  type Body,
  client,
  type HouseholdIn,
  type Marinade,
  type OtherMethod,
  type OwnPotIn,
  type PlanIn,
  type PlanOut,
  ProblemError,
  type ReleaseMethod,
  SAID_BELOW,
  type Texture,
  unwrap,
} from "@/api/client";
import { useInTurn } from "@/api/useInTurn";
import type { Units } from "@/lib/format";
import { takeOverLocale } from "@/lib/locale";
import { learnWords } from "@/lib/words";

/** A refusal is an answer; only a lost server is worth another try. */
function shouldRetry(failures: number, error: Error): boolean {
  return failures < 2 && (!(error instanceof ProblemError) || error.status === 0);
}

/** The app answers on this machine or in this kitchen: it needs no net, and a browser that has lost
 * its own must neither wait nor press a button later, when it is back. */
const HERE = "always";

/** What was changed here is seen in the other tabs of this browser. */
const tabs = typeof BroadcastChannel === "undefined" ? null : new BroadcastChannel("pneumachron");

export const queryClient = new QueryClient({
  mutationCache: new MutationCache({ onSuccess: () => tabs?.postMessage("changed") }),
  defaultOptions: {
    queries: { retry: shouldRetry, retryDelay: 400, staleTime: 60_000, networkMode: HERE },
    mutations: { networkMode: HERE },
  },
});

const KEPT = ["plans", "household", "pots", "people", "days", "recipes", "cooks", "lessons"];

/** Read again what another tab changed. */
export function useOtherTabs(): void {
  useEffect(() => {
    if (!tabs) return;
    const read = () =>
      queryClient.invalidateQueries({
        predicate: ({ queryKey }) => KEPT.includes(String(queryKey[0])),
      });
    tabs.addEventListener("message", read);
    return () => tabs.removeEventListener("message", read);
  }, []);
}

const BEAT_MS = 5000;

/** How the app is, asked again and again. */
export function useHealth() {
  return useQuery({
    queryKey: ["health"],
    queryFn: () => unwrap(client.GET("/api/health")),
    refetchInterval: BEAT_MS,
    refetchIntervalInBackground: true,
    retry: false,
    staleTime: 0,
  });
}

/** Whether the app answers; undefined until it was asked. */
export function useAlive(): boolean | undefined {
  const { data, error } = useHealth();
  if (error instanceof ProblemError && error.status === 0) return false;
  return data ? true : undefined;
}

export function useCatalogue() {
  return useQuery({
    queryKey: ["catalogue"],
    queryFn: async ({ signal }) => {
      const catalogue = await unwrap(client.GET("/api/catalogue", { signal }));
      takeOverLocale(catalogue.locale);
      learnWords(catalogue);
      return catalogue;
    },
    staleTime: Number.POSITIVE_INFINITY,
  });
}

/** What a cook looks up. */
export function useGuide() {
  return useQuery({
    queryKey: ["guide"],
    queryFn: ({ signal }) => unwrap(client.GET("/api/guide", { signal })),
    staleTime: Number.POSITIVE_INFINITY,
  });
}

/** What measures are shown in. */
export function useUnits(): Units {
  return useHousehold().data?.units ?? "metric";
}

export function useHousehold() {
  return useQuery({
    queryKey: ["household"],
    queryFn: ({ signal }) => unwrap(client.GET("/api/household", { signal })),
  });
}

export function usePots() {
  return useQuery({
    queryKey: ["pots"],
    queryFn: ({ signal }) => unwrap(client.GET("/api/pots", { signal })),
  });
}

export function usePeople() {
  return useQuery({
    queryKey: ["people"],
    queryFn: ({ signal }) => unwrap(client.GET("/api/people", { signal })),
  });
}

const LAST_PLAN = ["last plan"];

/** The plan for what stands in Plan. One question is on its way at a time, the newest waits;
 * the last answer stays (as `shown`) while the next one is on its way, refused, or lost. `pending`:
 * what is shown answers an older question. */
export function usePlan(request: PlanIn | null) {
  const asked = useInTurn(request, (item) => item !== null && isAsking(["plan", item]));
  const query = useQuery({
    queryKey: ["plan", asked],
    // without its signal: a question that was asked is answered, also when the hand moved on
    queryFn: async () => {
      if (asked === null) throw new Error("no request yet");
      const plan = await unwrap(client.POST("/api/plan", { body: asked }));
      queryClient.setQueryData(LAST_PLAN, plan);
      return plan;
    },
    enabled: asked !== null,
    gcTime: 60_000,
  });
  const shown = query.data ?? queryClient.getQueryData<PlanOut>(LAST_PLAN);
  const pending = asked !== request || query.isPending;
  return { query, shown, pending: request !== null && pending };
}

/** Whether an answer to this question is on its way, or about to be asked for. */
function isAsking(queryKey: unknown[]): boolean {
  const state = queryClient.getQueryState(queryKey);
  return state === undefined || state.status === "pending" || state.fetchStatus === "fetching";
}

/** The same request with one thing different at a time; asked for only while it is looked at. */
export function useWhatIf(request: PlanIn | null) {
  return useQuery({
    queryKey: ["what if", request],
    queryFn: () => {
      if (request === null) throw new Error("no request yet");
      return unwrap(client.POST("/api/plan/what-if", { body: request }));
    },
    enabled: request !== null,
    placeholderData: keepPreviousData,
    gcTime: 60_000,
  });
}

/** A question around a request, asked only while it is looked at. */
function useAsked<T>(key: unknown[], ready: boolean, ask: () => Promise<T>) {
  return useQuery({
    queryKey: key,
    // without a signal: it is worked out to the end whoever has left, and may be asked again
    queryFn: () => ask(),
    enabled: ready,
    placeholderData: keepPreviousData,
    gcTime: 60_000,
  });
}

export function useReadyBy(request: PlanIn | null, minutes: number | null) {
  return useAsked(["ready by", request, minutes], request !== null && minutes !== null, () => {
    const body = { request: request as PlanIn, available_min: minutes ?? 1 };
    return unwrap(client.POST("/api/plan/ready-by", { body }));
  });
}

export function useAround(request: PlanIn | null, marinade: Marinade | null, brined: boolean) {
  return useAsked(["around", request, marinade, brined], request !== null, () => {
    const body = { request: request as PlanIn, marinade, brined };
    return unwrap(client.POST("/api/plan/prep", { body }));
  });
}

/** The steps of a plan: those of Cook and Schedule. */
export function useSteps(request: PlanIn | null) {
  return useAsked(["steps", request], request !== null, () =>
    unwrap(client.POST("/api/plan/steps", { body: request as PlanIn })),
  );
}

export function useOpened(
  request: PlanIn | null,
  holdMin: number,
  seen: Texture | null,
  probe: string | null,
) {
  const ready = request !== null && (seen !== null || probe !== null);
  return useAsked(["opened", request, holdMin, seen, probe], ready, () => {
    const found = seen ? { seen } : { probe };
    const body = { request: request as PlanIn, hold_min: holdMin, ...found, open_min: 5 };
    return unwrap(client.POST("/api/plan/not-done", { body }));
  });
}

export function useStopped(request: PlanIn | null, at: string, since: string) {
  const numbers = [at, since].map((text) => (/^\d{1,3}$/.test(text.trim()) ? Number(text) : null));
  const [atMin, sinceMin] = numbers;
  const ready = request !== null && typeof atMin === "number" && typeof sinceMin === "number";
  return useAsked(["stopped", request, atMin, sinceMin], ready, () => {
    const body = { request: request as PlanIn, at_min: atMin ?? 0, since_min: sinceMin ?? 0 };
    return unwrap(client.POST("/api/plan/interrupted", { body }));
  });
}

export function useBatches(request: PlanIn | null) {
  return useAsked(["batches", request], request !== null, () =>
    unwrap(client.POST("/api/plan/batches", { body: request as PlanIn })),
  );
}

/** What the minutes of a recipe would make of this; with a pressure, minutes written for that. */
export function useGivenMinutes(
  request: PlanIn | null,
  holdMin: number | null,
  gauge: string | null,
) {
  const body = { request: request as PlanIn, hold_min: holdMin ?? 1 };
  const ready = request !== null && holdMin !== null;
  const here = useAsked(["minutes", request, holdMin], ready, () =>
    unwrap(client.POST("/api/plan/minutes", { body })),
  );
  const there = useAsked(["other", request, holdMin, gauge], ready && gauge !== null, () =>
    unwrap(client.POST("/api/plan/other-pressure", { body: { ...body, gauge: gauge ?? "" } })),
  );
  return { here, there };
}

export function useSauce(pot: string, volume: string, leftRatio: number, body: Body) {
  return useAsked(["sauce", pot, volume, leftRatio, body], volume.trim() !== "", () =>
    unwrap(client.POST("/api/sauce", { body: { pot, volume, left_ratio: leftRatio, body } })),
  );
}

/** The same meal without the pot, on a day when that is in use. */
export function useOtherWay(request: PlanIn | null, method: OtherMethod | null) {
  return useAsked(["other way", request, method], request !== null && method !== null, () => {
    const body = { request: request as PlanIn, method: method ?? "oven_lid" };
    return unwrap(client.POST("/api/plan/other-methods", { body }));
  });
}

export function useSides(holdMin: number) {
  return useAsked(["sides", holdMin], true, () =>
    unwrap(client.GET("/api/sides", { params: { query: { hold_min: holdMin } } })),
  );
}

export function usePlates(cut: string, plates: number | null) {
  const ready = plates !== null && plates >= 1 && plates <= 200;
  return useAsked(["plates", cut, plates], ready, () =>
    unwrap(client.GET("/api/plates", { params: { query: { cut, plates: plates ?? 1 } } })),
  );
}

const LAID: ReleaseMethod[] = ["natural", "timed", "quick"];

/** The same request with the usual other releases, for laying their traces over this one. */
export function useOtherReleases(request: PlanIn | null, current: ReleaseMethod | undefined) {
  const wanted = request ? LAID.filter((release) => release !== current) : [];
  const found = useQueries({
    queries: wanted.map((release) => ({
      queryKey: ["plan", { ...request, release, wait_min: null }],
      queryFn: () => {
        const body = { ...(request as PlanIn), release, wait_min: null };
        return unwrap(client.POST("/api/plan", { body }));
      },
      gcTime: 60_000,
    })),
  });
  return wanted.flatMap((release, index) => {
    const plan = found[index]?.data;
    return plan ? [{ release, plan }] : [];
  });
}

/** The household's altitude and start are in every plan, so all of them are asked anew. */
export function useChangeHousehold() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ seen, body }: { seen: number | null; body: HouseholdIn }) =>
      unwrap(client.PUT("/api/household", { params: { query: { seen } }, body })),
    onSettled: () => queries.invalidateQueries(),
  });
}

export function useAddPot() {
  const queries = useQueryClient();
  return useMutation({
    meta: SAID_BELOW,
    mutationFn: (readyId: string) =>
      unwrap(client.POST("/api/pots", { body: { ready_id: readyId } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["pots"] }),
  });
}

function usePotChange<T>(change: (value: T) => Promise<unknown>) {
  const queries = useQueryClient();
  return useMutation({ mutationFn: change, onSuccess: () => queries.invalidateQueries() });
}

export function useChangePot() {
  return usePotChange(({ id, body }: { id: string; body: OwnPotIn }) =>
    unwrap(client.PUT("/api/pots/{pot_id}", { params: { path: { pot_id: id } }, body })),
  );
}

/** An own, empty kitchen in place of the demo. */
export function useClearDemo() {
  return usePotChange((_: undefined) => unwrap(client.POST("/api/household/clear-demo")));
}

/** Goes on with what is assumed of the kitchen. */
export function useSkipIntroduction() {
  return usePotChange((_: undefined) => unwrap(client.POST("/api/household/introduced")));
}

export function useAddOwnPot() {
  return usePotChange((body: OwnPotIn) => unwrap(client.POST("/api/pots/own", { body })));
}

/** Minutes a litre took; 0 sets the pot back. Every plan in it is asked anew. */
export function useBoilTest() {
  return usePotChange(({ id, minutes }: { id: string; minutes: number }) =>
    unwrap(
      client.POST("/api/pots/{pot_id}/boil-test", {
        params: { path: { pot_id: id } },
        body: { minutes },
      }),
    ),
  );
}

export function useRestore() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ content, dryRun }: { content: unknown; dryRun: boolean }) =>
      unwrap(
        client.POST("/api/restore", {
          params: { query: { dry_run: dryRun } },
          body: content as Record<string, never>,
        }),
      ),
    onSuccess: (outcome) => (outcome.done ? queries.invalidateQueries() : undefined),
  });
}

/** The plan that stood in Plan last, for the Guide's own example. */
export function useLastPlan(): PlanOut | undefined {
  return useQueryClient().getQueryData<PlanOut>(LAST_PLAN);
}

export function useRemovePot() {
  const queries = useQueryClient();
  return useMutation({
    meta: SAID_BELOW,
    mutationFn: ({ id, restore }: { id: string; restore: boolean }) => {
      const params = { path: { pot_id: id } };
      return restore
        ? unwrap(client.POST("/api/pots/{pot_id}/restore", { params }))
        : unwrap(client.DELETE("/api/pots/{pot_id}", { params }));
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ["pots"] }),
  });
}
