import { useState } from "react";
import { ProblemError, type RestoreOut } from "@/api/client";
import { useRestore } from "@/api/queries";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { FileField } from "@/ui/FileField";

const LARGEST = 64 * 1024 * 1024;

/** A copy of everything, read back: first what it would change, then doing it. */
export function Restore() {
  const [content, setContent] = useState<unknown>(null);
  const [unread, setUnread] = useState<string | null>(null);
  const restore = useRestore();
  const problem = restore.error instanceof ProblemError ? restore.error.problem : null;
  const choose = async (file: File) => {
    restore.reset();
    setContent(null);
    setUnread(null);
    if (file.size > LARGEST) {
      setUnread(say("kitchen-this-file-is-larger-than-64"));
      return;
    }
    try {
      const read: unknown = JSON.parse(await file.text());
      setContent(read);
      restore.mutate({ content: read, dryRun: true });
    } catch {
      setUnread(say("kitchen-this-file-cannot-be-read-choose"));
    }
  };
  const trouble = unread ?? (problem ? `${problem.message} ${problem.hint ?? ""}` : null);
  return (
    <div className="mt-3 flex flex-col items-start gap-1.5">
      <FileField
        label={say("kitchen-restore-a-backup")}
        accept="application/json,.json"
        onFile={(file) => void choose(file)}
      />
      {trouble && (
        <p role="alert" className="border-care border-l-4 pl-2 text-[0.875rem]">
          {trouble}
        </p>
      )}
      {restore.data && <RestoreOutcome outcome={restore.data} />}
      {restore.data && !restore.data.done && content !== null && (
        <Button strong onClick={() => restore.mutate({ content, dryRun: false })}>
          {say("kitchen-restore")}
        </Button>
      )}
    </div>
  );
}

function RestoreOutcome({ outcome }: { outcome: RestoreOut }) {
  const verb = outcome.done ? say("kitchen-done") : say("kitchen-this-backup-would-change");
  return (
    <div data-testid="restore" className="text-[0.875rem]">
      <p className="font-semibold">
        {say("kitchen-made", { verb, slice: outcome.made_at.slice(0, 10) })}
      </p>
      <ul>
        {outcome.changes.map((change) => (
          <li key={change.kind}>
            {say("kitchen-new-replaced-unchanged", {
              kind: change.kind,
              added: change.added,
              changed: change.changed,
              same: change.same,
            })}
          </li>
        ))}
      </ul>
      {!outcome.done && <p>{say("kitchen-what-is-here-and-not-in")}</p>}
    </div>
  );
}
