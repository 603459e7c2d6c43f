import { type DragEvent, useId, useState } from "react";
import { Link } from "wouter";
import { type ReadOut, troubleOf } from "@/api/client";
import { useReadRecipe } from "@/api/recipes";
import { corrected } from "@/features/convert/corrections";
import { type Draft, keepPaste, keptPaste, NO_ANSWERS, NO_CHOICES } from "@/features/convert/draft";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { FileField } from "@/ui/FileField";

interface Props {
  pot: string;
  onOpen: (draft: Draft) => void;
}

/** Paste a recipe, drop its file, or choose one. */
export function Intake({ pot, onOpen }: Props) {
  const id = useId();
  const [text, setText] = useState(keptPaste);
  const [over, setOver] = useState(false);
  const [twins, setTwins] = useState<{ read: ReadOut; original: string } | null>(null);
  const read = useReadRecipe();
  const open = (found: ReadOut, original: string) =>
    onOpen({
      id: null,
      original,
      format: found.format,
      recipe: corrected(found.recipe, original),
      doubts: found.doubts,
      remarks: found.remarks,
      answers: NO_ANSWERS,
      choices: NO_CHOICES,
      tags: [],
      pot,
    });
  const take = async (content: Blob, name: string) => {
    const original = await content.text();
    read.mutate(
      { content, name },
      {
        onSuccess: (found) => {
          keepPaste("");
          if (found.twins.length > 0) setTwins({ read: found, original });
          else open(found, original);
        },
      },
    );
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    const file = event.dataTransfer.files[0];
    if (file) take(file, file.name);
    else setText(event.dataTransfer.getData("text/plain"));
  };
  const trouble = read.error ? troubleOf(read.error) : null;
  return (
    <section aria-labelledby={`${id}-title`}>
      <h2 id={`${id}-title`} className="font-semibold text-[1.125rem]">
        {say("convert-add-a-recipe")}
      </h2>
      <label htmlFor={id} className="text-pencil">
        {say("convert-paste-it-or-drop-a-file")}
      </label>
      <textarea
        id={id}
        value={text}
        rows={14}
        spellCheck={false}
        onChange={(event) => {
          setText(event.target.value);
          keepPaste(event.target.value);
        }}
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={drop}
        placeholder={say("convert-title-ingredients-3-lb-brisket-flat")}
        className={`mt-1 w-full rounded-sm border bg-sheet px-2 py-1 placeholder:text-pencil ${over ? "border-2 border-ink" : "border-edge"}`}
      />
      {trouble && (
        <p role="alert" className="border-care border-l-4 pl-2">
          <strong>{trouble.message}</strong> {trouble.hint}
        </p>
      )}
      {twins && (
        <p role="status" className="border-care border-l-4 bg-care-wash px-2 py-1">
          {say("convert-you-already-have-it")}{" "}
          {twins.read.twins.map((twin) => (
            <Link key={twin.id} href={`/convert?recipe=${twin.id}`} className="mr-2 underline">
              {twin.title}
            </Link>
          ))}
          <Button onClick={() => open(twins.read, twins.original)}>
            {say("convert-open-this-one-anyway")}
          </Button>
        </p>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <Button
          strong
          disabled={!text.trim() || read.isPending}
          onClick={() => take(new Blob([text], { type: "text/plain" }), "")}
        >
          {say("convert-read-it")}
        </Button>
        <FileField
          label={say("convert-or-choose-a-file")}
          accept=".txt,.md,.markdown,.html,.htm,.json,.jsonld"
          onFile={(file) => take(file, file.name)}
        />
      </div>
    </section>
  );
}
