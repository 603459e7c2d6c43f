import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { client, type EntryIn, type Lesson, SAID_BELOW, unwrap } from "@/api/client";

/** Everything that happened in a cook. */
export function useHistory(id: string) {
  return useQuery({
    queryKey: ["cooks", "history", id],
    queryFn: ({ signal }) =>
      unwrap(
        client.GET("/api/cooks/{cook_id}/events", { params: { path: { cook_id: id } }, signal }),
      ),
    staleTime: 0,
  });
}

/** What the log taught of this household's taste and of its pots. */
export function useLessons() {
  return useQuery({
    queryKey: ["lessons"],
    queryFn: ({ signal }) => unwrap(client.GET("/api/lessons", { signal })),
    staleTime: 0,
  });
}

/** Learn anew from now on, or let everything count again; every plan is asked anew. */
export function useSetBack() {
  const queries = useQueryClient();
  return useMutation({
    meta: SAID_BELOW,
    mutationFn: ({ kind, key, on }: Pick<Lesson, "kind" | "key"> & { on: boolean }) =>
      unwrap(client.PUT("/api/lessons", { body: { kind, key, on } })),
    onSuccess: (found) => {
      queries.setQueryData(["lessons"], found);
      queries.invalidateQueries({ queryKey: ["plan"] });
    },
  });
}

/** The whole log as text. */
export function useExportLog() {
  return useMutation({
    meta: SAID_BELOW,
    mutationFn: (kind: "csv" | "jsonld") =>
      unwrap(client.GET("/api/cooks/export", { params: { query: { kind } }, parseAs: "text" })),
  });
}

export function useImportLog() {
  return useMutation({
    mutationFn: (text: string) => unwrap(client.POST("/api/cooks/import", { body: { text } })),
  });
}

/** What is written down of a cook, and the plan it went by. */
export type Entered = Omit<EntryIn, "name" | "plan"> & { planId: string };

/** A cook that was not followed; what it teaches moves every plan. */
export function useEnter() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async ({ planId, ...told }: Entered) => {
      const { name, inputs } = await unwrap(
        client.GET("/api/plans/{plan_id}", { params: { path: { plan_id: planId } } }),
      );
      return unwrap(client.POST("/api/cooks/entry", { body: { name, plan: inputs, ...told } }));
    },
    onSuccess: () => {
      for (const key of ["cooks", "lessons", "plan"]) {
        queries.invalidateQueries({ queryKey: [key] });
      }
    },
  });
}
