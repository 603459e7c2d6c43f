import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { troubleOf } from "@/api/client";
import { useExportLog, useImportLog } from "@/api/log";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { FileField } from "@/ui/FileField";

const MOST_BYTES = 4_000_000;
const KINDS = [
  { kind: "csv", words: "CSV", ending: "csv", type: "text/csv" },
  { kind: "jsonld", words: "JSON-LD", ending: "jsonld", type: "application/ld+json" },
] as const;

/** The log as a file, and files back; what cannot be read is told by its line. */
export function LogFiles() {
  const queries = useQueryClient();
  const take = useImportLog();
  const [tooBig, setTooBig] = useState(false);
  const given = useExportLog();
  const save = ({ kind, ending, type }: (typeof KINDS)[number]) =>
    given.mutate(kind, {
      onSuccess: (text) => {
        const link = document.createElement("a");
        link.href = URL.createObjectURL(new Blob([text], { type }));
        link.download = `log.${ending}`;
        link.click();
        URL.revokeObjectURL(link.href);
      },
    });
  const read = async (file: File) => {
    setTooBig(file.size > MOST_BYTES);
    if (file.size > MOST_BYTES) return;
    take.mutate(await file.text(), {
      onSuccess: () => queries.invalidateQueries({ queryKey: ["cooks"] }),
    });
  };
  const trouble = take.error ? troubleOf(take.error) : null;
  return (
    <section
      aria-label={say("log-files")}
      className="mt-5 flex flex-wrap items-center gap-2 text-[0.875rem]"
    >
      <span className="text-pencil">{say("log-export-the-log-as")}</span>
      {KINDS.map((kind) => (
        <Button key={kind.kind} onClick={() => save(kind)}>
          {kind.words}
        </Button>
      ))}
      <FileField
        label={say("log-import-a-file")}
        accept=".csv,.jsonld,text/csv,application/ld+json"
        onFile={read}
      />
      {take.data && (
        <div role="status" className="basis-full">
          <p>
            {say("log-added-already-there-could-not-be", {
              added: take.data.added,
              known: take.data.known,
              bad: take.data.bad,
            })}
          </p>
          <ul>
            {take.data.told.slice(0, 20).map((row) => (
              <li key={row.line} className="border-care border-l-4 pl-2">
                {say("log-line", { line: row.line, message: row.message })}
              </li>
            ))}
          </ul>
        </div>
      )}
      {(trouble || tooBig) && (
        <p role="alert" className="basis-full border-care border-l-4 pl-2">
          {tooBig ? (
            <strong>{say("log-this-file-is-too-big-for")}</strong>
          ) : (
            <>
              <strong>{trouble?.message}</strong> {trouble?.hint}
            </>
          )}
        </p>
      )}
    </section>
  );
}
