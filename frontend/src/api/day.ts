import { keepPreviousData, useMutation, useQuery } from "@tanstack/react-query";
import { client, type DayIn, unwrap } from "@/api/client";

/** The day counted back; asked anew whenever something on it changes. */
export function useDay(asked: DayIn | null) {
  return useQuery({
    queryKey: ["day", asked],
    queryFn: ({ signal }) => unwrap(client.POST("/api/day", { body: asked as DayIn, signal })),
    enabled: asked !== null,
    placeholderData: keepPreviousData,
    gcTime: 60_000,
  });
}

/** What would help, asked only when something clashes and the hand rests. */
export function useWaysOut(asked: DayIn | null) {
  return useQuery({
    queryKey: ["ways out", asked],
    queryFn: ({ signal }) =>
      unwrap(client.POST("/api/day/ways-out", { body: asked as DayIn, signal })),
    enabled: asked !== null,
    gcTime: 60_000,
  });
}

export function useCalendar() {
  return useMutation({
    mutationFn: (body: DayIn) => unwrap(client.POST("/api/day/calendar", { body })),
  });
}
