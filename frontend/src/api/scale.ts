import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { client, SAID_BELOW, unwrap } from "@/api/client";

const EVERY_MS = 250;
const KEY = ["scale"];

/** What the scale shows, four times a second while somebody weighs. */
export function useScale(weighing: boolean) {
  return useQuery({
    queryKey: KEY,
    queryFn: ({ signal }) => unwrap(client.GET("/api/scale", { signal })),
    enabled: weighing,
    refetchInterval: EVERY_MS,
    gcTime: 0,
    staleTime: 0,
  });
}

export function useTare() {
  const queries = useQueryClient();
  return useMutation({
    meta: SAID_BELOW,
    mutationFn: () => unwrap(client.POST("/api/scale/tare")),
    onSuccess: (found) => queries.setQueryData(KEY, found),
  });
}

/** Hands at the simulated scale: what lies on it. */
export function useLoadScale() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (on_it: string) => unwrap(client.PUT("/api/scale", { body: { on_it } })),
    onSuccess: (found) => queries.setQueryData(KEY, found),
  });
}
