import { Link } from "wouter";
import type { CookOut, PieceOutcome } from "@/api/client";
import { useCook } from "@/api/cooks";
import { TwoTraces } from "@/drawing/TwoTraces";
import { Facts, Outcome } from "@/features/log/SheetView";
import { panelTime, spokenTime } from "@/lib/format";
import { TEXTURE_WORDS } from "@/lib/words";
import { useWidth } from "@/ui/useWidth";

/** Two sheets laid together: traces over each other, and the differences in words. */
export function Compare({ ids }: { ids: [string, string] }) {
  const one = useCook(ids[0]).data;
  const other = useCook(ids[1]).data;
  const [ref, width] = useWidth<HTMLDivElement>(900);
  return (
    <div className="mx-auto max-w-5xl px-4 py-4">
      <p>
        <Link href="/log" className="underline">
          All sheets
        </Link>
      </p>
      <h1 className="font-bold text-[24px]">Two sheets together</h1>
      <div ref={ref}>
        {one && other && (
          <>
            <div className="mt-2 bg-sheet">
              <TwoTraces one={one} other={other} width={width} />
            </div>
            <ul aria-label="differences" className="mt-2 list-disc pl-5">
              {differences(one, other).map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            <div className="mt-3 grid gap-6 sm:grid-cols-2">
              {[one, other].map((cook, index) => (
                <section key={cook.id} aria-label={`sheet ${index + 1}`}>
                  <h2 className="font-semibold text-[18px]">
                    {index === 0 ? "— " : "- - "}
                    <Link href={`/log?cook=${cook.id}`} className="underline">
                      {cook.name}
                    </Link>
                  </h2>
                  <Facts cook={cook} />
                  <Outcome cook={cook} />
                </section>
              ))}
            </div>
          </>
        )}
      </div>
    </div>
  );
}

/** What is not the same, in words; the first sheet is named first. */
function differences(one: CookOut, other: CookOut): string[] {
  const found: string[] = [];
  const say = (what: string, first: string, second: string) => {
    if (first !== second) found.push(`${what}: ${first}, then ${second}`);
  };
  say("set", panelTime(one.set_min), panelTime(other.set_min));
  say("came out", came(one), came(other));
  say("wished", TEXTURE_WORDS[one.plan.texture], TEXTURE_WORDS[other.plan.texture]);
  say("pot", one.plan.pot_name, other.plan.pot_name);
  say("pieces", kinds(one), kinds(other));
  say("runs", String(one.rounds), String(other.rounds));
  const up = [comeUp(one), comeUp(other)];
  if (up[0] && up[1]) say("to pressure", spokenTime(up[0]), spokenTime(up[1]));
  return found.length > 0 ? found : ["Planned and run alike."];
}

function came(cook: CookOut): string {
  const pieces = (cook.outcome?.pieces as PieceOutcome[] | undefined) ?? [];
  const rungs = pieces.map((piece) =>
    piece.texture ? TEXTURE_WORDS[piece.texture] : "not judged",
  );
  return rungs.join(" and ") || "not judged";
}

function kinds(cook: CookOut): string {
  return cook.plan.kinds.map((kind) => `${kind.count} × ${kind.name}`).join(", ");
}

/** Minutes from the start of heating until it is at pressure, off the ink. */
function comeUp(cook: CookOut): number | null {
  const top = Math.max(...cook.ink.map((point) => point[1] ?? 0), 0);
  const there = cook.ink.find((point) => (point[1] ?? 0) >= 0.85 * top);
  return top > 10_000 && there ? Math.round((there[0] ?? 0) / 60) : null;
}
