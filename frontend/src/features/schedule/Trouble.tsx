import type { DayFix, DayIn, DayOut } from "@/api/client";
import { useDayFixes } from "@/api/schedule";
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

/** A dish as a fix has it. */
function changed(dish: DishOfDay, fix: DayFix): DishOfDay {
  const { plan } = dish;
  if (fix.kind === "parted") return { ...dish, parted: true };
  if (fix.kind === "ahead") return { ...dish, ahead: "day_before" };
  if (fix.kind === "pot") return { ...dish, plan: { ...plan, pot: fix.value, liquid: null } };
  if (fix.kind === "release") return { ...dish, plan: { ...plan, release: "quick" } };
  const pieces = plan.pieces.map((piece) => ({
    ...piece,
    count: 2 * piece.count,
    thickness: fix.value,
  }));
  return { ...dish, plan: { ...plan, pieces, liquid: null } };
}

/** What of a day a fix changes. */
function taken(draft: DayDraft, fix: DayFix): Partial<DayDraft> {
  if (fix.kind === "hands") return { cooks: Number(fix.value) };
  if (fix.kind === "unpinned") {
    const others = Object.entries(draft.pinned).filter(
      ([block]) => !block.startsWith(`${fix.dish_id}:`),
    );
    return { pinned: Object.fromEntries(others) };
  }
  const dishes = draft.dishes.map((dish) =>
    dish.dish_id === fix.dish_id ? changed(dish, fix) : dish,
  );
  return { dishes };
}

/** What clashes, in words, and the best ways to fix it. */
export function Trouble({ day, draft, asked, onChange }: Props) {
  const troubled = day.clashes.length > 0 || day.delay_s > 0;
  const settled = useSettled(troubled ? asked : null, REST_MS);
  const fixes = useDayFixes(settled).data?.fixes ?? [];
  if (!troubled) return null;
  const take = (fix: DayFix) => onChange(taken(draft, fix));
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
      {fixes.length > 0 && (
        <p className="mt-1 flex flex-wrap items-center gap-2 print:hidden">
          {say("schedule-ways-to-fix-it")}
          {fixes.map((fix) => (
            <Button key={`${fix.dish_id} ${fix.kind} ${fix.value}`} onClick={() => take(fix)}>
              {fix.words}
            </Button>
          ))}
        </p>
      )}
    </section>
  );
}
