import { useState } from "react";
import type { ReadyByOut } from "@/api/client";
import { useReadyBy } from "@/api/queries";
import type { Bench } from "@/features/bench/useBench";
import { cookTime, minutesUntil, spokenTime } from "@/lib/format";
import { FINISH_WORDS, RELEASE_WORDS } from "@/lib/words";
import { Answered } from "@/ui/Answered";

interface Props {
  bench: Bench;
}

/** Which ways are at the table in time, counted from putting the lid on now. */
export function ReadyBy({ bench }: Props) {
  const [clock, setClock] = useState("");
  const minutes = minutesUntil(clock, new Date());
  const { data, isPlaceholderData } = useReadyBy(bench.stale ? null : bench.settled, minutes);
  const delayS = bench.plan?.longest_delay_s;
  return (
    <div className="text-[0.875rem]">
      <label className="flex items-center gap-2">
        Serve at
        <input
          type="time"
          value={clock}
          onChange={(event) => setClock(event.target.value)}
          className="rounded-sm border border-edge bg-sheet px-2 py-0.5 font-dial text-[0.9375rem]"
        />
        {minutes !== null && <span className="text-pencil">in {spokenTime(minutes)}</span>}
      </label>
      {minutes === null ? (
        <p className="mt-1 text-pencil">
          Type the serving time. The ways that make it appear here, with rest and finish counted.
        </p>
      ) : (
        data && (
          <Answered busy={isPlaceholderData}>
            <Ways ways={data.ways} bench={bench} />
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
          ? `Delayed start: ${spokenTime(minutes)} at most.`
          : "Do not use delayed start with this piece."}
      </strong>{" "}
      Raw meat may be between 4 °C (40 °F) and 60 °C (140 °F) for two hours in all, heating included
      (USDA; check local advice).
    </p>
  );
}

function Ways({ ways, bench }: { ways: ReadyByOut["ways"]; bench: Bench }) {
  const best = ways.slice(0, 6);
  return (
    <table className="mt-1 w-full text-[13.5px]" aria-label="ways to be ready">
      <tbody>
        {best.map((way) => (
          <tr
            key={`${way.parts} ${way.release} ${way.finish}`}
            className="border-rule border-t align-baseline"
          >
            <td className="py-px">
              <button
                type="button"
                title="use this"
                onClick={() =>
                  bench.change({
                    release: way.release,
                    minutes: "",
                    finish: way.finish,
                    ...(KNIVES[way.parts] && !bench.wish.knife && { knife: KNIVES[way.parts] }),
                  })
                }
                className="text-left underline decoration-edge underline-offset-2"
              >
                {PARTS[way.parts] ?? "as it is"}, {RELEASE_WORDS[way.release].name},{" "}
                {FINISH_WORDS[way.finish].name}
              </button>
            </td>
            <td className="w-12 text-right font-semibold">{cookTime(way.answer.hold_min)}</td>
            <td className="w-32 text-right">
              {way.spare_s >= 0
                ? `${spokenTime(way.spare_s / 60)} to spare`
                : `${spokenTime(-way.spare_s / 60)} late`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const KNIVES: Record<number, string> = { 2: "halved", 4: "quartered" };
const PARTS: Record<number, string> = { 1: "as it is", 2: "halved", 4: "quartered" };
