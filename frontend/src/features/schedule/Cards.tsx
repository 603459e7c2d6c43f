import type { DayOut } from "@/api/client";
import { letter } from "@/drawing/LaneChart";
import {
  cookTime,
  cookTimes,
  lengthText,
  spokenTime,
  temperatureText,
  type Units,
} from "@/lib/format";
import { RACK_WORDS } from "@/lib/words";
import { say } from "@/text/say";

interface Props {
  day: DayOut;
  units: Units;
}

/** A card for each dish, one page on paper: what is set, what to look for, what to mind. */
export function Cards({ day, units }: Props) {
  return (
    <section aria-labelledby="cards-title" className="mt-4">
      <h2 id="cards-title" className="font-semibold text-[1.125rem] print:hidden">
        {say("schedule-kitchen-cards")}
      </h2>
      <ul className="grid gap-4 lg:grid-cols-2 print:block">
        {day.cards.map((card, index) => (
          <li
            key={card.dish_id}
            className="border-2 border-edge p-3 print:break-before-page print:break-inside-avoid"
            data-testid="card"
          >
            <h3 className="font-bold text-[1.1875rem]">
              {letter(index)} {card.title}
            </h3>
            <p>
              {say("schedule-for-to-servings", {
                meat: card.meats.join("; "),
                plates_from: card.plates_from,
                plates_to: card.plates_to,
              })}
            </p>
            <p className="font-bold font-dial text-[2.75rem] leading-tight">
              {cookTime(card.hold_min)}
              {card.then_min != null && (
                <span className="block text-[1.25rem] leading-snug">
                  {say("schedule-then-for-the-rest", { then_min: cookTime(card.then_min) })}
                </span>
              )}
            </p>
            <dl className="grid grid-cols-[auto_1fr] gap-x-3">
              <Row term={say("schedule-cook-time")}>
                {say("schedule-at-pressure-in-likely-range", {
                  hold_min: spokenTime(card.hold_min),
                  level: card.level,
                  pot: card.pot,
                  hold_low_min: cookTimes(card.hold_low_min, card.hold_high_min),
                  runs: card.runs,
                })}
              </Row>
              <Row term={say("schedule-liquid")}>{card.liquid_shown[units]}</Row>
              <Row term={say("schedule-trivet")}>{RACK_WORDS[card.rack].name}</Row>
              <Row term={say("schedule-release")}>{card.release_shown}</Row>
              <Row term={say("schedule-look-for")}>{card.looks}</Row>
              <Row term={say("schedule-raw-meat")}>
                {say(card.cold_chain_safe ? "schedule-raw-out" : "schedule-raw-out-too-long", {
                  out: spokenTime(card.out_s / 60),
                })}
              </Row>
              <Row term={say("schedule-leftovers")}>
                {say(card.leftovers_safe ? "schedule-cools" : "schedule-cools-too-slowly", {
                  thick: lengthText(0.025, units),
                  warm: temperatureText(21, units),
                  warm_after: spokenTime(card.leftovers_to_21_s / 60),
                  cold: temperatureText(5, units),
                  cold_after: spokenTime(card.leftovers_to_5_s / 60),
                })}
              </Row>
            </dl>
            <ul className="mt-1 text-[0.875rem]">
              {card.cautions.map((text) => (
                <li key={text} className="border-care border-l-4 px-2 font-medium">
                  {text}
                </li>
              ))}
              <li className="border-edge border-l-4 px-2">
                {say("schedule-open-the-lid-only-when-the")}
              </li>
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Row({ term, children }: { term: string; children: React.ReactNode }) {
  return (
    <>
      <dt className="text-pencil">{term}</dt>
      <dd>{children}</dd>
    </>
  );
}
