import { useDeferredValue, useId, useState } from "react";
import { Link } from "wouter";
import { useDeleteRecipe, useLibrary } from "@/api/recipes";
import type { Draft } from "@/features/convert/draft";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { Toast } from "@/ui/Toast";

/** Recipes that were kept: find them by words or by a tag. */
export function Library({ draft }: { draft: Draft | null }) {
  const id = useId();
  const [search, setSearch] = useState("");
  const [tag, setTag] = useState("");
  const [gone, setGone] = useState<{ id: string; title: string } | null>(null);
  const library = useLibrary(useDeferredValue(search), tag);
  const change = useDeleteRecipe();
  const found = library.data?.recipes ?? [];
  return (
    <section aria-labelledby={`${id}-title`}>
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 id={`${id}-title`} className="font-semibold text-[1.125rem]">
          {say("convert-your-recipes")}
        </h2>
        <div>
          <label htmlFor={id} className="mr-2 text-pencil">
            {say("convert-find")}
          </label>
          <input
            id={id}
            type="search"
            value={search}
            maxLength={120}
            autoComplete="off"
            onChange={(event) => setSearch(event.target.value)}
            className="w-40 rounded-sm border border-edge bg-sheet px-2 py-0.5"
          />
        </div>
      </div>
      {tag && (
        <p className="text-[0.875rem]">
          {say("convert-only", { tag })}{" "}
          <button type="button" className="underline" onClick={() => setTag("")}>
            {say("convert-show-all")}
          </button>
        </p>
      )}
      {draft && draft.id === null && (
        <p className="mt-1 border-edge border-l-4 pl-2 text-[0.875rem]">
          {say("convert-not-saved-yet")}{" "}
          <Link href="/convert?recipe=draft" className="underline">
            {draft.recipe.title}
          </Link>
        </p>
      )}
      {library.isError && (
        <p role="alert" className="border-care border-l-4 pl-2">
          <strong>{say("convert-the-app-does-not-answer")}</strong>{" "}
          {say("convert-start-it-again-your-recipes-are")}
        </p>
      )}
      {library.isPending && <p className="mt-1 text-pencil">{say("shared-loading")}</p>}
      {library.data && found.length === 0 && (
        <p className="mt-1 text-pencil">
          {search || tag
            ? say("convert-no-recipe-has-these-words")
            : say("convert-no-recipe-is-saved-yet")}
        </p>
      )}
      <ul className="mt-2 border-rule border-t" aria-label={say("convert-saved-recipes")}>
        {found.map((recipe) => (
          <li
            key={recipe.id}
            className="flex items-center justify-between gap-3 border-rule border-b py-1.5"
          >
            <div className="flex flex-wrap items-baseline gap-x-3">
              <Link href={`/convert?recipe=${recipe.id}`} className="font-semibold underline">
                {recipe.title}
              </Link>
              {recipe.tags.map((word) => (
                <button
                  key={word}
                  type="button"
                  onClick={() => setTag(word)}
                  className="min-h-6 text-[0.875rem] text-pencil underline decoration-dotted underline-offset-2"
                >
                  {word}
                </button>
              ))}
            </div>
            <Button
              className="text-[0.875rem]"
              aria-label={say("convert-delete-2", { title: recipe.title })}
              onClick={() =>
                change.mutate(
                  { id: recipe.id, restore: false },
                  { onSuccess: () => setGone({ id: recipe.id, title: recipe.title }) },
                )
              }
            >
              {say("convert-delete")}
            </Button>
          </li>
        ))}
      </ul>
      {gone && (
        <Toast
          text={say("convert-is-deleted", { title: gone.title })}
          action={{
            name: say("convert-undo"),
            run: () =>
              change.mutate({ id: gone.id, restore: true }, { onSuccess: () => setGone(null) }),
          }}
          onClose={() => setGone(null)}
        />
      )}
    </section>
  );
}
