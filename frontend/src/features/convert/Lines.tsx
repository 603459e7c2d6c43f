import type { ConvertedOut, RecipeText } from "@/api/client";
import { numbered } from "@/features/convert/draft";
import { MarkNote, type MarkProps, MarkWord } from "@/features/convert/MarkNote";

interface Props extends MarkProps {
  recipe: RecipeText;
  converted: ConvertedOut;
}

/** Ingredients side by side: as they were, what the pencil did, as they are now. */
export function Lines({ recipe, converted, ...marks }: Props) {
  const markOf = (index: number) =>
    converted.marks.find((mark) => mark.where === "ingredient" && mark.index === index);
  const linesOf = (index: number | null) => converted.lines.filter((line) => line.origin === index);
  const headings = new Map((recipe.parts ?? []).map((part) => [part.lines[0], part.name]));
  const added = converted.marks.filter(
    (mark) => mark.where === "ingredient" && mark.index === null,
  );
  return (
    <section aria-labelledby="lines-title" className="mt-3">
      <h2 id="lines-title" className="font-semibold text-[1.125rem]">
        Ingredients
      </h2>
      <ul className="mt-1" aria-label="ingredients with their marks">
        {numbered(recipe.ingredients).map(({ key, text, index }) => {
          const mark = markOf(index);
          const gone = mark && mark.does !== "kept" && !mark.overruled;
          const unread = converted.understood.unread.includes(index);
          const heading = headings.get(index);
          return (
            <li key={key} className={ROW}>
              {heading && (
                <span className="pt-1 font-semibold sm:col-span-3 print:hidden">{heading}</span>
              )}
              <span className={`print:hidden ${gone ? "text-pencil line-through" : ""}`}>
                {text}
                {unread && <span className="ml-1 font-semibold text-care no-underline">?</span>}
              </span>
              <span className="print:hidden">{mark && <MarkWord mark={mark} {...marks} />}</span>
              <NewLines lines={linesOf(index)} />
              {mark && (
                <div className="sm:col-span-3 print:hidden">
                  <MarkNote mark={mark} {...marks} />
                </div>
              )}
            </li>
          );
        })}
        {added.map((mark) => (
          <li key={mark.mark_id} className={ROW}>
            <span className="text-pencil print:hidden">–</span>
            <span className="print:hidden">
              <MarkWord mark={mark} {...marks} />
            </span>
            <NewLines lines={linesOf(null)} />
            <div className="sm:col-span-3 print:hidden">
              <MarkNote mark={mark} {...marks} />
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

const ROW =
  "grid items-baseline gap-x-4 border-rule border-b py-1 sm:grid-cols-[minmax(0,1fr)_7.5rem_minmax(0,1fr)]";

function NewLines({ lines }: { lines: ConvertedOut["lines"] }) {
  if (lines.length === 0) return <span className="text-pencil">–</span>;
  return (
    <span className="flex flex-col">
      {lines.map((line) => (
        <span key={`${line.when} ${line.text}`}>
          {line.text} <span className="whitespace-nowrap text-pencil">{WHEN_WORDS[line.when]}</span>
        </span>
      ))}
    </span>
  );
}

const WHEN_WORDS: Record<ConvertedOut["lines"][number]["when"], string> = {
  cure: "cure or brine",
  season: "to season",
  sear: "first",
  pot: "in the cooker",
  top: "on top, last",
  own_run: "cook separately",
  after: "after pressure",
  finish: "with the finish",
  beside: "to serve",
};
