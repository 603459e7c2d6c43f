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
import { RACK_WORDS, RELEASE_WORDS } from "@/lib/words";

interface Props {
  day: DayOut;
  units: Units;
}

/** A card for each dish, one page on paper: what is set, what to look for, what to mind. */
export function Cards({ day, units }: Props) {
  return (
    <section aria-labelledby="cards-title" className="mt-4">
      <h2 id="cards-title" className="font-semibold text-[1.125rem] print:hidden">
        Kitchen cards
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
              {card.meat}; for {card.plates_from} to {card.plates_to} servings
            </p>
            <p className="font-bold font-dial text-[2.75rem] leading-tight">
              {cookTime(card.hold_min)}
            </p>
            <dl className="grid grid-cols-[auto_1fr] gap-x-3">
              <Row term="cook time">
                {spokenTime(card.hold_min)} at {card.level} pressure in {card.pot}, likely range{" "}
                {cookTimes(card.hold_low_min, card.hold_high_min)}
                {card.runs > 1 ? `, ${card.runs} batches` : ""}
              </Row>
              <Row term="liquid">{card.liquid_shown[units]}</Row>
              <Row term="trivet">{RACK_WORDS[card.rack].name}</Row>
              <Row term="release">{RELEASE_WORDS[card.release].says}</Row>
              <Row term="look for">{card.looks}</Row>
              <Row term="raw meat">
                out of the refrigerator for {spokenTime(card.out_s / 60)} until its center is hot
                {card.cold_chain_safe
                  ? ""
                  : ". That is more than two hours, so keep it cold longer"}
              </Row>
              <Row term="leftovers">
                flat in bags, {lengthText(0.025, units)}, in the refrigerator:{" "}
                {temperatureText(21, units)} after {spokenTime(card.leftovers_to_21_s / 60)},{" "}
                {temperatureText(5, units)} after {spokenTime(card.leftovers_to_5_s / 60)}
                {card.leftovers_safe ? "" : ". That is too slow: cool it in ice water first"}
              </Row>
            </dl>
            <ul className="mt-1 text-[0.875rem]">
              {card.cautions.map((text) => (
                <li key={text} className="border-care border-l-4 px-2 font-medium">
                  {text}
                </li>
              ))}
              <li className="border-edge border-l-4 px-2">
                Open the lid only when the pin is down, away from your face. The maker’s manual and
                local food-safety advice come first.
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
