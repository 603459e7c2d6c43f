import type { Marinade } from "@/api/client";
import type { DayDraft } from "@/lib/day";
import { spanOfMinutes } from "@/lib/format";
import { MARINADE_WORDS, namesOf } from "@/lib/words";
import { say } from "@/text/say";

type DishOfDay = DayDraft["dishes"][number];

interface Props {
  dish: DishOfDay;
  onChange: (changed: Partial<DishOfDay>) => void;
}

const RECIPE = "recipe";

/** What the meat lies in, and for how long: as its recipe has it, or as is usual. */
export function MarinadeChoice({ dish, onChange }: Props) {
  const own = dish.marinade ? dish.marinate_min : null;
  const choose = (value: string) =>
    onChange({ marinade: value ? (value as Marinade) : null, marinate_min: null });
  return (
    <label className="flex items-center gap-1">
      {say("schedule-marinade")}
      <select
        value={own ? RECIPE : (dish.marinade ?? "")}
        onChange={(event) => choose(event.target.value)}
        className="rounded-sm border border-edge bg-sheet px-1 py-0.5"
      >
        {own && (
          <option value={RECIPE}>
            {say("schedule-marinade-of-the-recipe", {
              time_s: spanOfMinutes(own),
            })}
          </option>
        )}
        <option value="">{say("schedule-none")}</option>
        {namesOf(MARINADE_WORDS).map(({ value, name }) => (
          <option key={value} value={value}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}
