import { useDeferredValue, useState } from "react";
import { Link, useSearchParams } from "wouter";
import { useDeleteCook, useLog } from "@/api/cooks";
import { useCatalogue, useUnits } from "@/api/queries";
import { Compare } from "@/features/log/Compare";
import { EntryForm } from "@/features/log/EntryForm";
import { EVERYTHING, Finder, logWanted, type Sought } from "@/features/log/Finder";
import { Lessons } from "@/features/log/Lessons";
import { LogFiles } from "@/features/log/LogFiles";
import { LogRow } from "@/features/log/LogRow";
import { Months } from "@/features/log/Months";
import { Relearning } from "@/features/log/Relearning";
import { SheetView } from "@/features/log/SheetView";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { Toast } from "@/ui/Toast";

const PAGE = 50;

/** What did I do last time, and what did it teach? */
export function LogView() {
  const [params] = useSearchParams();
  const one = params.get("cook");
  const other = params.get("with");
  if (one !== null && other !== null) return <Compare key={`${one} ${other}`} ids={[one, other]} />;
  if (one !== null) return <SheetView key={one} id={one} />;
  return <Sheets />;
}

function Sheets() {
  const [sought, setSought] = useState(EVERYTHING);
  const [page, setPage] = useState(0);
  const [writing, setWriting] = useState(false);
  const [picked, setPicked] = useState<string[]>([]);
  const [gone, setGone] = useState<{ id: string; name: string } | null>(null);
  const catalogue = useCatalogue();
  const units = useUnits();
  const remove = useDeleteCook();
  const find = (part: Partial<Sought>) => {
    setSought({ ...sought, ...part });
    setPage(0);
  };
  const words = useDeferredValue(sought.search);
  const log = useLog({
    running: false,
    ...logWanted({ ...sought, search: words }),
    limit: PAGE,
    offset: page * PAGE,
  });
  const cooks = log.data?.cooks ?? [];
  const total = log.data?.total ?? 0;
  const cutName = (id: string) =>
    catalogue.data?.cuts.find((item) => item.id === id)?.name ?? id.replaceAll("_", " ");
  const pick = (id: string, on: boolean) =>
    setPicked(on ? [...picked, id].slice(-2) : picked.filter((item) => item !== id));
  return (
    <div className="mx-auto max-w-5xl px-4 py-4">
      <h1 className="font-bold text-[1.5rem]">{say("log-log")}</h1>
      <div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-2">
        <Finder sought={sought} onChange={find} />
        <Button onClick={() => setWriting(true)}>{say("log-add-log-entry")}</Button>
        <Together picked={picked} />
      </div>
      <Relearning />
      {writing && <EntryForm onClose={() => setWriting(false)} />}
      {log.isError && (
        <p role="alert" className="mt-2 border-care border-l-4 pl-2">
          <strong>{say("log-the-app-does-not-answer")}</strong>{" "}
          {say("log-start-it-again-your-log-is")}
        </p>
      )}
      {log.isPending && <p className="mt-2 text-pencil">{say("shared-loading")}</p>}
      {log.data && cooks.length === 0 && <Nothing filtered={sought !== EVERYTHING} />}
      <ul
        aria-label={say("log-log-entries")}
        aria-busy={log.isPlaceholderData}
        className={`mt-2 border-rule border-t ${log.isPlaceholderData ? "stale" : ""}`}
      >
        {cooks.map((cook) => (
          <LogRow
            key={cook.id}
            cook={cook}
            cutName={cutName(cook.cut)}
            units={units}
            picked={picked.includes(cook.id)}
            onPick={(on) => pick(cook.id, on)}
            onDelete={() =>
              remove.mutate(
                { id: cook.id, restore: false },
                { onSuccess: () => setGone({ id: cook.id, name: cook.name }) },
              )
            }
          />
        ))}
      </ul>
      <Pages page={page} total={total} searched={words !== ""} onPage={setPage} />
      {cooks.length > 2 && <Months cooks={cooks} />}
      <LogFiles />
      <Lessons cutName={cutName} />
      {gone && (
        <Toast
          text={say("log-is-removed-from-the-log", { name: gone.name })}
          action={{
            name: say("log-undo"),
            run: () =>
              remove.mutate({ id: gone.id, restore: true }, { onSuccess: () => setGone(null) }),
          }}
          onClose={() => setGone(null)}
        />
      )}
    </div>
  );
}

function Together({ picked }: { picked: string[] }) {
  if (picked.length === 1)
    return <span className="text-pencil">{say("log-pick-one-more-to-compare")}</span>;
  if (picked.length < 2) return null;
  return (
    <Link
      href={`/log?cook=${picked[0]}&with=${picked[1]}`}
      className="rounded-sm border border-ink bg-ink px-3 py-1 font-medium text-paper"
    >
      {say("log-compare-the-two")}
    </Link>
  );
}

function Nothing({ filtered }: { filtered: boolean }) {
  if (filtered) return <p className="mt-3 text-pencil">{say("log-no-log-entry-matches")}</p>;
  return (
    <p className="mt-3 text-pencil">
      {say("log-no-cook-is-finished-yet")}{" "}
      <Link href="/cook" className="underline">
        {say("log-start-one")}
      </Link>
    </p>
  );
}

interface PagesProps {
  page: number;
  total: number;
  searched: boolean;
  onPage: (page: number) => void;
}

/** A search is counted no further. */
const COUNTED = 2000;

function Pages({ page, total, searched, onPage }: PagesProps) {
  if (total <= PAGE) return null;
  return (
    <p className="mt-2 flex items-center gap-3">
      <Button disabled={page === 0} onClick={() => onPage(page - 1)}>
        {say("log-newer")}
      </Button>
      <span className="text-pencil">
        {say(searched && total > COUNTED ? "log-to-of-more-than" : "log-to-of", {
          first: page * PAGE + 1,
          last: Math.min((page + 1) * PAGE, total),
          total: Math.min(total, searched ? COUNTED : total),
        })}
      </span>
      <Button disabled={(page + 1) * PAGE >= total} onClick={() => onPage(page + 1)}>
        {say("log-older")}
      </Button>
    </p>
  );
}
