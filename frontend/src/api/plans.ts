/** Saved plans: listed, opened, saved, renamed, deleted. */

import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { client, type PlanIn, SAID_BELOW, unwrap } from "@/api/client";
import { noteSeen } from "@/lib/seen";

export function useSavedPlans(search: string) {
  return useQuery({
    queryKey: ["plans", "list", search],
    queryFn: ({ signal }) =>
      unwrap(client.GET("/api/plans", { params: { query: { search, limit: 200 } }, signal })),
    placeholderData: keepPreviousData,
  });
}

export function useStoredPlan(id: string | null) {
  return useQuery({
    queryKey: ["plans", "one", id],
    queryFn: ({ signal }) =>
      unwrap(
        client.GET("/api/plans/{plan_id}", { params: { path: { plan_id: id ?? "" } }, signal }),
      ),
    enabled: id !== null,
  });
}

/** What a stored plan would be today: computed on the server, saved nowhere. */
export function useRecomputed(id: string | null) {
  return useQuery({
    queryKey: ["plans", "fresh", id],
    queryFn: ({ signal }) =>
      unwrap(
        client.POST("/api/plans/{plan_id}/recompute", {
          params: { path: { plan_id: id ?? "" } },
          signal,
        }),
      ),
    enabled: id !== null,
  });
}

export interface PlanToSave {
  id: string | null;
  /** The version the change was made from; null writes over any. */
  seen: number | null;
  name: string;
  personId: string | null;
  inputs: PlanIn;
}

export function useSavePlan() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async ({ id, seen, name, personId, inputs }: PlanToSave) => {
      const body = { name, person_id: personId, inputs };
      if (id === null) return unwrap(client.POST("/api/plans", { body }));
      const params = { path: { plan_id: id }, query: { seen } };
      return unwrap(client.PUT("/api/plans/{plan_id}", { params, body }));
    },
    onSuccess: (plan) => noteSeen(plan.id, plan.version),
    onSettled: () => queries.invalidateQueries({ queryKey: ["plans"] }),
  });
}

/** A saved plan, fetched when somebody takes it up. */
export function useTakePlan() {
  return useMutation({
    meta: SAID_BELOW,
    mutationFn: (id: string) =>
      unwrap(client.GET("/api/plans/{plan_id}", { params: { path: { plan_id: id } } })),
  });
}

function usePlanChange<T>(change: (value: T) => Promise<unknown>) {
  const queries = useQueryClient();
  return useMutation({
    meta: SAID_BELOW,
    mutationFn: change,
    onSuccess: () => queries.invalidateQueries({ queryKey: ["plans"] }),
  });
}

export function useRenamePlan() {
  return usePlanChange(({ id, name }: { id: string; name: string }) =>
    unwrap(
      client.PATCH("/api/plans/{plan_id}", { params: { path: { plan_id: id } }, body: { name } }),
    ),
  );
}

export function useDeletePlan() {
  return usePlanChange((id: string) =>
    unwrap(client.DELETE("/api/plans/{plan_id}", { params: { path: { plan_id: id } } })),
  );
}

export function useRestorePlan() {
  return usePlanChange((id: string) =>
    unwrap(client.POST("/api/plans/{plan_id}/restore", { params: { path: { plan_id: id } } })),
  );
}
