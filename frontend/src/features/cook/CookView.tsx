import { useEffect, useRef, useState } from "react";
import { Link, useSearchParams } from "wouter";
import { type CookOut, type CookStep, type Trouble, troubleOf } from "@/api/client";
import { type Act, newKey, type Tell, tellOf, useCook, useCookActs, useTurns } from "@/api/cooks";
import { useUnits } from "@/api/queries";
import { InkTrace } from "@/drawing/InkTrace";
import { Alarms } from "@/features/cook/Alarms";
import { BeginPanel } from "@/features/cook/BeginPanel";
import { OwnTime } from "@/features/cook/OwnTime";
import { PotBox } from "@/features/cook/PotBox";
import { StepAside } from "@/features/cook/StepAside";
import { StepCard } from "@/features/cook/StepCard";
import { Turns } from "@/features/cook/Turns";
import { useAwake } from "@/features/cook/useAwake";
import { useCountdown } from "@/features/cook/useCountdown";
import { useNextKey } from "@/features/cook/useNextKey";
import { clockTime, clockTimeFrom } from "@/lib/clock";
import { doneWords, potTells, stepOf, toPressNow } from "@/lib/cook";
import { spokenTime } from "@/lib/format";
import { RecipeAside } from "@/parts/RecipeAside";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { useSound } from "@/ui/bell";
import { Checkbox } from "@/ui/Checkbox";
import { useWidth } from "@/ui/useWidth";

/** What now? One step at a time, beside the pot. */
export function CookView() {
  const [params] = useSearchParams();
  const id = params.get("cook");
  if (id === null) return <BeginPanel />;
  return <Beside key={id} id={id} />;
}

function Beside({ id }: { id: string }) {
  const { data: cook, error, dataUpdatedAt } = useCook(id);
  // the list of cooks stands above the step: it must not come later and push the step down
  const waits = useTurns().isPending && error === null;
  if (cook && !waits) return <Cook cook={cook} answeredAt={dataUpdatedAt} lost={error !== null} />;
  const trouble = error ? troubleOf(error) : null;
  return (
    <div className="p-6">
      {trouble ? (
        <p role="alert" className="border-care border-l-4 pl-3">
          <strong>{trouble.message}</strong> {trouble.hint}{" "}
          <Link href="/cook" className="underline">
            {say("cook-all-cooks")}
          </Link>
        </p>
      ) : (
        <p className="text-pencil">{say("shared-loading")}</p>
      )}
    </div>
  );
}

interface CookProps {
  cook: CookOut;
  answeredAt: number;
  lost: boolean;
}

function Cook({ cook: answered, answeredAt, lost }: CookProps) {
  const cook = useCountdown(answered, answeredAt);
  const acts = useCookActs(cook.id);
  const [sound, setSound] = useSound();
  const step = stepOf(cook, cook.current);
  const next = stepOf(cook, cook.next);
  const over = cook.ended_at !== null;
  useAwake(!over);
  const done = (anyway = false) => {
    if (!step || over || step.kind === "write_down") return;
    acts.mutate({
      kind: "tell",
      event: { kind: "done", key: newKey(), step_id: step.step_id, anyway },
    });
  };
  // a pot that tells is not overtaken by a knuckle on the space bar
  useNextKey(() => step && !potTells(cook, step) && done());
  const words = useRef<HTMLHeadingElement>(null);
  const shown = useRef(cook.current);
  useEffect(() => {
    // the new step is read out, and the space bar is free for it
    if (shown.current !== cook.current && !document.querySelector("[role=dialog]")) {
      words.current?.focus({ preventScroll: true });
    }
    shown.current = cook.current;
  }, [cook.current]);
  useEffect(() => {
    // a knuckle on a button is done with it: the space bar is for the step again
    const released = (event: MouseEvent) => {
      const at = event.target instanceof Element ? event.target.closest("button") : null;
      if (event.detail > 0 && at && !at.closest("[role=dialog]")) {
        words.current?.focus({ preventScroll: true });
      }
    };
    window.addEventListener("click", released);
    return () => window.removeEventListener("click", released);
  }, []);
  const last = [...cook.steps].reverse().find((item) => item.done_at);
  const undo = () => {
    if (!last) return;
    acts.mutate({
      kind: "tell",
      event: { kind: "undone", key: newKey(), step_id: last.step_id, anyway: false },
    });
  };
  const trouble = acts.error ? troubleOf(acts.error) : null;
  const doing = !over && step?.kind !== "write_down" ? step : undefined;
  return (
    <div className="mx-auto grid max-w-6xl gap-x-8 px-4 py-3 lg:grid-cols-[minmax(0,1fr)_23rem]">
      <div className="flex min-w-0 flex-col gap-3">
        <p className="flex flex-wrap items-baseline gap-x-4 text-pencil">
          <span data-typed className="font-semibold text-ink">
            {cook.name}
          </span>
          <span>
            {clockTime(cook.now)} {cook.speed > 1 && say("cook-time", { speed: cook.speed })}
          </span>
          {lost && (
            <strong className="text-care">{say("cook-the-app-does-not-answer-this")}</strong>
          )}
        </p>
        <OwnTime cook={cook} />
        <Turns here={cook.id} />
        <Alarms cook={cook} />
        {step?.kind !== "write_down" && <Refusal trouble={trouble} onGoOn={() => done(true)} />}
        {over ? (
          <p className="text-[1.375rem]">
            {say("cook-this-cook-is-over")}{" "}
            <Link href={`/log?cook=${cook.id}`} className="underline">
              {say("cook-see-it-in-the-log")}
            </Link>
          </p>
        ) : (
          step && (
            <StepCard cook={cook} step={step} act={tellOf(acts)} trouble={trouble} words={words} />
          )
        )}
        {doing && (
          <Doing
            cook={cook}
            step={doing}
            next={next}
            canUndo={last !== undefined}
            onDone={() => done()}
            onUndo={undo}
            act={tellOf(acts)}
          />
        )}
        {!over && (
          <div className="mt-4 flex flex-wrap items-center justify-between gap-x-8 gap-y-3">
            <Checkbox
              label={say("cook-ring-out-loud-on-this-device")}
              on={sound}
              onChange={setSound}
            />
            <GiveUp cook={cook} act={acts.mutate} />
          </div>
        )}
      </div>
      <aside className="mt-3 min-w-0 lg:mt-0">
        <Ahead cook={cook} />
        <Sheet cook={cook} />
        <RecipeAside cook={cook} />
        <PotBox cook={cook} act={acts.mutate} />
      </aside>
    </div>
  );
}

interface DoingProps {
  cook: CookOut;
  step: CookStep;
  next: CookStep | undefined;
  canUndo: boolean;
  onDone: () => void;
  onUndo: () => void;
  act: Tell;
}

/** The step is done, taken back, noted down, or left out. */
function Doing({ cook, step, next, canUndo, onDone, onUndo, act }: DoingProps) {
  return (
    <>
      <div className="flex flex-wrap items-center gap-3">
        <Button
          strong={toPressNow(cook, step)}
          className="min-h-[4rem] grow px-6 text-left text-[1.375rem] sm:grow-0"
          onClick={onDone}
        >
          {next
            ? say("cook-done-next", { waits: step.waits ?? "nothing", title: next.title })
            : doneWords(step)}
        </Button>
        {canUndo && (
          <Button className="min-h-[3rem]" onClick={onUndo}>
            {say("cook-undo-last-step")}
          </Button>
        )}
        <span className="hidden text-[0.875rem] text-pencil sm:inline">
          {potTells(cook, step) ? say("cook-the-cooker-tells-when") : say("cook-or-the-space-bar")}
        </span>
      </div>
      <StepAside key={step.step_id} step={step} act={act} />
    </>
  );
}

/** A cook can be given up from any step, and begun later than it was. */
function GiveUp({ cook, act }: { cook: CookOut; act: (act: Act) => void }) {
  const [asked, setAsked] = useState(false);
  const untouched = cook.steps.every(
    (step) => !step.done_at && !step.ticks.some((tick) => tick.on),
  );
  const tell = (kind: "began" | "abandoned") =>
    act({ kind: "tell", event: { kind, key: newKey() } });
  return (
    <span className="flex flex-wrap gap-2 text-[0.875rem]">
      {untouched && <Button onClick={() => tell("began")}>{say("cook-start-from-now")}</Button>}
      {asked ? (
        <>
          <Button onClick={() => tell("abandoned")}>{say("cook-yes-stop-this-cook")}</Button>
          <Button onClick={() => setAsked(false)}>{say("cook-keep-cooking")}</Button>
        </>
      ) : (
        <Button onClick={() => setAsked(true)}>{say("cook-stop-this-cook")}</Button>
      )}
    </span>
  );
}

/** Time that the cook time counts on is left. */
const TOO_SOON = "too_soon";

/** What was refused; a step may still be ended before its time, knowingly. */
function Refusal({ trouble, onGoOn }: { trouble: Trouble | null; onGoOn: () => void }) {
  if (!trouble) return null;
  return (
    <p role="alert" className="border-care border-l-4 bg-care-wash px-3 py-1 text-[1.125rem]">
      <strong>{trouble.message}</strong> {trouble.hint}
      {trouble.code === TOO_SOON && (
        <Button className="mt-1 block min-h-[3rem]" onClick={onGoOn}>
          {say("cook-go-on-now")}
        </Button>
      )}
    </p>
  );
}

/** When it is on the table, from what has happened so far, and the steps still to come. */
function Ahead({ cook }: { cook: CookOut }) {
  const late = Math.round(cook.forecast.late_s / 60);
  if (cook.ended_at) return null;
  return (
    <section aria-label={say("cook-what-is-next")}>
      <p>
        <span className="text-pencil">{say("cook-serve-at")} </span>
        <span className="font-bold font-dial text-[2.125rem]" data-testid="table-at">
          {clockTimeFrom(cook.now, cook.forecast.table_at)}
        </span>
        {Math.abs(late) >= 3 && (
          <span className={late > 0 ? "ml-2 text-care" : "ml-2 text-safe"}>
            {say(late > 0 ? "cook-later-than-planned" : "cook-sooner-than-planned", {
              by: spokenTime(Math.abs(late)),
            })}
          </span>
        )}
      </p>
      <ol className="mt-1 text-[0.875rem]">
        {cook.forecast.ahead.slice(1, 7).map((item) => (
          <li key={item.step_id} className="flex gap-2">
            <span className="min-w-[4.75rem] shrink-0 whitespace-nowrap font-dial">
              {clockTimeFrom(cook.now, item.begin_at)}
            </span>
            <span className="text-pencil">{stepOf(cook, item.step_id)?.title}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}

function Sheet({ cook }: { cook: CookOut }) {
  const units = useUnits();
  const [ref, width] = useWidth<HTMLDivElement>(360);
  return (
    <div ref={ref} className="mt-3 bg-sheet">
      <InkTrace cook={cook} width={width} units={units} />
    </div>
  );
}
