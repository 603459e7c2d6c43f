import type { ConvertedOut, RecipeText } from "@/api/client";
import { numbered } from "@/features/convert/draft";
import { MarkNote, type MarkProps, MarkWord } from "@/features/convert/MarkNote";
import { spanText } from "@/lib/format";
import { say } from "@/text/say";

interface Props extends MarkProps {
  recipe: RecipeText;
  converted: ConvertedOut;
}

/** The steps as they were with their marks, and the steps for the pot in the order of work. */
export function Steps({ recipe, converted, ...marks }: Props) {
  const ofSteps = converted.marks.filter((mark) => mark.where === "step");
  const added = ofSteps.filter((mark) => mark.index === null);
  return (
    <div className="mt-4 grid gap-x-8 gap-y-4 lg:grid-cols-2">
      <section
        aria-labelledby="old-steps"
        className="max-lg:group-data-[side=new]/sheet:hidden print:hidden"
      >
        <h2 id="old-steps" className="font-semibold text-[1.125rem]">
          {say("convert-original-steps")}
        </h2>
        <ol className="mt-1">
          {numbered(recipe.steps).map(({ key, text, index }) => {
            const mark = ofSteps.find((item) => item.index === index);
            return (
              <li key={key} className="border-rule border-b py-1">
                <span data-typed className={isGone(mark) ? "text-pencil line-through" : ""}>
                  {text}
                </span>{" "}
                {mark && (
                  <>
                    <MarkWord mark={mark} {...marks} />
                    <ToStep mark={mark} />
                    <MarkNote mark={mark} {...marks} />
                  </>
                )}
              </li>
            );
          })}
          {added.map((mark) => (
            <li key={mark.mark_id} className="border-rule border-b py-1">
              – <MarkWord mark={mark} {...marks} />
              <ToStep mark={mark} />
              <MarkNote mark={mark} {...marks} />
            </li>
          ))}
        </ol>
      </section>
      <section
        aria-labelledby="new-steps"
        className="max-lg:group-data-[side=old]/sheet:hidden lg:sticky lg:top-2 lg:max-h-[calc(100vh-1rem)] lg:self-start lg:overflow-y-auto print:max-h-none"
      >
        <h2 id="new-steps" className="font-semibold text-[1.125rem]">
          {say("convert-steps-for-the-pressure-cooker")}
        </h2>
        <ol
          className="mt-1 list-decimal pl-6"
          aria-label={say("convert-steps-for-the-pressure-cooker-2")}
        >
          {converted.steps.map((step, index) => (
            <li
              key={step.text}
              id={`new-step-${index + 1}`}
              className="border-rule border-b py-1 target:bg-care-wash"
            >
              {step.text}{" "}
              {step.low_min !== null && step.high_min !== null && (
                <span className="whitespace-nowrap text-pencil">
                  {timeOf(step.kind, step.low_min, step.high_min)}
                </span>
              )}
            </li>
          ))}
        </ol>
      </section>
    </div>
  );
}

/** Where it stands now. */
function ToStep({ mark }: { mark: ConvertedOut["marks"][number] }) {
  if (mark.step === null || mark.overruled) return null;
  return (
    <a href={`#new-step-${mark.step}`} className="ml-1 text-pencil underline">
      {say("convert-to-step", { step: mark.step })}
    </a>
  );
}

function isGone(mark: ConvertedOut["marks"][number] | undefined): boolean {
  return mark?.does === "struck" && !mark.overruled;
}

/** Marinating is told in hours when it is long; a cook time is always minutes. */
const LONG_MIN = 180;

function timeOf(kind: string, low: number, high: number): string {
  const [from, to] = [Math.round(low), Math.round(high)];
  if (to >= LONG_MIN && (from !== to || kind === "marinate")) {
    return spanText([60 * from, 60 * to]);
  }
  return from === to ? say("convert-min", { from }) : say("convert-min-2", { from, to });
}
