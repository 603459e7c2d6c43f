import { type ReactNode, useEffect } from "react";
import type { GuideLineOut, GuidePartOut, PlanOut } from "@/api/client";
import { useCatalogue, useGuide, useLastPlan, useUnits } from "@/api/queries";
import { preciseTemperature, spokenTime } from "@/lib/format";
import { APP_KEYS, BENCH_KEYS, COOK_KEYS, MARK_KEYS } from "@/lib/keys";
import { totalSeconds } from "@/lib/total";
import { LIQUID_STYLE_WORDS, RACK_WORDS, RELEASE_WORDS, SOURCE_WORDS } from "@/lib/words";
import { say } from "@/text/say";

type Entry = [string, string];

/** Parts whose lines are done in this order. */
const IN_ORDER = new Set(["lid", "release"]);

/** What a cook looks up; its sentences come from the server, in the kitchen's words and units. */
export function GuideView() {
  const parts = useGuide().data?.parts;
  useEffect(() => {
    if (parts) document.getElementById(window.location.hash.slice(1))?.scrollIntoView();
  }, [parts]);
  if (!parts) {
    return <h1 className="p-6 font-normal text-pencil">{say("app-loading-the-page")}</h1>;
  }
  return (
    <div className="mx-auto max-w-3xl px-4 py-5 text-[0.9375rem]">
      <h1 className="font-bold text-[1.625rem]">{say("guide-guide")}</h1>
      <p className="mt-1 font-semibold">{say("guide-the-makers-manual-and-local-food")}</p>
      <nav
        aria-label={say("guide-on-this-page")}
        className="mt-2 flex flex-wrap gap-x-4 gap-y-1 print:hidden"
      >
        <Jump id="liquid" name={say("guide-liquid-and-trivet")} />
        {parts.map((part) => (
          <Jump key={part.part} id={part.part} name={part.title} />
        ))}
        <Jump id="keys" name={say("guide-keys")} />
      </nav>
      <Part id="liquid" title={say("guide-liquid-and-trivet")}>
        <Terms entries={wordEntries(LIQUID_STYLE_WORDS)} />
        <Terms entries={wordEntries(RACK_WORDS)} />
      </Part>
      {parts.map((part) => (
        <Part key={part.part} id={part.part} title={part.title}>
          <Before part={part.part} />
          <Lines part={part} />
          <After part={part.part} />
        </Part>
      ))}
      <Part id="keys" title={say("guide-keys")}>
        <Terms entries={keyEntries()} />
      </Part>
    </div>
  );
}

function Jump({ id, name }: { id: string; name: string }) {
  return (
    <a href={`#${id}`} className="underline underline-offset-4">
      {name}
    </a>
  );
}

function Part({ id, title, children }: { id: string; title: string; children: ReactNode }) {
  return (
    <section aria-labelledby={`${id}-title`} id={id} className="mt-6 scroll-mt-4">
      <h2 id={`${id}-title`} className="border-ink border-b-2 font-semibold text-[1.1875rem]">
        {title}
      </h2>
      <div className="mt-1.5 flex flex-col gap-1.5">{children}</div>
    </section>
  );
}

function Lines({ part }: { part: GuidePartOut }) {
  if (part.lines.every((line) => line.term)) {
    return <Terms entries={part.lines.map((line): Entry => [line.term, line.text])} />;
  }
  const List = IN_ORDER.has(part.part) ? "ol" : "ul";
  return (
    <List className={IN_ORDER.has(part.part) ? "list-decimal pl-5" : "list-disc pl-5"}>
      {part.lines.map((line) => (
        <Line key={line.text} line={line} />
      ))}
    </List>
  );
}

function Line({ line }: { line: GuideLineOut }) {
  return (
    <li className="py-0.5">
      {line.text}
      {line.source && <span className="text-pencil"> ({line.source})</span>}
    </li>
  );
}

function Terms({ entries }: { entries: Entry[] }) {
  return (
    <dl className="grid grid-cols-[minmax(7rem,11rem)_1fr] gap-x-4 gap-y-1">
      {entries.map(([term, text]) => (
        <div key={term} className="contents">
          <dt className="font-semibold">{term}</dt>
          <dd>{text}</dd>
        </div>
      ))}
    </dl>
  );
}

function wordEntries(words: Record<string, { name: string; says: string }>): Entry[] {
  return Object.values(words).map(({ name, says }) => [name, says]);
}

function keyEntries(): Entry[] {
  return [
    ...[...APP_KEYS, ...BENCH_KEYS, ...MARK_KEYS, ...COOK_KEYS].map(
      ({ shown, does }): Entry => [shown, does()],
    ),
    ["1 – 9", say("guide-use-that-line-of-what-if")],
    [say("guide-arrow-keys"), say("guide-change-liquid-or-thickness-by-a")],
    [say("guide-page-up-page-down"), say("guide-change-liquid-by-four-steps")],
    [say("guide-home-end"), say("guide-the-minimum-the-maximum")],
    [say("guide-back"), say("guide-undo-a-choice-in-plan")],
    [say("guide-tab"), say("guide-go-through-everything-in-the-order")],
  ];
}

function Before({ part }: { part: string }) {
  return part === "release" ? <Terms entries={wordEntries(RELEASE_WORDS)} /> : null;
}

/** What a part shows of the cuts, and of this cook's own plan. */
function After({ part }: { part: string }) {
  const plan = useLastPlan();
  if (part === "measure") return <Measuring />;
  if (part === "looks") return <Looks />;
  if (part === "number") return <OwnNumber plan={plan} />;
  return null;
}

function Measuring() {
  const cuts = useCatalogue().data?.cuts ?? [];
  return <Terms entries={cuts.map((cut): Entry => [cut.name, cut.measure])} />;
}

function Looks() {
  const cuts = useCatalogue().data?.cuts ?? [];
  const firsts = cuts.filter(
    (cut, index) => cuts.findIndex((other) => other.family === cut.family) === index,
  );
  return (
    <dl className="flex flex-col gap-2">
      {firsts.map((cut) => (
        <div key={cut.id}>
          <dt className="font-semibold">{cut.name}</dt>
          <dd>
            <Terms entries={cut.ladder.map((step): Entry => [step.word, step.looks])} />
          </dd>
        </div>
      ))}
    </dl>
  );
}

function OwnNumber({ plan }: { plan: PlanOut | undefined }) {
  const units = useUnits();
  if (!plan) return <p>{say("guide-make-a-plan-and-its-own")}</p>;
  return (
    <>
      <p>
        {say("guide-your-last-plan-water-boils-at", {
          boil_temp_c: preciseTemperature(plan.setting.boil_temp_c, units),
          hold_temp_c: preciseTemperature(plan.setting.hold_temp_c, units),
          lid_on_to_open_s: spokenTime(totalSeconds(plan) / 60),
        })}
      </p>
      <ul className="list-disc pl-5">
        {plan.reasons
          .filter((reason) => reason.about === "hold")
          .map((reason) => (
            <li key={reason.fact}>
              {reason.text}{" "}
              <span className="text-pencil">({SOURCE_WORDS[reason.source]?.name})</span>
            </li>
          ))}
      </ul>
    </>
  );
}
