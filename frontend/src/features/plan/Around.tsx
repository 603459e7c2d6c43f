import { useState } from "react";
import type { AroundOut, Marinade } from "@/api/client";
import { useAround, useUnits } from "@/api/queries";
import type { Planner } from "@/features/plan/usePlanner";
import { smallMass, smallVolume, spanText } from "@/lib/format";
import { MARINADE_WORDS, namesOf } from "@/lib/words";
import { say } from "@/text/say";
import { Checkbox } from "@/ui/Checkbox";
import { SelectField } from "@/ui/SelectField";

interface Props {
  planner: Planner;
}

/** Before and after the pot: salt and rub, browning, crust, rest, the knife, and keeping. */
export function Around({ planner }: Props) {
  const [marinade, setMarinade] = useState("");
  const [brined, setBrined] = useState(false);
  const units = useUnits();
  const { data, isPlaceholderData } = useAround(
    planner.stale ? null : planner.settled,
    marinade ? (marinade as Marinade) : null,
    brined,
  );
  if (!data) return <p className="text-[0.875rem] text-pencil">{say("plan-calculating")}</p>;
  return (
    <div className="grid gap-x-6 text-[0.875rem] sm:grid-cols-2">
      <div className="mb-1 flex flex-wrap items-end gap-3 sm:col-span-2">
        <SelectField
          label={say("plan-marinade")}
          value={marinade}
          options={marinades()}
          onChange={setMarinade}
        />
        <Checkbox label={say("plan-sold-with-added-salt-water")} on={brined} onChange={setBrined} />
      </div>
      <dl aria-busy={isPlaceholderData} className={isPlaceholderData ? "stale" : ""}>
        <Line term={say("plan-salt")}>{smallMass(data.seasoning.salt_kg, units)}</Line>
        <Line term={say("plan-rub")}>
          {say("plan-with-up-to", {
            rub_kg: smallMass(data.seasoning.rub_kg, units),
            value: smallMass([0, data.seasoning.rub_sugar_kg], units),
          })}
        </Line>
        {data.marinating && (
          <Line term={say("plan-marinade-2")}>
            {say("plan-in-the-refrigerator-for-at-most", {
              volume_m3: smallVolume(data.marinating.volume_m3, units),
              time_s: spanText(data.marinating.time_s),
              value: spanText([data.marinating.longest_s]),
              value2: spanText([data.marinade_boil_s]),
            })}
          </Line>
        )}
        {data.searing && (
          <Line term={say("plan-sear")}>
            {say("plan-in-all-then-deglaze-scrape-up", {
              batches: data.searing.batches,
              total_s: spanText(data.searing.total_s),
            })}
          </Line>
        )}
        <Line term={say("plan-rest")}>
          {say("plan-tented-loosely-with-foil", { rest_s: spanText(data.rest_s) })}
        </Line>
        <Line term={say("plan-cut")}>{data.carve_hot}</Line>
      </dl>
      <dl aria-busy={isPlaceholderData} className={isPlaceholderData ? "stale" : ""}>
        <Crust data={data} />
        <Line term={say("plan-keep-warm")}>
          {say("plan-for-at-most-in-its-juice", { value: spanText([data.keep_warm_s]) })}
        </Line>
        <Line term={say("plan-chill")}>
          {say("plan-never-in-the-pot-in-flat", {
            thickest: data.cooling[0]?.thickest_shown[units],
            thickest2: data.cooling[1]?.thickest_shown[units],
          })}
        </Line>
      </dl>
    </div>
  );
}

const marinades = () => [{ value: "", name: say("plan-none") }, ...namesOf(MARINADE_WORDS)];

function Crust({ data }: { data: AroundOut }) {
  const { finish } = data;
  if (finish.batches === 0)
    return <Line term={say("plan-finish")}>{say("plan-none-2", { sauce: finish.sauce })}</Line>;
  return (
    <Line term={say("plan-finish")}>
      {say("plan-look-after", {
        batches: finish.batches,
        each_s: spanText(finish.each_s),
        look_s: spanText([finish.look_s]),
        sauce: finish.sauce,
      })}
      {!!finish.heat_up_s &&
        ` ${say("plan-switch-it-on-before", { heat_up_s: spanText([finish.heat_up_s]) })}`}
    </Line>
  );
}

function Line({ term, children }: { term: string; children: React.ReactNode }) {
  return (
    <div className="border-rule border-b py-0.5">
      <dt className="inline font-semibold">{term}: </dt>
      <dd className="inline">{children}</dd>
    </div>
  );
}
