import type { DayOut } from "@/api/client";
import type { DayDraft } from "@/lib/day";
import { spokenTime } from "@/lib/format";
import { Button } from "@/ui/Button";

interface Props {
  day: DayOut;
  draft: DayDraft;
  onChange: (part: Partial<DayDraft>) => void;
}

/** What clashes, in words, and the best ways out of it. */
export function Trouble({ day, draft, onChange }: Props) {
  if (day.clashes.length === 0 && day.delay_s <= 0) return null;
  const take = (way: DayOut["ways_out"][number]) =>
    onChange({
      dishes: draft.dishes.map((dish) => {
        if (dish.dish_id !== way.dish_id) return dish;
        if (way.kind === "ahead") return { ...dish, ahead: "day_before" };
        return { ...dish, plan: { ...dish.plan, pot: way.value } };
      }),
    });
  return (
    <section aria-label="clashes" className="mt-1 text-[14px]">
      <ul>
        {day.clashes.slice(0, 6).map((clash) => (
          <li
            key={`${clash.block_id} ${clash.why}`}
            className="border-care border-l-4 bg-care-wash px-2 py-0.5 font-medium"
          >
            {clash.dish}: {spokenTime(Math.max(clash.over_s / 60, 1))} too long; {clash.why}.
          </li>
        ))}
      </ul>
      {day.ways_out.length > 0 && (
        <p className="mt-1 flex flex-wrap items-center gap-2 print:hidden">
          What helps:
          {day.ways_out.map((way) => (
            <Button key={`${way.dish_id} ${way.value}`} onClick={() => take(way)}>
              {way.words}
            </Button>
          ))}
        </p>
      )}
    </section>
  );
}
