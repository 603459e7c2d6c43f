import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { client, type DayIn, type KeepDay, SAID_BELOW, unwrap } from "@/api/client";

/** The day counted back; asked anew whenever something on it changes. */
export function useDay(asked: DayIn | null) {
  return useQuery({
    queryKey: ["day", asked],
    queryFn: ({ signal }) => unwrap(client.POST("/api/schedule", { body: asked as DayIn, signal })),
    enabled: asked !== null,
    placeholderData: keepPreviousData,
    gcTime: 60_000,
    // what its cooks tell moves the rest of the day
    refetchInterval: Object.keys(asked?.beside ?? {}).length > 0 ? TOLD_MS : false,
  });
}

const TOLD_MS = 5000;

/** What would help, asked only when something clashes and the hand rests. */
export function useDayFixes(asked: DayIn | null) {
  return useQuery({
    queryKey: ["day fixes", asked],
    queryFn: ({ signal }) =>
      unwrap(client.POST("/api/schedule/fixes", { body: asked as DayIn, signal })),
    enabled: asked !== null,
    gcTime: 60_000,
  });
}

/** What waits, and how, when the guests come so many minutes later. */
export function useGuestsLate(day: DayIn | null, lateMin: number) {
  return useQuery({
    queryKey: ["guests late", day, lateMin],
    queryFn: ({ signal }) =>
      unwrap(
        client.POST("/api/schedule/guests-late", {
          body: { day: day as DayIn, late_min: lateMin },
          signal,
        }),
      ),
    enabled: day !== null && lateMin > 0,
    placeholderData: keepPreviousData,
    gcTime: 60_000,
  });
}

export function useCalendar() {
  return useMutation({
    meta: SAID_BELOW,
    mutationFn: (body: DayIn) => unwrap(client.POST("/api/schedule/calendar", { body })),
  });
}

/** What was moved in a calendar file of ours, as pins. */
export function useReadCalendar() {
  return useMutation({
    mutationFn: (body: { day: DayIn; text: string }) =>
      unwrap(client.POST("/api/schedule/calendar/read", { body })),
  });
}

export function useDays() {
  return useQuery({
    queryKey: ["days"],
    queryFn: ({ signal }) =>
      unwrap(client.GET("/api/schedules", { params: { query: { limit: 200 } }, signal })),
  });
}

interface DayToKeep {
  id: string | null;
  /** The version the change was made from; null writes over any. */
  seen: number | null;
  body: KeepDay;
}

export function useKeepDay() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async ({ id, seen, body }: DayToKeep) => {
      if (id === null) return unwrap(client.POST("/api/schedules", { body }));
      const params = { path: { day_id: id }, query: { seen } };
      return unwrap(client.PUT("/api/schedules/{day_id}", { params, body }));
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ["days"] }),
  });
}

export function useOpenDay() {
  return useMutation({
    meta: SAID_BELOW,
    mutationFn: (id: string) =>
      unwrap(client.GET("/api/schedules/{day_id}", { params: { path: { day_id: id } } })),
  });
}

export function useDeleteDay() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, restore }: { id: string; restore: boolean }) => {
      const params = { path: { day_id: id } };
      return restore
        ? unwrap(client.POST("/api/schedules/{day_id}/restore", { params }))
        : unwrap(client.DELETE("/api/schedules/{day_id}", { params }));
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ["days"] }),
  });
}
