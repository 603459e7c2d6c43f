import { useState } from "react";
import { useCopies, useDeleted, useErase, useTakeCopy } from "@/api/kitchen";
import { spokenTime } from "@/lib/format";
import { Button } from "@/ui/Button";

const REASONS = {
  daily: "daily",
  "before-upgrade": "before an upgrade",
  "before-restore": "before a restore",
} as const;

/** Copies that the app makes by itself, the room on the disk, and what is deleted. */
export function Safekeeping() {
  return (
    <section aria-labelledby="safe-title" className="col-span-full mt-6">
      <h2 id="safe-title" className="font-semibold text-[1.125rem]">
        Copies and deleted things
      </h2>
      <Copies />
      <Deleted />
    </section>
  );
}

function Copies() {
  const { data } = useCopies();
  const take = useTakeCopy();
  const [asked, setAsked] = useState<string | null>(null);
  if (!data) return null;
  return (
    <div>
      <p className="max-w-prose">
        The app copies its database once a day, and before every upgrade and restore. When you go
        back to a copy, today’s data is kept as another copy, so you can undo it. The disk has{" "}
        {size(data.free_bytes)} left.
      </p>
      {data.copies.length === 0 && <p className="text-pencil">There is no copy yet.</p>}
      <ul aria-label="copies" className="mt-1 max-w-3xl">
        {data.copies.map((copy) => (
          <li
            key={copy.name}
            className="flex flex-wrap items-center gap-x-3 gap-y-1 border-rule border-b py-1"
          >
            <span className="w-56">{age(copy.made_at)}</span>
            <span className="w-40 text-pencil">{REASONS[copy.reason]}</span>
            <span className="w-20 text-pencil">{size(copy.size_bytes)}</span>
            {asked === copy.name ? (
              <>
                <Button
                  disabled={take.isPending}
                  onClick={() => take.mutate(copy.name, { onSettled: () => setAsked(null) })}
                >
                  Yes, go back to it
                </Button>
                <Button onClick={() => setAsked(null)}>Cancel</Button>
              </>
            ) : (
              <Button onClick={() => setAsked(copy.name)}>Go back to this copy</Button>
            )}
          </li>
        ))}
      </ul>
      {take.isSuccess && (
        <p role="status" className="text-safe">
          Done. What was here before is the newest copy in the list.
        </p>
      )}
    </div>
  );
}

function Deleted() {
  const { data } = useDeleted();
  const erase = useErase();
  const [asked, setAsked] = useState(false);
  const total = data ? Object.values(data).reduce((sum, count) => sum + count, 0) : 0;
  return (
    <div className="mt-3">
      <p>
        {total === 0
          ? "Nothing is deleted."
          : `${total} deleted ${total === 1 ? "thing" : "things"} can still be put back.`}
      </p>
      {total > 0 &&
        (asked ? (
          <span className="flex flex-wrap gap-2">
            <Button
              disabled={erase.isPending}
              onClick={() => erase.mutate(undefined, { onSettled: () => setAsked(false) })}
            >
              Yes, erase them for good
            </Button>
            <Button onClick={() => setAsked(false)}>Keep them</Button>
          </span>
        ) : (
          <Button onClick={() => setAsked(true)}>Erase deleted things</Button>
        ))}
      {erase.isSuccess && (
        <p role="status" className="text-safe">
          Erased. Older copies still hold them until they are replaced.
        </p>
      )}
    </div>
  );
}

/** How long ago a copy was made. */
export function age(madeAt: string, now = Date.now()): string {
  const minutes = Math.max(Math.round((now - Date.parse(madeAt)) / 60_000), 0);
  if (minutes < 1) return "just now";
  if (minutes < 48 * 60) return `${spokenTime(minutes)} ago`;
  return `${Math.round(minutes / 1440)} days ago`;
}

export function size(bytes: number): string {
  if (bytes < 1e6) return `${Math.max(Math.round(bytes / 1e3), 1)} kB`;
  return bytes < 1e9 ? `${(bytes / 1e6).toFixed(1)} MB` : `${Math.round(bytes / 1e9)} GB`;
}
