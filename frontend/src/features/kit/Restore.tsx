import { useId, useState } from "react";
import { ProblemError, type RestoreOut } from "@/api/client";
import { useRestore } from "@/api/queries";
import { Button } from "@/ui/Button";

const LARGEST = 64 * 1024 * 1024;

/** A copy of everything, read back: first what it would change, then doing it. */
export function Restore() {
  const id = useId();
  const [content, setContent] = useState<unknown>(null);
  const [unread, setUnread] = useState<string | null>(null);
  const restore = useRestore();
  const problem = restore.error instanceof ProblemError ? restore.error.problem : null;
  const choose = async (file: File | undefined) => {
    restore.reset();
    setContent(null);
    setUnread(null);
    if (!file) return;
    if (file.size > LARGEST) {
      setUnread("This file is larger than 64 MB. Choose a backup that this page downloaded.");
      return;
    }
    try {
      const read: unknown = JSON.parse(await file.text());
      setContent(read);
      restore.mutate({ content: read, dryRun: true });
    } catch {
      setUnread("This file cannot be read. Choose a backup that this page downloaded.");
    }
  };
  const trouble = unread ?? (problem ? `${problem.message} ${problem.hint ?? ""}` : null);
  return (
    <div className="mt-3 flex flex-col items-start gap-1.5">
      <label htmlFor={id} className="underline underline-offset-4">
        Restore a backup
      </label>
      <input
        id={id}
        type="file"
        accept="application/json,.json"
        onChange={(event) => void choose(event.target.files?.[0])}
        className="max-w-full text-[0.875rem]"
      />
      {trouble && (
        <p role="alert" className="border-care border-l-4 pl-2 text-[0.875rem]">
          {trouble}
        </p>
      )}
      {restore.data && <Outcome outcome={restore.data} />}
      {restore.data && !restore.data.done && content !== null && (
        <Button strong onClick={() => restore.mutate({ content, dryRun: false })}>
          Restore
        </Button>
      )}
    </div>
  );
}

function Outcome({ outcome }: { outcome: RestoreOut }) {
  const verb = outcome.done ? "Done" : "This backup would change";
  return (
    <div data-testid="restore" className="text-[0.875rem]">
      <p className="font-semibold">
        {verb} (made {outcome.made_at.slice(0, 10)}):
      </p>
      <ul>
        {outcome.changes.map((change) => (
          <li key={change.kind}>
            {change.kind}: {change.added} new, {change.changed} replaced, {change.same} unchanged
          </li>
        ))}
      </ul>
      {!outcome.done && <p>What is here and not in the backup stays.</p>}
    </div>
  );
}
