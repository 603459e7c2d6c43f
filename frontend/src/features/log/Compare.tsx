import { Link } from "wouter";
import { troubleOf } from "@/api/client";
import { useCompared } from "@/api/cooks";
import { useUnits } from "@/api/queries";
import { TwoTraces } from "@/drawing/TwoTraces";
import { EntryFacts, EntryOutcome } from "@/features/log/SheetView";
import { say } from "@/text/say";
import { useWidth } from "@/ui/useWidth";

/** Two sheets laid together: traces over each other, and the differences in words. */
export function Compare({ ids }: { ids: [string, string] }) {
  const { data, error } = useCompared(ids);
  const units = useUnits();
  const [one, other] = data?.sheets ?? [];
  const trouble = error ? troubleOf(error) : null;
  const [ref, width] = useWidth<HTMLDivElement>(900);
  return (
    <div className="mx-auto max-w-5xl px-4 py-4">
      <p>
        <Link href="/log" className="underline">
          {say("log-all-log-entries")}
        </Link>
      </p>
      <h1 className="font-bold text-[1.5rem]">{say("log-two-log-entries-compared")}</h1>
      {trouble && (
        <p role="alert" className="border-care border-l-4 pl-2">
          <strong>{trouble.message}</strong> {trouble.hint}
        </p>
      )}
      <div ref={ref}>
        {one && other && (
          <>
            <div className="mt-2 bg-sheet">
              <TwoTraces one={one} other={other} width={width} units={units} />
            </div>
            {[one, other].some((cook) => cook.ink.length < 2) && (
              <p className="text-[0.875rem] text-pencil">{say("log-for-a-cook-that-was-not")}</p>
            )}
            <ul aria-label={say("log-differences")} className="mt-2 list-disc pl-5">
              {data?.differences.map(({ about, first, then }) => (
                <li key={about}>{say("log-then", { about, first, then })}</li>
              ))}
              {data?.differences.length === 0 && (
                <li>{say("log-planned-and-cooked-the-same-way")}</li>
              )}
            </ul>
            <div className="mt-3 grid gap-6 sm:grid-cols-2">
              {[one, other].map((cook, index) => (
                <section key={cook.id} aria-label={say("log-entry", { index: index + 1 })}>
                  <h2 className="font-semibold text-[1.125rem]">
                    {index === 0 ? "— " : "- - "}
                    <Link href={`/log?cook=${cook.id}`} className="underline">
                      {cook.name}
                    </Link>
                  </h2>
                  <EntryFacts cook={cook} />
                  <EntryOutcome cook={cook} />
                </section>
              ))}
            </div>
          </>
        )}
      </div>
    </div>
  );
}
