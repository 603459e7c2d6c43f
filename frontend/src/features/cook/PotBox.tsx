import { useState } from "react";
import type { CookOut, HandAction, PotCommand } from "@/api/client";
import type { Act } from "@/api/cooks";
import { press, useCookClock } from "@/api/cooks";
import { useUnits } from "@/api/queries";
import { leftTime, STATE_WORDS } from "@/lib/cook";
import { pressureText, temperatureText } from "@/lib/format";
import { Button } from "@/ui/Button";
import { Tick } from "@/ui/Tick";

interface Props {
  cook: CookOut;
  act: (act: Act) => void;
}

const HANDS: { what: HandAction; words: string; volume?: string }[] = [
  { what: "lid_on", words: "lid on" },
  { what: "lid_off", words: "lid off" },
  { what: "stir", words: "scrape up the browned bits" },
  { what: "pour", words: "pour in a little liquid", volume: "100 ml" },
  { what: "vessel_out", words: "inner pot out" },
  { what: "vessel_in", words: "inner pot in" },
];
const PANEL: { what: PotCommand; words: string }[] = [
  { what: "stop", words: "stop" },
  { what: "shut_valve", words: "close the valve" },
];
const SPEEDS = [1, 10, 60, 240] as const;
const FAULTS: { name: keyof NonNullable<CookOut["faults"]>; words: string }[] = [
  { name: "stuck_base", words: "something scorched" },
  { name: "leaking_gasket", words: "leaking gasket" },
  { name: "weak_heater", words: "weak heater" },
  { name: "away", words: "does not answer" },
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
        Connect the simulated cooker
      </Button>
    );
  }
  if (!faults) return null;
  return (
    <section
      aria-label="the simulated cooker"
      className="mt-3 border-2 border-edge p-3 text-[0.875rem]"
    >
      <h2 className="font-semibold text-[1rem]">Simulated cooker</h2>
      <p data-testid="pot-state" className="text-[1rem]">
        {cook.pot ? (
          <>
            <strong>{STATE_WORDS[cook.pot.state]}</strong>;{" "}
            {temperatureText(cook.pot.temp_c, units)},{" "}
            {pressureText(cook.pot.gauge_pa / 1000, units)}, pin {cook.pot.pin_up ? "up" : "down"}
            {cook.pot.left_s !== null && `, ${leftTime(cook.pot.left_s)} left`}
            {cook.pot.spitting && <strong className="text-care"> · it sprays</strong>}
          </>
        ) : (
          <strong className="text-care">It does not answer; go on by hand.</strong>
        )}
      </p>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {HANDS.map(({ what, words, volume }) => (
          <Button
            key={what}
            onClick={() => act({ kind: "hands", what, ...(volume && { volume }) })}
          >
            {words}
          </Button>
        ))}
        {PANEL.map(({ what, words }) => (
          <Button key={what} onClick={() => act(press(what, there))}>
            {words}
          </Button>
        ))}
        <Button onClick={() => act(press("start", there))}>start</Button>
        <Button onClick={() => act(press("vent", there))}>open the valve</Button>
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1">
        <Tick label="I am at the cooker" on={there} onChange={setThere} />
        {FAULTS.map(({ name, words }) => (
          <Tick
            key={name}
            label={words}
            on={faults[name]}
            onChange={(on) => act({ kind: "faults", change: { [name]: on } })}
          />
        ))}
        <label className="flex items-center gap-1">
          time
          <select
            aria-label="how fast time runs"
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
    </section>
  );
}
