import { useEffect, useState } from "react";
import { useLocation, useSearch } from "wouter";
import { useHousehold, usePots } from "@/api/queries";
import { useStoredRecipe } from "@/api/recipes";
import { type Draft, keepDraft, keptDraft } from "@/features/convert/draft";
import { Intake } from "@/features/convert/Intake";
import { Library } from "@/features/convert/Library";
import { Worksheet } from "@/features/convert/Worksheet";
import { say } from "@/text/say";

/** What is being worked on under this address; a draft outlives a reload. */
function draftFor(id: string | null, worked: Draft | null): Draft | null {
  const wanted = id === "draft" ? null : id;
  return [worked, keptDraft()].find((draft) => draft && draft.id === wanted) ?? null;
}

/** What becomes of my recipe? The library and the paste, or one recipe on its worksheet. */
export function ConvertView() {
  const id = new URLSearchParams(useSearch()).get("recipe");
  const [, navigate] = useLocation();
  const pots = usePots();
  const household = useHousehold();
  const stored = useStoredRecipe(id === "draft" ? null : id);
  const [worked, setDraft] = useState<Draft | null>(null);
  const draft = draftFor(id, worked);
  const firstPot = pots.data?.pots[0]?.id ?? "";

  useEffect(() => {
    const found = stored.data;
    if (found && id === found.id && draft === null) {
      const { title, tags, original, format, recipe, answers, choices } = found;
      setDraft({
        id: found.id,
        version: found.version,
        original,
        format,
        recipe: { ...recipe, title },
        answers,
        choices,
        tags,
        pot: firstPot,
      });
    }
  }, [stored.data, id, draft, firstPot]);

  const change = (next: Draft) => {
    setDraft(next);
    keepDraft(next);
  };
  const open = (next: Draft) => {
    change(next);
    navigate("/convert?recipe=draft");
  };
  if (id === null) {
    return (
      <div className="mx-auto max-w-5xl px-4 py-5">
        <h1 className="font-bold text-[1.5rem]">{say("convert-convert")}</h1>
        <p className="mb-4 max-w-prose">{say("convert-paste-a-recipe-for-a-smoker")}</p>
        <div className="grid gap-8 lg:grid-cols-2">
          <Intake pot={firstPot} onOpen={open} />
          <Library draft={keptDraft()} />
        </div>
      </div>
    );
  }
  if (stored.isError) {
    return (
      <p className="p-6" role="alert">
        <strong>{say("convert-this-recipe-is-not-here")}</strong>{" "}
        {say("convert-it-may-have-been-deleted")}{" "}
        <a href="/convert" className="underline">
          {say("convert-back-to-your-recipes")}
        </a>
      </p>
    );
  }
  if (!draft || !household.data || !firstPot) {
    return <p className="p-6 text-pencil">{say("convert-loading-the-recipe")}</p>;
  }
  const here = draft.pot ? draft : { ...draft, pot: firstPot };
  return (
    <Worksheet
      draft={here}
      pots={pots.data?.pots ?? []}
      units={household.data.units}
      onChange={change}
    />
  );
}
