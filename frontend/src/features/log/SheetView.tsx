import { useState } from "react";
import { Link } from "wouter";
import { type CookOut, type PieceOutcome, troubleOf } from "@/api/client";
import { tellOf, useCook, useCookActs, usePieces } from "@/api/cooks";
import { useHistory } from "@/api/log";
import { useHousehold, useUnits } from "@/api/queries";
import { InkTrace } from "@/drawing/InkTrace";
import { PieceTraces } from "@/drawing/PieceTraces";
import { clockTime, dateAndTime } from "@/lib/clock";
import { type PotState, stateWords } from "@/lib/cook";
import { requestFromPlan, requestToAddress } from "@/lib/cookRequest";
import { cookTime, spokenTime } from "@/lib/format";
import { pieceName } from "@/lib/outcome";
import { tendernessOf } from "@/lib/words";
import { OutcomePanel } from "@/parts/OutcomePanel";
import { Photos } from "@/parts/Photos";
import { RecipeAside } from "@/parts/RecipeAside";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { useWidth } from "@/ui/useWidth";

/** One sheet: plan in pencil, what happened in ink, how it came out. */
export function SheetView({ id }: { id: string }) {
  const units = useUnits();
  const { data: cook, error } = useCook(id);
  const [ref, width] = useWidth<HTMLDivElement>(900);
  const trouble = error ? troubleOf(error) : null;
  return (
    <div className="mx-auto max-w-5xl px-4 py-4">
      <p>
        <Link href="/log" className="underline">
          {say("log-all-log-entries")}
        </Link>
      </p>
      {trouble && (
        <p role="alert" className="border-care border-l-4 pl-2">
          <strong>{trouble.message}</strong> {trouble.hint}
        </p>
      )}
      <div ref={ref}>
        {cook && (
          <>
            <h1 className="font-bold text-[1.5rem]">{cook.name}</h1>
            <p className="text-pencil">
              {dateAndTime(cook.began_at)}, {cook.plan.pot_name}
            </p>
            <div className="mt-2 bg-sheet">
              <InkTrace cook={cook} width={width} units={units} height={240} />
            </div>
            <EntryFacts cook={cook} />
            <EntryOutcome cook={cook} />
            {cook.request && (
              <p className="mt-2 print:hidden">
                <Link
                  href={`/plan?${requestToAddress(requestFromPlan(cook.request), null)}`}
                  className="underline"
                >
                  {say("log-plan-this-again-with-another-weight")}
                </Link>
              </p>
            )}
            {cook.ended_at && <Correct cook={cook} />}
            <SideBySide cook={cook} />
            {cook.plan.kinds.length > 1 && <KindByKind id={id} cut={cook.plan.cut} width={width} />}
            <Photos cook={cook} />
            <RecipeAside cook={cook} />
            <History id={id} cook={cook} />
          </>
        )}
      </div>
    </div>
  );
}

/** Planned beside what it was. */
export function EntryFacts({ cook }: { cook: CookOut }) {
  return (
    <dl className="mt-2 grid w-fit grid-cols-[auto_1fr] gap-x-4">
      <dt className="text-pencil">{say("log-planned")}</dt>
      <dd>
        {say("log-at-pressure-target", {
          hold_min: cookTime(cook.plan.hold_min),
          level: cook.plan.level,
          texture: tendernessOf(cook.plan.texture, cook.plan.cut),
        })}
      </dd>
      <dt className="text-pencil">{say("log-set")}</dt>
      <dd>{cookTime(cook.set_min)}</dd>
      <dt className="text-pencil">{say("log-batches")}</dt>
      <dd>
        {cook.rounds === 1
          ? say("log-one")
          : say("log-cooked-longer", { rounds: cook.rounds, rounds2: cook.rounds - 1 })}
      </dd>
      <Weighed cook={cook} />
      {cook.connected && !cook.no_lesson && <Simulated />}
      <LeftOut why={cook.no_lesson} />
      {cook.ended_at && (
        <>
          <dt className="text-pencil">{say("log-took")}</dt>
          <dd>{spokenTime((Date.parse(cook.ended_at) - Date.parse(cook.began_at)) / 60_000)}</dd>
        </>
      )}
    </dl>
  );
}

/** Whether a cook beside the simulated pot teaches anything here. */
function Simulated() {
  const { data } = useHousehold();
  return (
    <>
      <dt className="text-pencil">{say("log-cooker")}</dt>
      <dd>
        {data?.simulated_teach
          ? say("log-simulated-it-still-changes-your-plans")
          : say("log-simulated-it-changes-nothing")}
      </dd>
    </>
  );
}

const noLesson = (): Record<NonNullable<CookOut["no_lesson"]>, string> => ({
  abandoned: say("log-nothing-it-was-stopped"),
  unsafe: say("log-nothing-it-was-not-safe-to"),
  raw_out: say("log-nothing-the-raw-meat-was-out"),
  leftovers_out: say("log-nothing-what-was-left-was-out"),
  fast_clock: say("log-nothing-its-clock-did-not-run"),
  kept_warm: say("log-nothing-it-was-kept-warm"),
  two_cycles: say("log-nothing-it-was-cooked-in-two"),
  stopped: say("log-nothing-about-tenderness-it-stopped-on"),
});

/** Why a cook is left out of what the log learns. */
function LeftOut({ why }: { why: CookOut["no_lesson"] }) {
  if (!why) return null;
  return (
    <>
      <dt className="text-pencil">{say("log-changes")}</dt>
      <dd>{noLesson()[why]}</dd>
    </>
  );
}

function Weighed({ cook }: { cook: CookOut }) {
  const units = useUnits();
  const { before, after } = cook.weighed;
  if (!before && !after) return null;
  return (
    <>
      <dt className="text-pencil">{say("log-weighed")}</dt>
      <dd>
        {[
          before && say("log-raw", { before: before[units] }),
          after && say("log-cooked", { after: after[units] }),
        ]
          .filter(Boolean)
          .join(", ")}
      </dd>
    </>
  );
}

export function EntryOutcome({ cook }: { cook: CookOut }) {
  const pieces = ((cook.outcome?.pieces as PieceOutcome[] | undefined) ?? []).slice(0, 48);
  if (pieces.length === 0) return <p className="mt-2 text-pencil">{say("log-not-rated-yet")}</p>;
  return (
    <ul aria-label={say("log-rating")} className="mt-2">
      {pieces.map((piece, index) => (
        <li key={pieceName(piece, index, cook.plan.kinds)}>
          <span className="font-semibold">{pieceName(piece, index, cook.plan.kinds)}</span>:{" "}
          {[
            piece.texture ? tendernessOf(piece.texture, cook.plan.cut) : say("log-not-rated"),
            piece.juicy && say("log-juicy-of-5", { juicy: piece.juicy }),
            piece.taste && say("log-taste-of-5", { taste: piece.taste }),
          ]
            .filter(Boolean)
            .join(", ")}
        </li>
      ))}
    </ul>
  );
}

/** A rating that was wrong, a weight found later: corrected here, and the log learns from it. */
function Correct({ cook }: { cook: CookOut }) {
  const acts = useCookActs(cook.id);
  const [open, setOpen] = useState(false);
  if (!open) {
    return (
      <Button className="mt-2 text-[0.875rem] print:hidden" onClick={() => setOpen(true)}>
        {say("log-change-rating")}
      </Button>
    );
  }
  return (
    <OutcomePanel
      cook={cook}
      tell={tellOf(acts)}
      trouble={acts.error ? troubleOf(acts.error) : null}
      onCorrected={() => setOpen(false)}
    />
  );
}

/** Pieces of one pot against the first of them. */
function SideBySide({ cook }: { cook: CookOut }) {
  if (cook.side_by_side.length === 0) return null;
  return (
    <section aria-labelledby="pieces-title" className="mt-2">
      <h2 id="pieces-title" className="font-semibold text-[1.125rem]">
        {say("log-pieces-compared")}
      </h2>
      <ul className="list-disc pl-5">
        {cook.side_by_side.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );
}

/** The kinds of pieces in one pot over what happened to it. */
function KindByKind({ id, cut, width }: { id: string; cut: string; width: number }) {
  const { data } = usePieces(id);
  if (!data) return null;
  return (
    <section aria-labelledby="kinds-title" className="mt-3">
      <h2 id="kinds-title" className="font-semibold text-[1.125rem]">
        {say("log-how-they-softened-in-one-cooker")}
      </h2>
      <p className="text-[0.875rem] text-pencil">
        {data.followed
          ? say("log-calculated-from-what-this-cooker-really")
          : say("log-calculated-for-the-cook-time-that")}
      </p>
      <div className="mt-1 bg-sheet">
        <PieceTraces pieces={data} cut={cut} width={width} />
      </div>
      <ul className="mt-2 list-disc pl-5">
        {data.said.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );
}

function History({ id, cook }: { id: string; cook: CookOut }) {
  const events = useHistory(id).data?.events ?? [];
  const titles = new Map(cook.steps.map((step) => [step.step_id, step.title]));
  // what was confirmed has words of its own, under codes that no step has
  for (const step of cook.steps) for (const tick of step.ticks) titles.set(tick.code, tick.text);
  return (
    <section aria-labelledby="history-title" className="mt-3">
      <h2 id="history-title" className="font-semibold text-[1.125rem]">
        {say("log-what-happened")}
      </h2>
      <ol className="text-[0.875rem]">
        {events.map((event) => (
          <li key={event.key} className="flex gap-3">
            <span className="w-[4.75rem] shrink-0 whitespace-nowrap font-dial">
              {clockTime(event.at)}
            </span>
            <span>{sayEvent(event.kind, event.body, titles)}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}

function sayEvent(
  kind: string,
  body: Record<string, unknown>,
  titles: Map<string, string>,
): string {
  const text = (key: string) => String(body[key] ?? "");
  const title = titles.get(text("step_id")) ?? text("step_id");
  switch (kind) {
    case "done":
      return body.skipped
        ? say("log-left-out", { title, text: text("skipped") })
        : say("log-done", { title });
    case "ticked":
      return say("log-confirmed", { get: titles.get(text("tick")) ?? text("tick") });
    case "timer_started":
      return say("log-timer", { text: text("title") });
    case "pot":
      return say("log-pot", {
        state_words: stateWords()[text("state") as PotState] ?? text("state"),
      });
    case "put_back":
      return say("log-cooked-min-longer", { text: text("hold_min") });
    case "guests_late":
      return say("log-guests-late", { span: spokenTime(Number(body.late_s) / 60) });
    case "note":
      return body.step_id
        ? say("log-note-at", { title, text: text("text") })
        : say("log-note", { text: text("text") });
    case "weighed":
      return say("log-weighed");
    default:
      return say("log-event", { kind });
  }
}
