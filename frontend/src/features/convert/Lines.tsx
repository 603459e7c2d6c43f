import { useId } from "react";
import type { ConvertedOut, RecipeText } from "@/api/client";
import { numbered } from "@/features/convert/draft";
import { MarkNote, type MarkProps, MarkWord } from "@/features/convert/MarkNote";
import { Place, PlaceDoubt, type PlaceProps } from "@/features/convert/Place";
import { say } from "@/text/say";

interface Props extends MarkProps, PlaceProps {
  recipe: RecipeText;
  converted: ConvertedOut;
}

/** Ingredients side by side: as they were, what the pencil did, as they are now. */
export function Lines({ recipe, converted, placed, onPlace, ...marks }: Props) {
  const markOf = (index: number) =>
    converted.marks.find((mark) => mark.where === "ingredient" && mark.index === index);
  const linesOf = (index: number | null) => converted.lines.filter((line) => line.origin === index);
  const doubts = new Map(converted.doubts.map((doubt) => [doubt.index, doubt]));
  const headings = new Map((recipe.parts ?? []).map((part) => [part.lines[0], part.name]));
  const added = converted.marks.filter(
    (mark) => mark.where === "ingredient" && mark.index === null,
  );
  return (
    <section aria-labelledby="lines-title" className="mt-3">
      <h2 id="lines-title" className="font-semibold text-[1.125rem]">
        {say("convert-ingredients")}
      </h2>
      <ul className="mt-1" aria-label={say("convert-ingredients-with-their-marks")}>
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
              <span
                data-typed
                className={`${OLD} print:hidden ${gone ? "text-pencil line-through" : ""}`}
              >
                {text}
                {unread && <span className="ml-1 font-semibold text-care no-underline">?</span>}
              </span>
              <span className={`${OLD} print:hidden`}>
                {mark && <MarkWord mark={mark} {...marks} />}
              </span>
              <NewLines lines={linesOf(index)} placed={placed} onPlace={onPlace} />
              {doubts.has(index) && (
                <div className="sm:col-span-3 print:hidden">
                  <PlaceDoubt
                    doubt={doubts.get(index) as ConvertedOut["doubts"][number]}
                    onPlace={onPlace}
                  />
                </div>
              )}
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
            <span className={`${OLD} text-pencil print:hidden`}>–</span>
            <span className={`${OLD} print:hidden`}>
              <MarkWord mark={mark} {...marks} />
            </span>
            <NewLines lines={linesOf(null)} placed={placed} onPlace={onPlace} />
            <div className="sm:col-span-3 print:hidden">
              <MarkNote mark={mark} {...marks} />
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** On a phone one side is shown at a time, when the cook says so. */
const OLD = "max-lg:group-data-[side=new]/sheet:hidden";
const NEW = "max-lg:group-data-[side=old]/sheet:hidden";
const ROW =
  "grid items-baseline gap-x-4 border-rule border-b py-1 sm:grid-cols-[minmax(0,1fr)_7.5rem_minmax(0,1fr)]";

function NewLines({ lines, ...places }: PlaceProps & { lines: ConvertedOut["lines"] }) {
  const id = useId();
  if (lines.length === 0) return <span className={`${NEW} text-pencil`}>–</span>;
  return (
    <span className={`${NEW} flex flex-col`}>
      {lines.map((line, at) => (
        <span key={`${line.when} ${line.text}`}>
          <span data-typed id={`${id}-${at}`}>
            {line.text}
          </span>{" "}
          <Place line={line} named={`${id}-${at}`} {...places} />
        </span>
      ))}
    </span>
  );
}
