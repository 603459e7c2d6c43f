import { useState } from "react";
import type { ReadyByOut } from "@/api/client";
import { useReadyBy } from "@/api/queries";
import type { Planner } from "@/features/plan/usePlanner";
import { cookTime, minutesUntil, spokenTime } from "@/lib/format";
import { FINISH_WORDS, RELEASE_WORDS } from "@/lib/words";
import { say } from "@/text/say";
import { Answered } from "@/ui/Answered";

interface Props {
  planner: Planner;
}

/** Which ways are at the table in time, counted from putting the lid on now. */
export function ReadyBy({ planner }: Props) {
  const [clock, setClock] = useState("");
  const minutes = minutesUntil(clock, new Date());
  const { data, isPlaceholderData } = useReadyBy(planner.stale ? null : planner.settled, minutes);
  const delayS = planner.plan?.longest_delay_s;
  return (
    <div className="text-[0.875rem]">
      <label className="flex items-center gap-2">
        {say("plan-serve-at")}
        <input
          type="time"
          value={clock}
          onChange={(event) => setClock(event.target.value)}
          className="rounded-sm border border-edge bg-sheet px-2 py-0.5 font-dial text-[0.9375rem]"
        />
        {minutes !== null && (
          <span className="text-pencil">{say("plan-in", { minutes: spokenTime(minutes) })}</span>
        )}
      </label>
      {minutes === null ? (
        <p className="mt-1 text-pencil">{say("plan-type-the-serving-time-the-ways")}</p>
      ) : (
        data && (
          <Answered busy={isPlaceholderData}>
            <Ways ways={data.ways} planner={planner} />
          </Answered>
        )
      )}
      {typeof delayS === "number" && <Delay minutes={Math.floor(delayS / 60)} />}
    </div>
  );
}

/** A start that is set for later leaves raw meat in a warm kitchen. */
function Delay({ minutes }: { minutes: number }) {
  return (
    <p className="mt-1 border-care border-l-4 pl-2" data-testid="delay">
      <strong className="font-semibold">
        {minutes > 0
          ? say("plan-delayed-start-at-most", { minutes: spokenTime(minutes) })
          : say("plan-do-not-use-delayed-start-with")}
      </strong>{" "}
      {say("plan-raw-meat-may-be-between-4")}
    </p>
  );
}

function Ways({ ways, planner }: { ways: ReadyByOut["ways"]; planner: Planner }) {
  const best = ways.slice(0, 6);
  return (
    <table className="mt-1 w-full text-[13.5px]" aria-label={say("plan-ways-to-be-ready")}>
      <tbody>
        {best.map((way) => (
          <tr
            key={`${way.parts} ${way.release} ${way.finish}`}
            className="border-rule border-t align-baseline"
          >
            <td className="py-px">
              <button
                type="button"
                title={say("plan-use-this")}
                onClick={() =>
                  planner.change({
                    release: way.release,
                    minutes: "",
                    finish: way.finish,
                    ...(KNIVES[way.parts] &&
                      !planner.request.knife && { knife: KNIVES[way.parts] }),
                  })
                }
                className="text-left underline decoration-edge underline-offset-2"
              >
                {partWords()[way.parts] ?? say("plan-as-it-is")}, {RELEASE_WORDS[way.release].name},{" "}
                {FINISH_WORDS[way.finish].name}
              </button>
            </td>
            <td className="w-12 text-right font-semibold">{cookTime(way.answer.hold_min)}</td>
            <td className="w-32 text-right">
              {way.spare_s >= 0
                ? say("plan-to-spare", { spare_s: spokenTime(way.spare_s / 60) })
                : say("plan-late", { spare_s: spokenTime(-way.spare_s / 60) })}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const KNIVES: Record<number, string> = { 2: "halved", 4: "quartered" };
const partWords = (): Record<number, string> => ({
  1: say("plan-as-it-is"),
  2: "halved",
  4: "quartered",
});
