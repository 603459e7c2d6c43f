import { useState } from "react";
import type { CookOut, HandAction, PotCommand } from "@/api/client";
import type { Act } from "@/api/cooks";
import { press, useCookClock } from "@/api/cooks";
import { useUnits } from "@/api/queries";
import { leftTime, stateWords } from "@/lib/cook";
import { pressureText, temperatureText } from "@/lib/format";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { Checkbox } from "@/ui/Checkbox";

interface Props {
  cook: CookOut;
  act: (act: Act) => void;
}

const hands = (): { what: HandAction; words: string; volume?: string }[] => [
  { what: "lid_on", words: say("cook-lid-on") },
  { what: "lid_off", words: say("cook-lid-off") },
  { what: "stir", words: say("cook-scrape-up-the-browned-bits") },
  { what: "pour", words: say("cook-pour-in-a-little-liquid"), volume: "100 ml" },
  { what: "vessel_out", words: say("cook-inner-pot-out") },
  { what: "vessel_in", words: say("cook-inner-pot-in") },
];
const panelButtons = (): { what: PotCommand; words: string }[] => [
  { what: "stop", words: say("cook-stop") },
  { what: "shut_valve", words: say("cook-close-the-valve") },
];
const SPEEDS = [1, 10, 60, 240] as const;
const faultNames = (): { name: keyof NonNullable<CookOut["faults"]>; words: string }[] => [
  { name: "stuck_base", words: say("cook-something-scorched") },
  { name: "leaking_gasket", words: say("cook-leaking-gasket") },
  { name: "weak_heater", words: say("cook-weak-heater") },
  { name: "away", words: say("cook-does-not-answer") },
];

/** The simulated pot: what it shows, its panel, the hands beside it, faults, and how fast. */
export function PotBox({ cook, act }: Props) {
  const units = useUnits();
  const clock = useCookClock(cook.id);
  const [there, setThere] = useState(false);
  const { faults } = cook;
  if (!cook.connected && !cook.ended_at) {
    return (
      <Button className="mt-3" onClick={() => act({ kind: "connect", on: true })}>
        {say("cook-connect-the-simulated-cooker")}
      </Button>
    );
  }
  if (!faults) return null;
  return (
    <section
      aria-label={say("cook-the-simulated-cooker")}
      className="mt-3 border-2 border-edge border-dashed p-3 text-[0.875rem]"
    >
      <h2 className="font-semibold text-[1rem]">{say("cook-simulated-cooker")}</h2>
      <p className="text-pencil">{say("cook-this-is-practice")}</p>
      <p data-testid="pot-state" className="text-[1rem]">
        {cook.pot ? (
          <>
            <strong>{stateWords()[cook.pot.state]}</strong>
            {say("cook-pin", {
              temp_c: temperatureText(cook.pot.temp_c, units),
              gauge_pa: pressureText(cook.pot.gauge_pa / 1000, units),
              pin: cook.pot.pin_up ? "up" : "down",
            })}
            {cook.pot.left_s !== null && (
              <> · {say("cook-left", { left_s: leftTime(cook.pot.left_s) })}</>
            )}
            {cook.pot.spitting && <strong className="text-care"> {say("cook-it-sprays")}</strong>}
          </>
        ) : (
          <strong className="text-care">{say("cook-it-does-not-answer-go-on")}</strong>
        )}
      </p>
      <details open className="mt-1">
        <summary className="cursor-pointer font-medium">{say("cook-its-controls")}</summary>
        <div className="mt-1 flex flex-wrap gap-1.5">
          {hands().map(({ what, words, volume }) => (
            <Button
              key={what}
              onClick={() => act({ kind: "hands", what, ...(volume && { volume }) })}
            >
              {words}
            </Button>
          ))}
          {panelButtons().map(({ what, words }) => (
            <Button key={what} onClick={() => act(press(what, there))}>
              {words}
            </Button>
          ))}
          <Button onClick={() => act(press("start", there))}>{say("cook-start")}</Button>
          <Button onClick={() => act(press("vent", there))}>{say("cook-open-the-valve")}</Button>
        </div>
        <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1">
          <Checkbox label={say("cook-i-am-at-the-cooker")} on={there} onChange={setThere} />
          {faultNames().map(({ name, words }) => (
            <Checkbox
              key={name}
              label={words}
              on={faults[name]}
              onChange={(on) => act({ kind: "faults", change: { [name]: on } })}
            />
          ))}
          <label className="flex items-center gap-1">
            {say("cook-time-2")}
            <select
              aria-label={say("cook-how-fast-time-runs")}
              value={cook.speed}
              onChange={(event) =>
                clock.mutate({ speed: Number(event.target.value) as (typeof SPEEDS)[number] })
              }
              className="rounded-sm border border-edge bg-sheet px-1 py-0.5"
            >
              {SPEEDS.map((value) => (
                <option key={value} value={value}>
                  ×{value}
                </option>
              ))}
            </select>
          </label>
        </div>
      </details>
      {!cook.ended_at && (
        <Button className="mt-2" onClick={() => act({ kind: "connect", on: false })}>
          {say("cook-put-it-away")}
        </Button>
      )}
    </section>
  );
}
