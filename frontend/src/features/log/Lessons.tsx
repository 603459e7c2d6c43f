import { Link } from "wouter";
import type { Lesson } from "@/api/client";
import { useLessons, useSetBack } from "@/api/log";
import { usePots } from "@/api/queries";
import { minutesWords, taughtWords } from "@/lib/lessons";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

/** What the log taught: how far, by which cooks, what to vary next, and setting it back. */
export function Lessons({ cutName }: { cutName: (id: string) => string }) {
  const lessons = useLessons().data?.lessons ?? [];
  const pots = usePots().data?.pots ?? [];
  const change = useSetBack();
  if (lessons.length === 0) return null;
  const nameOf = (lesson: Lesson) =>
    lesson.kind === "taste"
      ? cutName(lesson.key)
      : (pots.find((pot) => pot.id === lesson.key)?.pot.name ?? say("log-a-cooker"));
  return (
    <section aria-labelledby="lessons-title" className="mt-5">
      <h2 id="lessons-title" className="font-semibold text-[1.125rem]">
        {say("log-adjustments-from-your-log")}
      </h2>
      <p className="text-[0.875rem] text-pencil">{say("log-every-plan-is-adjusted-by-how")}</p>
      <ul aria-label={say("log-adjustments")} className="mt-1 border-rule border-t">
        {lessons.map((lesson) => (
          <li
            key={`${lesson.kind} ${lesson.key}`}
            className="flex flex-wrap items-start justify-between gap-x-6 gap-y-1 border-rule border-b py-1.5"
          >
            <div className="min-w-0">
              <p>
                <span className="font-semibold">{nameOf(lesson)}</span>:{" "}
                {lesson.cooks.length > 0 ? taughtWords(lesson) : say("log-reset-no-cook-since")}
                <Span lesson={lesson} />
              </p>
              {lesson.cooks.length > 0 && (
                <p className="text-[0.875rem] text-pencil">
                  {say("log-by")}{" "}
                  {lesson.cooks.slice(0, 5).map((cook, index) => (
                    <span key={cook.id}>
                      {index > 0 && ", "}
                      <Link href={`/log?cook=${cook.id}`} className="underline">
                        {cook.name}
                      </Link>
                    </span>
                  ))}
                  {lesson.cooks.length > 5 &&
                    ` ${say("log-and-more", { cooks: lesson.cooks.length - 5 })}`}
                </p>
              )}
              {lesson.next && (
                <p className="text-[0.875rem]">
                  {say("log-to-learn-most-next-time", { next: lesson.next })}
                </p>
              )}
            </div>
            <Button
              className="text-[0.875rem]"
              aria-label={`${lesson.set_back ? say("log-undo-reset-for") : say("log-reset-2")} ${nameOf(lesson)}`}
              onClick={() =>
                change.mutate({ kind: lesson.kind, key: lesson.key, on: !lesson.set_back })
              }
            >
              {lesson.set_back ? say("log-undo-reset") : say("log-reset")}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** How far it may be off, on a usual piece. */
function Span({ lesson }: { lesson: Lesson }) {
  const { low_min: low, high_min: high } = lesson;
  if (lesson.cooks.length === 0 || typeof low !== "number" || typeof high !== "number") return null;
  return (
    <span className="text-[0.875rem] text-pencil">
      {" "}
      {say("log-on-a-usual-piece-nine-in", { low: minutesWords(low), high: minutesWords(high) })}
    </span>
  );
}
