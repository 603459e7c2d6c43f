import { type ReactNode, useEffect } from "react";
import type { PlanOut } from "@/api/client";
import { useCatalogue, useLastPlan } from "@/api/queries";
import { spokenTime } from "@/lib/format";
import { APP_KEYS, BENCH_KEYS, COOK_KEYS, MARK_KEYS } from "@/lib/keys";
import { RACK_WORDS, RELEASE_WORDS, SCHOOL_WORDS, SOURCE_WORDS } from "@/lib/words";

/** Why? The schools, the lid, releasing, measuring, looks, cautions, how the number is made. */
export function GuideView() {
  const plan = useLastPlan();
  useEffect(() => {
    document.getElementById(window.location.hash.slice(1))?.scrollIntoView();
  }, []);
  return (
    <div className="mx-auto max-w-3xl px-4 py-5 text-[0.9375rem]">
      <h1 className="font-bold text-[1.625rem]">Guide</h1>
      <p className="mt-1 font-semibold">
        The maker’s manual and local food-safety advice come before anything here.
      </p>
      <nav aria-label="On this page" className="mt-2 flex flex-wrap gap-x-4 gap-y-1 print:hidden">
        {PARTS.map(([id, name]) => (
          <a key={id} href={`#${id}`} className="underline underline-offset-4">
            {name}
          </a>
        ))}
      </nav>
      <Schools />
      <Part id="lid" title="Before the lid">
        <Steps
          steps={[
            "Liquid in? People forget it.",
            "Gasket seated all round; pin free; screen of the valve clear.",
            "Valve to sealing. Pot dry outside and standing firm.",
            "Never force the lid, and never start a delayed program on raw meat.",
          ]}
        />
      </Part>
      <Part id="release" title="Letting the pressure go">
        <Terms entries={Object.values(RELEASE_WORDS).map(({ name, says }) => [name, says])} />
        <Steps
          steps={[
            "Face and hands out of the jet, oven mitts on, a towel near the valve and never on it.",
            "A nearly full pot spits: wait a quarter of an hour, then vent in short pulses.",
            "Open only with the pin down, the valve open and no steam; the lid turns without force and opens away from you.",
          ]}
        />
      </Part>
      <Measuring />
      <Looks />
      <Cautions />
      <HowMade plan={plan} />
      <Part id="convert" title="A recipe for another fire">
        <Steps steps={CONVERTING} />
      </Part>
      <Part id="day" title="Counting the day back">
        <Steps steps={COUNTING} />
      </Part>
      <Part id="beside" title="Beside the pot">
        <Steps steps={BESIDE} />
        <Terms entries={TROUBLE} />
      </Part>
      <Part id="log" title="The log, and what it teaches">
        <Steps steps={LOGGING} />
      </Part>
      <Part id="words" title="Words">
        <Terms entries={GLOSSARY} />
      </Part>
      <Part id="keys" title="Keys">
        <Terms entries={KEYS} />
      </Part>
    </div>
  );
}

const PARTS: [string, string][] = [
  ["schools", "Schools"],
  ["lid", "Before the lid"],
  ["release", "Letting go"],
  ["measure", "Measuring"],
  ["looks", "When it is done"],
  ["cautions", "Cautions"],
  ["number", "How the number is made"],
  ["convert", "A recipe"],
  ["day", "The day"],
  ["beside", "Beside the pot"],
  ["log", "The log"],
  ["words", "Words"],
  ["keys", "Keys"],
];

const CONVERTING = [
  "Paste a recipe, or open a file, in Convert. What was read stands beside what was written; what is unclear is asked.",
  "The minutes never come from the other fire: cut, size and texture decide. The other method is reckoned too, and the two are compared.",
  "Thick, sweet and dairy things move to after the pressure, crust to the end; every change is marked in pencil with its reason, and can be overruled.",
];
const COUNTING = [
  "Say when it is on the table. Thawing, salting, browning, heating up, the hold, the fall, rest, sauce and carving are counted back from there.",
  "Several dishes share pots, pans, oven and hands; what clashes is told, with ways out.",
  "Pin what must stand, tick what has begun. Cooked beside the pot, a dish tells the day itself, and a late come-up moves everything after it.",
];
const BESIDE = [
  "One step at a time: what to do, what to look for, and what if not so. The space bar says that it is done.",
  "Timers run in the app, not on the screen: shut the page, and they still ring when it is opened again.",
  "With several dishes on, the one that needs hands stands at the top.",
  "A start and a vent from afar want somebody at the pot.",
];
const TROUBLE: [string, string][] = [
  [
    "no pressure",
    "Steam at the rim: the gasket. Steam at the valve: shut it. No steam: heat, or liquid.",
  ],
  [
    "too hot",
    "Let the pin drop, lid off, scrape the base bare, a splash of thin liquid, lid on. What it had counts, and the pot is set for the rest.",
  ],
  [
    "power cut",
    "Lid stays on: it goes on cooking while it falls. Set it again for what is missing.",
  ],
  [
    "not done",
    "Say how it looks, or what a probe reads: back for so many minutes, never by guess.",
  ],
];
const LOGGING = [
  "Every cook keeps its sheet: what was planned in pencil, what happened in ink, how it came out, photos, a line for next time.",
  "Two sheets can be laid together; pieces of one pot are judged alone and laid over each other, membrane on against membrane off.",
  "A rung that was misjudged, or a weight found later: the closed sheet is written anew, and learned from anew.",
  "What came out moves the next plan: your taste by the cut, heating up by the pot. Each plan says how far and by which cooks, and it can be set back.",
  "The log comes and goes as CSV and JSON-LD; the same file twice adds nothing.",
];

function Part({ id, title, children }: { id: string; title: string; children: ReactNode }) {
  return (
    <section aria-labelledby={`${id}-title`} id={id} className="mt-6 scroll-mt-4">
      <h2 id={`${id}-title`} className="border-ink border-b-2 font-semibold text-[1.1875rem]">
        {title}
      </h2>
      <div className="mt-1.5 flex flex-col gap-1.5">{children}</div>
    </section>
  );
}

function Steps({ steps }: { steps: string[] }) {
  return (
    <ol className="list-decimal pl-5">
      {steps.map((step) => (
        <li key={step} className="py-0.5">
          {step}
        </li>
      ))}
    </ol>
  );
}

function Terms({ entries }: { entries: [string, string][] }) {
  return (
    <dl className="grid grid-cols-[minmax(7rem,auto)_1fr] gap-x-4 gap-y-1">
      {entries.map(([term, text]) => (
        <div key={term} className="contents">
          <dt className="font-semibold">{term}</dt>
          <dd>{text}</dd>
        </div>
      ))}
    </dl>
  );
}

function Schools() {
  const schools: [string, string][] = [
    [SCHOOL_WORDS.steam.name, `${SCHOOL_WORDS.steam.says}. Ribs, wings, anything to be crisped.`],
    [SCHOOL_WORDS.short_braise.name, `${SCHOOL_WORDS.short_braise.says}. Roasts and blocks.`],
    [SCHOOL_WORDS.bath.name, `${SCHOOL_WORDS.bath.says}. Takes longer to heat and to fall.`],
    [SCHOOL_WORDS.lean.name, `${SCHOOL_WORDS.lean.says}. The juice comes only after pressure.`],
  ];
  return (
    <Part id="schools" title="How much liquid, and on what">
      <Terms entries={schools} />
      <Terms entries={Object.values(RACK_WORDS).map(({ name, says }) => [name, says])} />
    </Part>
  );
}

function Measuring() {
  const catalogue = useCatalogue();
  return (
    <Part id="measure" title="Measuring">
      <p>
        Thickness sets the time: the shortest way through, at the thickest solid meat, after
        trimming. Half a centimetre is worth ten minutes and more. A tapered piece is measured at
        its thick third, a rolled one across the roll.
      </p>
      <Terms
        entries={(catalogue.data?.cuts ?? []).map((cut): [string, string] => [
          cut.name,
          cut.measure,
        ])}
      />
    </Part>
  );
}

function Looks() {
  const catalogue = useCatalogue();
  const cuts = catalogue.data?.cuts ?? [];
  const firsts = cuts.filter(
    (cut, index) => cuts.findIndex((other) => other.family === cut.family) === index,
  );
  return (
    <Part id="looks" title="When it is done">
      {firsts.map((cut) => (
        <p key={cut.id}>
          <strong className="font-semibold">{cut.family}: </strong>
          {cut.ladder.map((rung) => rung.looks).join(" → ")}
        </p>
      ))}
      <p>
        Hard and springing back is too early; breaking into dry threads is too late. A lean flat
        goes dry soon after it falls apart; well-marbled meat forgives more.
      </p>
    </Part>
  );
}

function Cautions() {
  return (
    <Part id="cautions" title="Cautions">
      <ul className="list-disc pl-5">
        {CAUTIONS.map(([text, source]) => (
          <li key={text} className="py-0.5">
            {text} <span className="text-pencil">({source})</span>
          </li>
        ))}
      </ul>
    </Part>
  );
}

const CAUTIONS: [string, string][] = [
  [
    "Beef and pork in one piece: 63 °C (145 °F) and 3 min of rest. Poultry and leftovers: 74 °C (165 °F).",
    "USDA FSIS, from memory",
  ],
  [
    "Two hours at most between 4 and 60 °C; one when the kitchen is over 32 °C.",
    "USDA, from memory",
  ],
  [
    "Cool from 57 to 21 °C in 2 h and to 5 °C in 6 h in all: shallow, portioned, never in the pot.",
    "FDA Food Code 3-501.14, from memory",
  ],
  ["Never above the maximum line; half full for what foams or swells.", "makers’ manuals"],
  [
    "Never below the least thin liquid. Thick or sweet sauce goes on top, or in after.",
    "makers’ manuals",
  ],
  [
    "Starch, dairy and most sugar after pressure. Alcohol is boiled off first, lid off.",
    "common practice",
  ],
  [
    "Do not rinse raw meat; pat it dry. A marinade that held raw meat is boiled before it is a sauce.",
    "USDA, from memory",
  ],
  [
    "A thick frozen roast is thawed in the refrigerator first. Never brown, chill and finish another day.",
    "USDA FSIS, from memory",
  ],
  [
    "Steam round the lid: unplug and stand back. Never defeat an interlock or block a valve.",
    "makers’ manuals",
  ],
];

function HowMade({ plan }: { plan: PlanOut | undefined }) {
  return (
    <Part id="number" title="How the number is made">
      <p>
        The pot: a heat balance of plate, vessel, liquid and meat gives its temperature over time,
        at your altitude. The meat: heat conduction in a block gives the temperature inside; where
        pieces touch, little heat gets between them. Softness: minutes above 70 °C six tenths of the
        way from the middle to the surface, weighed by how hot they were, against what this texture
        needs; those needs are fitted to common practice. Safety goes by the middle.
      </p>
      {plan ? (
        <>
          <p>
            Your last plan: water boils at {plan.setting.boil_temp_c.toFixed(1)} °C here and the pot
            holds {plan.setting.hold_temp_c.toFixed(1)} °C. From lid on to lid off it takes{" "}
            {spokenTime(plan.lid_on_to_open_s / 60)}.
          </p>
          <ul className="list-disc pl-5">
            {plan.reasons
              .filter((reason) => reason.about === "hold")
              .map((reason) => (
                <li key={reason.fact}>
                  {reason.text} <span className="text-pencil">({SOURCE_WORDS[reason.source]})</span>
                </li>
              ))}
          </ul>
        </>
      ) : (
        <p>Plan something on the Bench, and its own figures stand here.</p>
      )}
    </Part>
  );
}

const GLOSSARY: [string, string][] = [
  ["heating up", "from lid on to pressure; never in a recipe’s number"],
  ["hold", "the minutes set on the panel"],
  ["pin", "the float that drops when there is no pressure left"],
  ["thickness", "the shortest way through a piece, edge to edge"],
  ["flat, point", "the lean even half and the fatty thick half of a brisket"],
  ["English-cut, flanken", "short ribs as thick blocks on one bone, or thin across the bones"],
  ["butt, picnic", "the upper and the lower half of a pork shoulder"],
  ["membrane", "the thin skin on the bone side of a rack"],
  ["slurry", "starch in cold water, stirred into a simmering sauce"],
];

const KEYS: [string, string][] = [
  ...[...APP_KEYS, ...BENCH_KEYS, ...MARK_KEYS, ...COOK_KEYS].map(
    ({ shown, does }): [string, string] => [shown, does],
  ),
  ["1 – 9", "take over that line of “what changes if”, while the list has the focus"],
  ["arrow keys", "on the liquid line and the thickness: a step; on the trace: read another moment"],
  ["Page up, Page down", "on the liquid line: four steps"],
  ["Home, End", "the least, the most"],
  ["back", "undoes a choice on the Bench"],
  ["Tab", "walks through everything in the order of the work"],
];
