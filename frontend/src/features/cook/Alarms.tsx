import type { CookOut } from "@/api/client";
import { useWorth } from "@/api/cooks";
import { say } from "@/text/say";

/** After these the minutes it had are worth something. */
const STOPPED = new Set(["stopped_hot", "stopped_early"]);

/** What goes wrong now, and what to do, in order. */
export function Alarms({ cook }: { cook: CookOut }) {
  const stopped = cook.alarms.some((alarm) => STOPPED.has(alarm.kind));
  const worth = useWorth(cook.id, stopped).data;
  if (cook.alarms.length === 0) return null;
  return (
    <div role="alert" className="flex flex-col gap-2">
      {cook.alarms.map((alarm) => (
        <section
          key={alarm.kind}
          data-testid="alarm"
          className="border-care border-l-8 bg-care-wash px-4 py-2"
        >
          <h2 className="font-bold text-[1.375rem]">{alarm.title}</h2>
          <ol className="list-decimal pl-6 text-[1.0625rem]">
            {alarm.do.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
          {STOPPED.has(alarm.kind) && worth && (
            <p className="font-medium text-[1.0625rem]">
              {worth.advice}
              {worth.hold_min > 0 &&
                ` ${say("cook-set-min-for-the-rest", { hold_min: worth.hold_min })}`}
            </p>
          )}
        </section>
      ))}
    </div>
  );
}
