import { useId, useState } from "react";
import { useLocation } from "wouter";
import { isStale, troubleOf } from "@/api/client";
import { useKeepRecipe, useStoredRecipe } from "@/api/recipes";
import type { Draft } from "@/features/convert/draft";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { ChangedElsewhere } from "@/ui/ChangedElsewhere";

interface Props {
  draft: Draft;
  onChange: (draft: Draft) => void;
}

/** Tags, and into the library with it; its original goes along. */
export function KeepForm({ draft, onChange }: Props) {
  const id = useId();
  const keep = useKeepRecipe();
  const [, navigate] = useLocation();
  const [tags, setTags] = useState(draft.tags.join(", "));
  const words = tags
    .split(",")
    .map((word) => word.trim().toLowerCase())
    .filter(Boolean)
    .slice(0, 12);
  const there = useStoredRecipe(draft.id);
  const save = (seen = draft.version ?? null) => {
    const { recipe, original, format, answers, choices } = draft;
    const body = { title: recipe.title, tags: words, original, format, recipe, answers, choices };
    keep.mutate(
      { id: draft.id, seen, body },
      {
        onSuccess: (kept) => {
          onChange({ ...draft, id: kept.id, version: kept.version, tags: kept.tags });
          navigate(`/convert?recipe=${kept.id}`, { replace: true });
        },
      },
    );
  };
  const trouble = keep.error ? troubleOf(keep.error) : null;
  return (
    <div className="flex flex-wrap items-center gap-2 text-[0.875rem] print:hidden">
      <label htmlFor={id} className="text-pencil">
        {say("convert-tags")}
      </label>
      <input
        id={id}
        value={tags}
        placeholder={say("convert-rehearsal-oven")}
        maxLength={200}
        autoComplete="off"
        onChange={(event) => setTags(event.target.value)}
        className="w-44 rounded-sm border border-edge bg-sheet px-2 py-0.5 placeholder:text-pencil"
      />
      <Button onClick={() => save()} disabled={keep.isPending}>
        {draft.id ? say("convert-save-changes") : say("convert-save-recipe")}
      </Button>
      {keep.isSuccess && (
        <span role="status" className="text-safe">
          {say("convert-saved")}
        </span>
      )}
      {isStale(keep.error) && there.data && (
        <ChangedElsewhere
          what={say("convert-this-recipe")}
          busy={keep.isPending}
          onMine={() => save(null)}
          onTheirs={() => {
            const found = there.data;
            if (!found) return;
            const { id, version, original, format, answers, choices, tags: words } = found;
            const recipe = { ...found.recipe, title: found.title };
            onChange({
              ...draft,
              id,
              version,
              original,
              format,
              recipe,
              answers,
              choices,
              tags: words,
            });
            setTags(words.join(", "));
            keep.reset();
          }}
        />
      )}
      {trouble && !isStale(keep.error) && (
        <span role="alert" className="border-care border-l-4 pl-2">
          <strong>{trouble.message}</strong> {trouble.hint}
        </span>
      )}
    </div>
  );
}
