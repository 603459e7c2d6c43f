import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { client, SAID_BELOW, unwrap } from "@/api/client";

/** Copies that the app made of its database by itself. */
export function useCopies() {
  return useQuery({
    queryKey: ["copies"],
    queryFn: () => unwrap(client.GET("/api/copies")),
    staleTime: 0,
  });
}

/** Back to a copy; everything on the screen is another thing then. */
export function useTakeCopy() {
  const queries = useQueryClient();
  return useMutation({
    meta: SAID_BELOW,
    mutationFn: (name: string) =>
      unwrap(client.POST("/api/copies/{name}/use", { params: { path: { name } } })),
    onSuccess: () => queries.invalidateQueries(),
  });
}

/** Browsers on the network that are paired. */
export function usePaired() {
  return useQuery({
    queryKey: ["devices"],
    queryFn: () => unwrap(client.GET("/api/devices")),
    staleTime: 0,
  });
}

export function useForget() {
  const queries = useQueryClient();
  return useMutation({
    meta: SAID_BELOW,
    mutationFn: (id: string) =>
      unwrap(client.DELETE("/api/devices/{device_id}", { params: { path: { device_id: id } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["devices"] }),
  });
}

/** How many things are deleted and can still be put back. */
export function useDeleted() {
  return useQuery({
    queryKey: ["deleted"],
    queryFn: () => unwrap(client.GET("/api/deleted")),
    staleTime: 0,
  });
}

export function useErase() {
  const queries = useQueryClient();
  return useMutation({
    meta: SAID_BELOW,
    mutationFn: () => unwrap(client.DELETE("/api/deleted")),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["deleted"] }),
  });
}
