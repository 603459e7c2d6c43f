import { useQueries } from "@tanstack/react-query";
import { useMemo } from "react";
import { cookQuery } from "@/api/cooks";
import { type DayDraft, toldByCook } from "@/lib/day";

/** The day with what its cooks beside the pot tell; a cook that is gone tells nothing. */
export function useToldDay(day: DayDraft): DayDraft {
  const linked = Object.entries(day.beside).filter(([dish]) =>
    day.dishes.some((item) => item.dish_id === dish),
  );
  const found = useQueries({ queries: linked.map(([, cook]) => cookQuery(cook)) });
  const told = linked.flatMap(([dish], index) => {
    const cook = found[index]?.data;
    return cook ? [toldByCook(dish, cook)] : [];
  });
  // forecasts move by the second; the day is asked anew when a minute changes
  const key = JSON.stringify(told).replace(SECONDS, ":00Z");
  return useMemo(() => {
    const parts = JSON.parse(key) as ReturnType<typeof toldByCook>[];
    return {
      ...day,
      done: Object.assign({}, day.done, ...parts.map((part) => part.done)),
      ended: Object.assign({}, day.ended, ...parts.map((part) => part.ended)),
    };
  }, [day, key]);
}

const SECONDS = /:\d\d(\.\d+)?(Z|\+00:00)/g;
