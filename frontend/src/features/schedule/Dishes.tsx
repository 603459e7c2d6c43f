import { Link } from "wouter";
import type { Problem } from "@/api/client";
import { useSavedPlans, useTakePlan } from "@/api/plans";
import { DishRow } from "@/features/schedule/DishRow";
import { addDish, type DayDraft, loadScheduleDraft, MOST_DISHES } from "@/lib/day";
import { say } from "@/text/say";

interface Props {
  day: DayDraft;
  problem: Problem | null;
  onChange: (part: Partial<DayDraft>) => void;
}

/** What is cooked: saved plans, Plan or a recipe. */
export function Dishes({ day, problem, onChange }: Props) {
  const saved = useSavedPlans("");
  const take = useTakePlan();
  const add = (id: string) =>
    take.mutate(id, {
      onSuccess: ({ name, inputs }) => {
        addDish(name, inputs);
        onChange({ dishes: loadScheduleDraft().dishes });
      },
    });
  const change = (id: string, part: Partial<DayDraft["dishes"][number]>) =>
    onChange({
      dishes: day.dishes.map((dish) => (dish.dish_id === id ? { ...dish, ...part } : dish)),
    });
  return (
    <section aria-label={say("schedule-dishes")} className="mt-3">
      <ul className="border-rule border-t">
        {day.dishes.map((dish, index) => (
          <DishRow
            key={dish.dish_id}
            dish={dish}
            index={index}
            wrong={problem?.field?.startsWith(`dishes.${index}.`) ?? false}
            onChange={(part) => change(dish.dish_id, part)}
            recipe={day.recipes[dish.dish_id]}
            cookId={day.beside[dish.dish_id]}
            onCook={(cookId) => onChange({ beside: { ...day.beside, [dish.dish_id]: cookId } })}
            onRemove={() =>
              onChange({ dishes: day.dishes.filter((item) => item.dish_id !== dish.dish_id) })
            }
          />
        ))}
      </ul>
      <div className="mt-1 flex flex-wrap items-center gap-3 print:hidden">
        <label className="flex items-center gap-2">
          <span className="text-pencil">{say("schedule-add-a-saved-plan")}</span>
          <select
            value=""
            disabled={day.dishes.length >= MOST_DISHES}
            onChange={(event) => event.target.value && add(event.target.value)}
            className="max-w-64 rounded-sm border border-edge bg-sheet px-2 py-1"
          >
            <option value="">{say("schedule-choose")}</option>
            {(saved.data?.plans ?? []).map((plan) => (
              <option key={plan.id} value={plan.id}>
                {plan.name}
              </option>
            ))}
          </select>
        </label>
        {day.dishes.length === 0 && (
          <p className="text-pencil">
            {say("schedule-or-plan-one-in")}{" "}
            <Link href="/plan" className="underline">
              {say("schedule-plan")}
            </Link>{" "}
            {say("schedule-or-use-a")}{" "}
            <Link href="/convert" className="underline">
              {say("schedule-recipe")}
            </Link>
            .
          </p>
        )}
      </div>
    </section>
  );
}
