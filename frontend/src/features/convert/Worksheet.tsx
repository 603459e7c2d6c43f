import { useState } from "react";
import { Link } from "wouter";
import { type ConvertIn, type KeptPotOut, ProblemError } from "@/api/client";
import { useConverted } from "@/api/recipes";
import type { Draft } from "@/features/convert/draft";
import { KeepForm } from "@/features/convert/KeepForm";
import { Lines } from "@/features/convert/Lines";
import type { PlaceProps } from "@/features/convert/Place";
import { ReadingSheet } from "@/features/convert/ReadingSheet";
import { ReadPanel } from "@/features/convert/ReadPanel";
import { Result } from "@/features/convert/Result";
import { Steps } from "@/features/convert/Steps";
import type { Units } from "@/lib/format";
import { say } from "@/text/say";
import { Answered } from "@/ui/Answered";
import { Choice } from "@/ui/Choice";

interface Props {
  draft: Draft;
  pots: KeptPotOut[];
  units: Units;
  onChange: (draft: Draft) => void;
}

/** One recipe: as it was on the left, for the pot on the right, pencil marks between. */
export function Worksheet({ draft, pots, units, onChange }: Props) {
  const request: ConvertIn = {
    recipe: draft.recipe,
    pot: draft.pot,
    answers: draft.answers,
    choices: draft.choices,
  };
  const { data, error, isPlaceholderData } = useConverted(request);
  const problem = error instanceof ProblemError ? error.problem : null;
  const [open, setOpen] = useState<string | null>(null);
  const [side, setSide] = useState<Side>("both");
  const overrule = (mark: string, on: boolean) => {
    const now = draft.choices.overruled ?? [];
    const overruled = on ? [...now, mark] : now.filter((item) => item !== mark);
    onChange({ ...draft, choices: { ...draft.choices, overruled } });
  };
  const placed = draft.choices.placed ?? [];
  const place: PlaceProps["onPlace"] = (line, when) => {
    const others = placed.filter((item) => item.line !== line);
    const now = when === null ? others : [...others, { line, when }];
    onChange({ ...draft, choices: { ...draft.choices, placed: now } });
  };
  return (
    <div className="group/sheet mx-auto max-w-6xl px-4 py-3" data-side={side}>
      <p className="text-[0.875rem] print:hidden">
        <Link href="/convert" className="underline">
          {say("convert-all-recipes")}
        </Link>
      </p>
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h1 className="font-bold text-[1.5rem]">{draft.recipe.title}</h1>
        <KeepForm draft={draft} onChange={onChange} />
      </div>
      <Credit author={draft.recipe.author ?? ""} source={draft.recipe.source ?? ""} />
      <ReadingSheet
        key={`${draft.id} ${draft.original.length}`}
        draft={draft}
        onChange={onChange}
      />
      <ReadPanel
        draft={draft}
        pots={pots}
        understood={data?.understood}
        inDoubt={data?.doubts.length ?? 0}
        problem={problem}
        onChange={onChange}
      />
      {problem && !OWN.has(problem.field ?? "") && (
        <p role="alert" className="my-2 border-care border-l-4 pl-2">
          <strong>{problem.message}</strong> {problem.hint}
        </p>
      )}
      {data && (
        <Answered busy={isPlaceholderData} refused={problem !== null}>
          <Result converted={data} request={request} units={units} title={draft.recipe.title} />
          <div className="mt-3 lg:hidden print:hidden">
            <Choice
              label={say("convert-show")}
              value={side}
              options={sides()}
              onChange={(value) => setSide(value as Side)}
            />
          </div>
          <Lines
            recipe={draft.recipe}
            converted={data}
            placed={placed}
            onPlace={place}
            open={open}
            onOpen={setOpen}
            onOverrule={overrule}
          />
          <Steps
            recipe={draft.recipe}
            converted={data}
            open={open}
            onOpen={setOpen}
            onOverrule={overrule}
          />
        </Answered>
      )}
    </div>
  );
}

/** What a narrow page shows of it. */
type Side = "both" | "old" | "new";

const sides = () => [
  { value: "both", name: say("convert-both") },
  { value: "old", name: say("convert-as-it-was") },
  { value: "new", name: say("convert-converted") },
];

/** Fields that show their own trouble. */
const OWN = new Set(["mass", "thickness"]);

/** Who wrote the recipe, and where it stands. */
function Credit({ author, source }: { author: string; source: string }) {
  if (!author && !source) return null;
  return (
    <p className="break-words text-[0.875rem] text-pencil" data-testid="credit">
      {author && say("convert-by", { author })}
      {author && source && ", "}
      {source && say("convert-from", { source })}
    </p>
  );
}
