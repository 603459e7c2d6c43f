import { useState } from "react";
import { useCopies, useDeleted, useErase, useTakeCopy } from "@/api/kitchen";
import { spokenTime } from "@/lib/format";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

const copyReasons = () =>
  ({
    daily: say("kitchen-daily"),
    "before-upgrade": say("kitchen-before-an-upgrade"),
    "before-restore": say("kitchen-before-a-restore"),
  }) as const;

/** Copies that the app makes by itself, the room on the disk, and what is deleted. */
export function Safekeeping() {
  return (
    <section aria-labelledby="safe-title" className="col-span-full mt-6">
      <h2 id="safe-title" className="font-semibold text-[1.125rem]">
        {say("kitchen-copies-and-deleted-things")}
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
        {say("kitchen-the-app-copies-its-database-once", { free_bytes: size(data.free_bytes) })}
      </p>
      {data.copies.length === 0 && (
        <p className="text-pencil">{say("kitchen-there-is-no-copy-yet")}</p>
      )}
      <ul aria-label={say("kitchen-copies")} className="mt-1 max-w-3xl">
        {data.copies.map((copy) => (
          <li
            key={copy.name}
            className="flex flex-wrap items-center gap-x-3 gap-y-1 border-rule border-b py-1"
          >
            <span className="w-56">{age(copy.made_at)}</span>
            <span className="w-40 text-pencil">{copyReasons()[copy.reason]}</span>
            <span className="w-20 text-pencil">{size(copy.size_bytes)}</span>
            {asked === copy.name ? (
              <>
                <Button
                  disabled={take.isPending}
                  onClick={() => take.mutate(copy.name, { onSettled: () => setAsked(null) })}
                >
                  {say("kitchen-yes-go-back-to-it")}
                </Button>
                <Button onClick={() => setAsked(null)}>{say("kitchen-cancel")}</Button>
              </>
            ) : (
              <Button onClick={() => setAsked(copy.name)}>
                {say("kitchen-go-back-to-this-copy")}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {take.isSuccess && (
        <p role="status" className="text-safe">
          {say("kitchen-done-what-was-here-before-is")}
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
          ? say("kitchen-nothing-is-deleted")
          : say("kitchen-deleted-can-still-be-put-back", { total })}
      </p>
      {total > 0 &&
        (asked ? (
          <span className="flex flex-wrap gap-2">
            <Button
              disabled={erase.isPending}
              onClick={() => erase.mutate(undefined, { onSettled: () => setAsked(false) })}
            >
              {say("kitchen-yes-erase-them-for-good")}
            </Button>
            <Button onClick={() => setAsked(false)}>{say("kitchen-keep-them")}</Button>
          </span>
        ) : (
          <Button onClick={() => setAsked(true)}>{say("kitchen-erase-deleted-things")}</Button>
        ))}
      {erase.isSuccess && (
        <p role="status" className="text-safe">
          {say("kitchen-erased-older-copies-still-hold-them")}
        </p>
      )}
    </div>
  );
}

/** How long ago a copy was made. */
export function age(madeAt: string, now = Date.now()): string {
  const minutes = Math.max(Math.round((now - Date.parse(madeAt)) / 60_000), 0);
  if (minutes < 1) return say("kitchen-just-now");
  if (minutes < 48 * 60) return say("kitchen-ago", { minutes: spokenTime(minutes) });
  return say("kitchen-days-ago", { round: Math.round(minutes / 1440) });
}

export function size(bytes: number): string {
  if (bytes < 1e6) return say("kitchen-kb", { max: Math.max(Math.round(bytes / 1e3), 1) });
  return bytes < 1e9
    ? say("kitchen-mb", { to_fixed: (bytes / 1e6).toFixed(1) })
    : say("kitchen-gb", { round: Math.round(bytes / 1e9) });
}
