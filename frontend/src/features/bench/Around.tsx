import { useState } from "react";
import type { AroundOut, Marinade } from "@/api/client";
import { useAround, useUnits } from "@/api/queries";
import type { Bench } from "@/features/bench/useBench";
import { smallMass, smallVolume, spanText } from "@/lib/format";
import { MARINADE_WORDS, namesOf } from "@/lib/words";
import { Pick } from "@/ui/Pick";
import { Tick } from "@/ui/Tick";

interface Props {
  bench: Bench;
}

/** Before and after the pot: salt and rub, browning, crust, rest, the knife, and keeping. */
export function Around({ bench }: Props) {
  const [marinade, setMarinade] = useState("");
  const [brined, setBrined] = useState(false);
  const units = useUnits();
  const { data, isPlaceholderData } = useAround(
    bench.stale ? null : bench.settled,
    marinade ? (marinade as Marinade) : null,
    brined,
  );
  if (!data) return <p className="text-[0.875rem] text-pencil">Calculating …</p>;
  return (
    <div className="grid gap-x-6 text-[0.875rem] sm:grid-cols-2">
      <div className="mb-1 flex flex-wrap items-end gap-3 sm:col-span-2">
        <Pick label="marinade" value={marinade} options={marinades()} onChange={setMarinade} />
        <Tick label="sold with added salt water" on={brined} onChange={setBrined} />
      </div>
      <dl aria-busy={isPlaceholderData} className={isPlaceholderData ? "stale" : ""}>
        <Line term="Salt">{smallMass(data.seasoning.salt_kg, units)}</Line>
        <Line term="Rub">
          {smallMass(data.seasoning.rub_kg, units)}, with up to{" "}
          {smallMass([0, data.seasoning.rub_sugar_kg], units)}
        </Line>
        {data.marinating && (
          <Line term="Marinade">
            {smallVolume(data.marinating.volume_m3, units)}, {spanText(data.marinating.time_s)} in
            the refrigerator, for at most {spanText([data.marinating.longest_s])}. Boil it{" "}
            {spanText([data.marinade_boil_s])} before you use it as a sauce
          </Line>
        )}
        {data.searing && (
          <Line term="Sear">
            {data.searing.batches === 1 ? "at once" : `in ${data.searing.batches} batches`},{" "}
            {spanText(data.searing.total_s)} in all; then deglaze: scrape up the browned bits
          </Line>
        )}
        <Line term="Rest">{spanText(data.rest_s)} tented loosely with foil</Line>
        <Line term="Cut">{data.carve_hot}</Line>
      </dl>
      <dl aria-busy={isPlaceholderData} className={isPlaceholderData ? "stale" : ""}>
        <Crust data={data} />
        <Line term="Keep warm">for at most {spanText([data.keep_warm_s])} in its juice</Line>
        <Line term="Chill">
          never in the pot. In flat layers up to {data.cooling[0]?.thickest_shown[units]} in the
          refrigerator; bagged in ice water, up to {data.cooling[1]?.thickest_shown[units]}
        </Line>
      </dl>
    </div>
  );
}

const marinades = () => [{ value: "", name: "none" }, ...namesOf(MARINADE_WORDS)];

function Crust({ data }: { data: AroundOut }) {
  const { finish } = data;
  if (finish.batches === 0) return <Line term="Finish">none. {finish.sauce}</Line>;
  const times = finish.batches === 1 ? "" : `${finish.batches} batches of `;
  return (
    <Line term="Finish">
      {times}
      {spanText(finish.each_s)}; look after {spanText([finish.look_s])}; {finish.sauce}
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
