import type { CookOut } from "@/api/client";
import { say } from "@/text/say";

/** The recipe it is cooked from, folded away until it is wanted. */
export function RecipeAside({ cook }: { cook: Pick<CookOut, "recipe"> }) {
  const { recipe } = cook;
  if (!recipe) return null;
  return (
    <details className="mt-3 border-rule border-t pt-1">
      <summary className="min-h-8 cursor-pointer font-semibold">
        {say("shared-the-recipe", { title: recipe.title })}
      </summary>
      <ul aria-label={say("shared-ingredients")} className="mt-1 list-disc pl-5 text-[0.875rem]">
        {recipe.ingredients.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <ol
        aria-label={say("shared-steps-of-the-recipe")}
        className="mt-1 list-decimal pl-5 text-[0.875rem]"
      >
        {recipe.steps.map((step) => (
          <li key={step.text}>{step.text}</li>
        ))}
      </ol>
    </details>
  );
}
