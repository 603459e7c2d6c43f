import {
  keepPreviousData,
  queryOptions,
  useMutation,
  useQuery,
  useQueryClient,
} from "@tanstack/react-query";
import { useEffect, useState } from "react";
import {
  type BeginIn,
  type CookOut,
  client,
  type Extra,
  type Faults,
  type GuestsLateOut,
  type HandAction,
  type NewEventIn,
  type PlanIn,
  type PotCommand,
  ProblemError,
  type RecipeCard,
  SAID_BELOW,
  stale,
  type Texture,
  unwrap,
} from "@/api/client";

const EVERY_MS = 1000;
const FAST_MS = 400;

const one = (id: string) => ["cooks", "one", id];

/** Where a cook stands: followed by a stream of what is new, and asked every second where there is
 * none; so a second screen follows. */
export function useCook(id: string) {
  const queries = useQueryClient();
  const [streams, setStreams] = useState(false);
  useEffect(() => {
    const source = new EventSource(`/api/cooks/${encodeURIComponent(id)}/stream`);
    source.addEventListener("cook", (event: MessageEvent<string>) => {
      const news = JSON.parse(event.data) as CookNews;
      setStreams(true);
      queries.setQueryData<CookOut>(one(id), (known) => withNews(known, news));
      if (news.ended_at) source.close();
    });
    source.addEventListener("error", () => setStreams(false));
    return () => source.close();
  }, [id, queries]);
  return useQuery({ ...cookQuery(id), ...(streams && { refetchInterval: 15 * EVERY_MS }) });
}

/** Parts of a cook that changed; of the curve only its new end. */
export type CookNews = Partial<CookOut> & { ink_from?: number };

/** A cook with what is new; a first piece of news is all of it. */
export function withNews(known: CookOut | undefined, news: CookNews): CookOut | undefined {
  const { ink_from: from, ink = [], ...rest } = news;
  if (from === undefined && news.ink !== undefined) return { ...rest, ink } as CookOut;
  if (!known) return undefined;
  const grown = from === undefined ? known.ink : [...known.ink.slice(0, from), ...ink];
  return { ...known, ...rest, ink: grown };
}

export function cookQuery(id: string) {
  return queryOptions({
    queryKey: one(id),
    queryFn: ({ signal }) =>
      unwrap(client.GET("/api/cooks/{cook_id}", { params: { path: { cook_id: id } }, signal })),
    refetchInterval: ({ state }) => {
      if (state.data?.ended_at) return false;
      return (state.data?.speed ?? 1) > 1 ? FAST_MS : EVERY_MS;
    },
    refetchIntervalInBackground: true,
    placeholderData: keepPreviousData,
  });
}

/** Two sheets laid together. */
export function useCompared([one, other]: [string, string]) {
  return useQuery({
    queryKey: ["cooks", "compare", one, other],
    queryFn: ({ signal }) =>
      unwrap(client.GET("/api/cooks/compare", { params: { query: { one, other } }, signal })),
    staleTime: 0,
    retry: false,
  });
}

/** How each kind of piece in the pot softened. */
export function usePieces(id: string) {
  return useQuery({
    queryKey: ["cooks", "pieces", id],
    queryFn: ({ signal }) =>
      unwrap(
        client.GET("/api/cooks/{cook_id}/pieces", { params: { path: { cook_id: id } }, signal }),
      ),
    staleTime: 0,
  });
}

/** A timer was heard, on whatever view. */
export function useHeard() {
  const queries = useQueryClient();
  return useMutation({
    scope: IN_TURN,
    mutationFn: ({ cook, timerId }: { cook: string; timerId: string }) =>
      unwrap(
        client.POST("/api/cooks/{cook_id}/events", {
          params: { path: { cook_id: cook } },
          body: { kind: "timer_rang", key: newKey(), timer_id: timerId },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["cooks"] }),
  });
}

export interface LateCook {
  cook: string;
  how: GuestsLateOut["dishes"][number]["how"];
}

/** The guests are late: each cook that is under way has one more step in which it waits. */
export function useLateCooks() {
  const queries = useQueryClient();
  return useMutation({
    scope: IN_TURN,
    mutationFn: ({ cooks, lateMin }: { cooks: LateCook[]; lateMin: number }) =>
      Promise.all(
        cooks.map(({ cook, how }) =>
          unwrap(
            client.POST("/api/cooks/{cook_id}/events", {
              params: { path: { cook_id: cook } },
              body: { kind: "guests_late", key: newKey(), how, late_s: 60 * lateMin },
            }),
          ),
        ),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["cooks"] }),
  });
}

export interface LogWanted {
  search?: string;
  cut?: string;
  pot?: string;
  since?: string;
  running?: boolean;
  limit?: number;
  offset?: number;
}

export function useLog(wanted: LogWanted) {
  return useQuery({
    queryKey: ["cooks", "log", wanted],
    queryFn: ({ signal }) =>
      unwrap(client.GET("/api/cooks", { params: { query: wanted }, signal })),
    placeholderData: keepPreviousData,
    staleTime: 0,
  });
}

/** All cooks that run, what needs hands first; asked on every view, seldom while none runs. */
export function useTurns() {
  return useQuery({
    queryKey: ["cooks", "beside"],
    queryFn: ({ signal }) => unwrap(client.GET("/api/cooks/active", { signal })),
    refetchInterval: ({ state }) => ((state.data?.turns.length ?? 0) > 0 ? 2 : 10) * EVERY_MS,
    refetchIntervalInBackground: true,
    placeholderData: keepPreviousData,
    staleTime: 0,
  });
}

/** A cook that begins; what a recipe or a day add to its steps. */
export interface Begin {
  name: string;
  plan: PlanIn;
  connected: boolean;
  recipe?: RecipeCard | null;
  extras?: Extra[];
  sauce?: NonNullable<BeginIn["sauce"]>;
  sauce_ml?: number | null;
  ahead?: NonNullable<BeginIn["ahead"]>;
  from_freezer?: boolean;
  rubbed?: boolean;
  rub_min?: Exclude<BeginIn["rub_min"], undefined>;
  crackling?: boolean;
  pulled_first?: boolean;
  marinade?: Exclude<BeginIn["marinade"], undefined>;
  marinate_min?: Exclude<BeginIn["marinate_min"], undefined>;
  fat_mm?: number | null;
  sear_min?: number | null;
  sear_batches?: number | null;
  eaters?: number | null;
  leftovers?: NonNullable<BeginIn["leftovers"]>;
}

const AS_USUAL: Required<
  Pick<
    Begin,
    | "extras"
    | "sauce"
    | "ahead"
    | "from_freezer"
    | "rubbed"
    | "crackling"
    | "pulled_first"
    | "leftovers"
  >
> = {
  extras: [],
  sauce: "half",
  ahead: "today",
  from_freezer: false,
  rubbed: false,
  crackling: false,
  pulled_first: false,
  leftovers: "chill",
};

export function useBegin() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (begin: Begin) =>
      unwrap(client.POST("/api/cooks", { body: { ...AS_USUAL, ...begin } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["cooks"] }),
  });
}

/** What is done beside the pot goes one after the other: quick hands must not overtake themselves. */
const IN_TURN = { id: "cooking now" };
/** Somebody who stands at a pot looks again after this. */
const PRESS_MS = 8000;
/** What is told may be told again (its key is written once), so it is sent until it gets through. */
const SEND_FOR_MS = 15 * 60_000;
const SEND_AGAIN_MS = 2000;

async function untilSent<T>(send: () => Promise<T>): Promise<T> {
  const until = Date.now() + SEND_FOR_MS;
  for (;;) {
    try {
      return await send();
    } catch (error) {
      const again = error instanceof ProblemError && (error.status === 0 || error.status === 503);
      if (!again || Date.now() > until) throw error;
      await new Promise((done) => setTimeout(done, SEND_AGAIN_MS));
    }
  }
}

const NO_FAULTS: Faults = {
  weak_heater: false,
  leaking_gasket: false,
  stuck_base: false,
  away: false,
};

/** Everything that is done to a cook; each answer is the cook as it then stands. */
export function useCookActs(id: string) {
  const queries = useQueryClient();
  const params = { path: { cook_id: id } };
  return useMutation({
    scope: IN_TURN,
    mutationFn: async (act: Act): Promise<CookOut> => {
      switch (act.kind) {
        case "tell":
          return untilSent(() =>
            unwrap(client.POST("/api/cooks/{cook_id}/events", { params, body: act.event })),
          );
        case "press": {
          const left = act.at + PRESS_MS - Date.now();
          if (left <= 0) throw new ProblemError(stale(), 0);
          const body = { do: act.what, at_the_pot: act.there };
          const signal = AbortSignal.timeout(left);
          return unwrap(client.POST("/api/cooks/{cook_id}/pot", { params, body, signal }));
        }
        case "hands": {
          const body = { do: act.what, volume: act.volume ?? null };
          return unwrap(client.POST("/api/cooks/{cook_id}/simulate", { params, body }));
        }
        case "connect":
          return unwrap(
            client.PUT("/api/cooks/{cook_id}/connected", { params, body: { on: act.on } }),
          );
        case "faults": {
          const faults = queries.getQueryData<CookOut>(one(id))?.faults;
          const body = { ...NO_FAULTS, ...faults, ...act.change };
          return unwrap(client.PUT("/api/cooks/{cook_id}/faults", { params, body }));
        }
      }
    },
    onSuccess: async (cook, act) => {
      if (act.kind === "tell" && TEACHES.has(act.event.kind)) {
        for (const key of ["cooks", "lessons", "plan"]) {
          queries.invalidateQueries({ queryKey: [key] });
        }
      }
      // an answer to an older question must not come in after this one
      await queries.cancelQueries({ queryKey: one(id) });
      queries.setQueryData(one(id), cook);
    },
  });
}

/** After these every plan may be another one, and the log tells other things. */
const TEACHES = new Set<NewEventIn["kind"]>(["outcome", "weighed", "note", "ended"]);

/** Does it, and says whether it was taken; what was refused stands in `error` of the acts. */
export type Tell = (act: Act) => Promise<boolean>;

export function tellOf(acts: ReturnType<typeof useCookActs>): Tell {
  return (act) =>
    acts.mutateAsync(act).then(
      () => true,
      () => false,
    );
}

export type Act =
  | { kind: "tell"; event: NewEventIn }
  | { kind: "press"; what: PotCommand; there: boolean; at: number }
  | { kind: "hands"; what: HandAction; volume?: string }
  | { kind: "connect"; on: boolean }
  | { kind: "faults"; change: Partial<Faults> };

/** A button of the pot, pressed now. */
export function press(what: PotCommand, there: boolean): Act {
  return { kind: "press", what, there, at: Date.now() };
}

/** A key of our own for something that is told: told twice, it is written once. */
export function newKey(): string {
  return crypto.randomUUID();
}

export function useJudge(id: string) {
  return useMutation({
    scope: IN_TURN,
    mutationFn: (body: { seen: Texture | null; probe: string | null }) =>
      unwrap(
        client.POST("/api/cooks/{cook_id}/judge", { params: { path: { cook_id: id } }, body }),
      ),
  });
}

export function useProbe(id: string) {
  return useMutation({
    scope: IN_TURN,
    mutationFn: () =>
      unwrap(client.GET("/api/cooks/{cook_id}/probe", { params: { path: { cook_id: id } } })),
  });
}

/** What the minutes of a run that stopped were worth. */
export function useWorth(id: string, stopped: boolean) {
  return useQuery({
    queryKey: ["cooks", "worth", id],
    queryFn: ({ signal }) =>
      unwrap(
        client.GET("/api/cooks/{cook_id}/credit", { params: { path: { cook_id: id } }, signal }),
      ),
    enabled: stopped,
    retry: false,
  });
}

/** The own time of a cook: how fast it runs, or back to the time of the kitchen. */
export function useCookClock(id: string) {
  const queries = useQueryClient();
  return useMutation({
    scope: IN_TURN,
    meta: SAID_BELOW,
    mutationFn: (body: { speed: 1 | 10 | 60 | 240 } | { back: true }) =>
      unwrap(
        client.PUT("/api/cooks/{cook_id}/clock", {
          params: { path: { cook_id: id } },
          body: { back: false, ...body },
        }),
      ),
    onSuccess: async (cook) => {
      await queries.cancelQueries({ queryKey: one(id) });
      queries.setQueryData(one(id), cook);
      queries.invalidateQueries({ queryKey: ["cooks"] });
    },
  });
}

/** What time it is in the kitchen, for screens that count days by it. */
export function useKitchenClock() {
  return useQuery({
    queryKey: ["clock"],
    queryFn: ({ signal }) => unwrap(client.GET("/api/clock", { signal })),
    refetchInterval: 30 * EVERY_MS,
    staleTime: 0,
  });
}

export function useDeleteCook() {
  const queries = useQueryClient();
  return useMutation({
    meta: SAID_BELOW,
    mutationFn: ({ id, restore }: { id: string; restore: boolean }) => {
      const params = { path: { cook_id: id } };
      return restore
        ? unwrap(client.POST("/api/cooks/{cook_id}/restore", { params }))
        : unwrap(client.DELETE("/api/cooks/{cook_id}", { params }));
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ["cooks", "log"] }),
  });
}
