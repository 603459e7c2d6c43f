import { useId, useState } from "react";
import { Link, useLocation } from "wouter";
import type { RecipeCard } from "@/api/client";
import { type Begin, useBegin } from "@/api/cooks";
import { useCatalogue, useHousehold } from "@/api/queries";
import { letter } from "@/drawing/LaneChart";
import { MarinadeChoice } from "@/features/schedule/MarinadeChoice";
import type { DayDraft } from "@/lib/day";
import { smallVolume, spanOfMinutes } from "@/lib/format";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { Checkbox } from "@/ui/Checkbox";

type DishOfDay = DayDraft["dishes"][number];

interface Props {
  dish: DishOfDay;
  index: number;
  wrong: boolean;
  /** What it is cooked from, when it came from a recipe. */
  recipe: RecipeCard | undefined;
  /** The cook beside the pot, once it was begun. */
  cookId: string | undefined;
  onCook: (cookId: string) => void;
  onChange: (part: Partial<DishOfDay>) => void;
  onRemove: () => void;
}

/** One dish of the day, and how it comes to the table. */
export function DishRow(props: Props) {
  const { dish, index, wrong, recipe, cookId, onCook, onChange, onRemove } = props;
  const { data: catalogue } = useCatalogue();
  const own = dish.plan.pieces.map((piece) => piece.cut);
  const cuts = catalogue?.cuts.filter((cut) => own.includes(cut.id));
  return (
    <li className="flex flex-wrap items-center gap-x-5 gap-y-1 border-rule border-b py-1.5">
      <span className="font-bold font-dial">{letter(index)}</span>
      <span data-typed className="font-semibold">
        {dish.title}
      </span>
      {wrong && <span className="text-care">{say("schedule-this-one")}</span>}
      <span className="ml-auto flex items-center gap-2 print:hidden">
        <CookIt dish={dish} recipe={recipe} cookId={cookId} onCook={onCook} />
        <Button
          className="text-[0.875rem] print:hidden"
          aria-label={say("schedule-remove-2", { title: dish.title })}
          onClick={onRemove}
        >
          {say("schedule-remove")}
        </Button>
      </span>
      <span className="flex basis-full flex-wrap items-center gap-x-4 gap-y-1 text-[0.875rem] print:hidden">
        <Checkbox
          label={say("schedule-from-the-freezer")}
          on={dish.from_freezer}
          onChange={(on) => onChange({ from_freezer: on })}
        />
        <label className="flex items-center gap-1">
          {say("schedule-cooked")}
          <select
            value={dish.ahead}
            onChange={(event) => onChange({ ahead: event.target.value as DishOfDay["ahead"] })}
            className="rounded-sm border border-edge bg-sheet px-1 py-0.5"
          >
            <option value="today">{say("schedule-on-the-day")}</option>
            <option value="day_before">{say("schedule-the-day-before-chilled")}</option>
            <option value="frozen">{say("schedule-days-before-frozen")}</option>
          </select>
        </label>
        <label className="flex items-center gap-1">
          {say("schedule-juice")}
          <select
            value={dish.sauce}
            onChange={(event) => onChange({ sauce: event.target.value as DishOfDay["sauce"] })}
            className="rounded-sm border border-edge bg-sheet px-1 py-0.5"
          >
            {sauces().map(({ value, name }) => (
              <option key={value} value={value}>
                {name}
              </option>
            ))}
          </select>
        </label>
        {dish.sauce === "volume" && (
          <SauceLeft value={dish.sauce_ml} onChange={(sauce_ml) => onChange({ sauce_ml })} />
        )}
        <Checkbox
          label={
            dish.rub_min
              ? say("schedule-rub-on", { time_s: spanOfMinutes(dish.rub_min) })
              : say("schedule-rub-on-overnight")
          }
          on={dish.rubbed ?? false}
          onChange={(on) => onChange({ rubbed: on })}
        />
        {cuts?.some((cut) => cut.has_rind) && (
          <Checkbox
            label={say("schedule-crackling")}
            on={dish.crackling ?? false}
            onChange={(on) => onChange({ crackling: on })}
          />
        )}
        <MarinadeChoice dish={dish} onChange={onChange} />
        {dish.plan.pieces.some(
          (piece) => piece.cut === "brisket_whole" && piece.cutting !== "parted",
        ) && (
          <Checkbox
            label={say("schedule-separate-flat-and-point")}
            on={dish.parted ?? false}
            onChange={(on) => onChange({ parted: on })}
          />
        )}
        {cuts?.some((cut) => cut.has_fat_cap) && (
          <FatLeft value={dish.fat_mm} onChange={(fat_mm) => onChange({ fat_mm })} />
        )}
        <Count
          label={say("schedule-sear-min-a-batch")}
          value={dish.sear_min}
          unset={say("schedule-usual")}
          most={60}
          onChange={(sear_min) =>
            onChange(sear_min ? { sear_min } : { sear_min, sear_batches: null })
          }
        />
        {!!dish.sear_min && (
          <Count
            label={say("schedule-batches")}
            value={dish.sear_batches}
            unset={say("schedule-usual")}
            most={12}
            onChange={(sear_batches) => onChange({ sear_batches: sear_batches || null })}
          />
        )}
        <Count
          label={say("schedule-people-at-the-table")}
          value={dish.eaters}
          unset={say("schedule-all")}
          most={200}
          onChange={(eaters) => onChange({ eaters })}
        />
        <label className="flex items-center gap-1">
          {say("schedule-what-is-left")}
          <select
            value={dish.leftovers ?? "chill"}
            onChange={(event) =>
              onChange({ leftovers: event.target.value as DishOfDay["leftovers"] })
            }
            className="rounded-sm border border-edge bg-sheet px-1 py-0.5"
          >
            <option value="chill">{say("schedule-into-the-refrigerator")}</option>
            <option value="freeze">{say("schedule-frozen-in-portions")}</option>
          </select>
        </label>
        <AddExtra dish={dish} onChange={onChange} />
      </span>
      <Extras dish={dish} onChange={onChange} />
    </li>
  );
}

interface CountProps {
  label: string;
  value: number | null | undefined;
  /** What stands there while nothing is typed. */
  unset: string;
  most: number;
  onChange: (value: number | null) => void;
}

/** A whole number, or nothing. */
function Count({ label, value, unset, most, onChange }: CountProps) {
  const id = useId();
  return (
    <label htmlFor={id} className="flex items-center gap-1">
      {label}
      <input
        id={id}
        inputMode="numeric"
        value={value ?? ""}
        placeholder={unset}
        onChange={(event) => {
          const digits = event.target.value.replace(/\D/g, "").slice(0, 4);
          onChange(digits ? Math.min(Number(digits), most) : null);
        }}
        className="w-14 rounded-sm border border-edge bg-sheet px-1 py-0.5 placeholder:text-pencil"
      />
    </label>
  );
}

/** Beside the pot with it; what is done there is done on the day. */
type CookProps = Pick<Props, "dish" | "recipe" | "cookId" | "onCook">;

function CookIt({ dish, recipe, cookId, onCook }: CookProps) {
  const begin = useBegin();
  const [, navigate] = useLocation();
  if (cookId) {
    return (
      <Link href={`/cook?cook=${cookId}`} className="underline">
        {say("schedule-cooking-now")}
      </Link>
    );
  }
  return (
    <Button
      className="text-[0.875rem]"
      aria-label={say("schedule-cook-now", { title: dish.title })}
      disabled={begin.isPending}
      onClick={() =>
        begin.mutate(
          {
            name: dish.title,
            plan: dish.parted ? partedPlan(dish.plan) : dish.plan,
            connected: false,
            recipe: recipe ?? null,
            ...broughtBy(dish),
          },
          {
            onSuccess: (cook) => {
              onCook(cook.id);
              navigate(`/cook?cook=${cook.id}`);
            },
          },
        )
      }
    >
      {say("schedule-start-cooking")}
    </Button>
  );
}

/** Millimeters of fat that are left: eighths of an inch, as cooks measure it. */
const FAT_LEFT = [0, 3, 6, 10, 13];

interface FatLeftProps {
  value: number | null | undefined;
  onChange: (value: number | null) => void;
}

/** To how much the fat cap is trimmed; usually as it comes. */
function FatLeft({ value, onChange }: FatLeftProps) {
  const units = useHousehold().data?.units ?? "metric";
  return (
    <label className="flex items-center gap-1">
      {say("schedule-fat-cap")}
      <select
        value={value ?? ""}
        onChange={(event) => onChange(event.target.value ? Number(event.target.value) : null)}
        className="rounded-sm border border-edge bg-sheet px-1 py-0.5"
      >
        <option value="">{say("schedule-as-it-is")}</option>
        {FAT_LEFT.map((millimeters) => (
          <option key={millimeters} value={millimeters}>
            {say("schedule-fat-left", { units, mm: String(millimeters) })}
          </option>
        ))}
      </select>
    </label>
  );
}

/** Milliliters of sauce that are left: cups and their parts, as cooks measure it. */
const SAUCE_LEFT = [60, 120, 180, 240, 360, 480, 720, 960];
const USUAL_SAUCE_ML = 240;

interface SauceLeftProps {
  value: number | null | undefined;
  onChange: (milliliters: number) => void;
}

interface SauceLeftProps {
  value: number | null | undefined;
  onChange: (milliliters: number) => void;
}

/** To how much the juice is reduced. */
function SauceLeft({ value, onChange }: SauceLeftProps) {
  const units = useHousehold().data?.units ?? "metric";
  return (
    <label className="flex items-center gap-1">
      {say("schedule-sauce-left")}
      <select
        value={value ?? USUAL_SAUCE_ML}
        onChange={(event) => onChange(Number(event.target.value))}
        className="rounded-sm border border-edge bg-sheet px-1 py-0.5"
      >
        {SAUCE_LEFT.map((milliliters) => (
          <option key={milliliters} value={milliliters}>
            {smallVolume([milliliters / 1e6], units)}
          </option>
        ))}
      </select>
    </label>
  );
}

const BROUGHT = [
  "extras",
  "sauce",
  "sauce_ml",
  "ahead",
  "from_freezer",
  "rubbed",
  "rub_min",
  "crackling",
  "pulled_first",
  "marinade",
  "marinate_min",
  "fat_mm",
  "sear_min",
  "sear_batches",
  "eaters",
  "leftovers",
] as const;

/** What the day adds to the steps of the cook; what it does not say stays as usual. */
function broughtBy(dish: DishOfDay): Pick<Begin, (typeof BROUGHT)[number]> {
  return Object.fromEntries(
    BROUGHT.filter((name) => dish[name] !== undefined).map((name) => [name, dish[name]]),
  );
}

/** A whole brisket as the knife of Plan parts it. */
function partedPlan(plan: DishOfDay["plan"]): DishOfDay["plan"] {
  const pieces = plan.pieces.map((piece) =>
    piece.cut === "brisket_whole" ? { ...piece, cutting: "parted" as const } : piece,
  );
  return { ...plan, pieces };
}

const sauces = () => [
  { value: "half", name: say("schedule-reduced-to-half") },
  { value: "glaze", name: say("schedule-reduced-to-a-glaze") },
  { value: "volume", name: say("schedule-reduced-to-a-volume") },
  { value: "thick", name: say("schedule-thickened") },
  { value: "none", name: say("schedule-not-used") },
];

const whenWords = (): Record<NonNullable<DishOfDay["extras"]>[number]["when"], string> => ({
  before_rub: say("schedule-before-it-is-seasoned"),
  before_pot: say("schedule-before-the-cooker"),
  first_run: say("schedule-cook-first"),
  beside: say("schedule-to-serve"),
  own_run: say("schedule-cook-separately"),
  at_end: say("schedule-at-the-end"),
  at_table: say("schedule-at-the-table"),
});

const MOST_EXTRAS = 12;
const OWN_MINUTES = 5;

/** A step of the cook's own: what, how long, and when. */
function AddExtra({ dish, onChange }: Pick<Props, "dish" | "onChange">) {
  const [title, setTitle] = useState("");
  const [minutes, setMinutes] = useState<number | null>(null);
  const [when, setWhen] = useState<"before_rub" | "before_pot" | "beside" | "at_end">("at_end");
  const extras = dish.extras ?? [];
  const known = extras.some((extra) => extra.title === title.trim() && extra.when === when);
  const words = whenWords();
  const add = () => {
    const extra = { title: title.trim(), minutes: Math.max(minutes ?? OWN_MINUTES, 1), when };
    onChange({ extras: [...extras, extra] });
    setTitle("");
    setMinutes(null);
  };
  return (
    <details className="text-[0.875rem] open:basis-full print:hidden">
      <summary className="min-h-6 cursor-pointer underline">{say("schedule-own-step")}</summary>
      <form
        className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1"
        onSubmit={(event) => {
          event.preventDefault();
          if (title.trim() && !known && extras.length < MOST_EXTRAS) add();
        }}
      >
        <input
          aria-label={say("schedule-a-step-of-your-own", { title: dish.title })}
          placeholder={say("schedule-own-step-such-as")}
          value={title}
          maxLength={120}
          onChange={(event) => setTitle(event.target.value)}
          className="w-72 max-w-full rounded-sm border border-edge bg-sheet px-1 py-0.5 placeholder:text-pencil"
        />
        <Count
          label={say("schedule-minutes")}
          value={minutes}
          unset={String(OWN_MINUTES)}
          most={600}
          onChange={setMinutes}
        />
        <select
          aria-label={say("schedule-when")}
          value={when}
          onChange={(event) => setWhen(event.target.value as typeof when)}
          className="rounded-sm border border-edge bg-sheet px-1 py-0.5"
        >
          <option value="before_rub">{words.before_rub}</option>
          <option value="before_pot">{words.before_pot}</option>
          <option value="beside">{say("schedule-while-it-cooks")}</option>
          <option value="at_end">{words.at_end}</option>
        </select>
        <Button
          type="submit"
          className="text-[0.875rem]"
          disabled={!title.trim() || known || extras.length >= MOST_EXTRAS}
        >
          {say("schedule-add-this-step")}
        </Button>
      </form>
    </details>
  );
}

/** What the recipe wants besides the meat; what is not wanted is taken off. */
function Extras({ dish, onChange }: Pick<Props, "dish" | "onChange">) {
  const extras = dish.extras ?? [];
  if (extras.length === 0) return null;
  return (
    <ul
      aria-label={say("schedule-also-for", { title: dish.title })}
      className="basis-full pl-5 text-[0.875rem]"
    >
      {extras.map((extra) => (
        <li key={`${extra.when} ${extra.title}`} className="flex flex-wrap items-center gap-2">
          <span>
            {say("schedule-min", {
              title: extra.title,
              round: Math.round(extra.minutes),
              when: whenWords()[extra.when],
            })}
          </span>
          <button
            type="button"
            className="min-h-6 underline print:hidden"
            aria-label={say("schedule-leave-out-2", { title: extra.title })}
            onClick={() => onChange({ extras: extras.filter((item) => item !== extra) })}
          >
            {say("schedule-leave-out")}
          </button>
        </li>
      ))}
    </ul>
  );
}
