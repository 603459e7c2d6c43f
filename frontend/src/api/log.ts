import { useQuery } from "@tanstack/react-query";
import { client, unwrap } from "@/api/client";

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
