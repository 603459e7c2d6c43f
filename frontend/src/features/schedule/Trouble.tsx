import type { DayIn, DayOut, WayOut } from "@/api/client";
import { useWaysOut } from "@/api/schedule";
import type { DayDraft } from "@/lib/day";
import { spokenTime } from "@/lib/format";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { useSettled } from "@/ui/useSettled";

interface Props {
  day: DayOut;
  draft: DayDraft;
  asked: DayIn;
  onChange: (part: Partial<DayDraft>) => void;
}

/** As long as a hand rests between two drags. */
const REST_MS = 400;

type DishOfDay = DayDraft["dishes"][number];

/** A dish as a way out has it. */
function changed(dish: DishOfDay, way: WayOut): DishOfDay {
  const { plan } = dish;
  if (way.kind === "parted") return { ...dish, parted: true };
  if (way.kind === "ahead") return { ...dish, ahead: "day_before" };
  if (way.kind === "pot") return { ...dish, plan: { ...plan, pot: way.value, liquid: null } };
  if (way.kind === "release") return { ...dish, plan: { ...plan, release: "quick" } };
  const pieces = plan.pieces.map((piece) => ({
    ...piece,
    count: 2 * piece.count,
    thickness: way.value,
  }));
  return { ...dish, plan: { ...plan, pieces, liquid: null } };
}

/** What of a day a way out changes. */
function taken(draft: DayDraft, way: WayOut): Partial<DayDraft> {
  if (way.kind === "hands") return { cooks: Number(way.value) };
  if (way.kind === "unpinned") {
    const others = Object.entries(draft.pinned).filter(
      ([block]) => !block.startsWith(`${way.dish_id}:`),
    );
    return { pinned: Object.fromEntries(others) };
  }
  const dishes = draft.dishes.map((dish) =>
    dish.dish_id === way.dish_id ? changed(dish, way) : dish,
  );
  return { dishes };
}

/** What clashes, in words, and the best ways out of it. */
export function Trouble({ day, draft, asked, onChange }: Props) {
  const troubled = day.clashes.length > 0 || day.delay_s > 0;
  const settled = useSettled(troubled ? asked : null, REST_MS);
  const ways = useWaysOut(settled).data?.ways ?? [];
  if (!troubled) return null;
  const take = (way: WayOut) => onChange(taken(draft, way));
  return (
    <section aria-label={say("schedule-conflicts")} className="mt-1 text-[0.875rem]">
      {!day.safe && (
        <p role="alert" className="border-care border-l-4 bg-care-wash px-2 py-1 font-bold">
          {say("schedule-unsafe")}
        </p>
      )}
      <ul>
        {day.clashes.slice(0, 6).map((clash) => (
          <li
            key={`${clash.block_id} ${clash.why}`}
            className="border-care border-l-4 bg-care-wash px-2 py-0.5 font-medium"
          >
            {say("schedule-too-long", {
              dish: clash.dish,
              max: spokenTime(Math.max(clash.over_s / 60, 1)),
              why: clash.why,
            })}
          </li>
        ))}
      </ul>
      {!day.proved && <p className="mt-1 text-pencil">{say("schedule-not-proved")}</p>}
      {ways.length > 0 && (
        <p className="mt-1 flex flex-wrap items-center gap-2 print:hidden">
          {say("schedule-ways-to-fix-it")}
          {ways.map((way) => (
            <Button key={`${way.dish_id} ${way.kind} ${way.value}`} onClick={() => take(way)}>
              {way.words}
            </Button>
          ))}
        </p>
      )}
    </section>
  );
}
