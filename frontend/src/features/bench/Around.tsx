import { useState } from "react";
import type { AroundOut, Marinade } from "@/api/client";
import { useAround } from "@/api/queries";
import type { Bench } from "@/features/bench/useBench";
import { gramsText, litresText, spanText } from "@/lib/format";
import { MARINADE_WORDS } from "@/lib/words";
import { Pick } from "@/ui/Pick";
import { Tick } from "@/ui/Tick";

interface Props {
  bench: Bench;
}

/** Before and after the pot: salt and rub, browning, crust, rest, the knife, and keeping. */
export function Around({ bench }: Props) {
  const [marinade, setMarinade] = useState("");
  const [brined, setBrined] = useState(false);
  const { data, isPlaceholderData } = useAround(
    bench.stale ? null : bench.settled,
    marinade ? (marinade as Marinade) : null,
    brined,
  );
  if (!data) return <p className="text-[0.875rem] text-pencil">Working it out …</p>;
  return (
    <div className="grid gap-x-6 text-[0.875rem] sm:grid-cols-2">
      <div className="mb-1 flex flex-wrap items-end gap-3 sm:col-span-2">
        <Pick label="marinade" value={marinade} options={MARINADES} onChange={setMarinade} />
        <Tick label="sold with added brine" on={brined} onChange={setBrined} />
      </div>
      <dl aria-busy={isPlaceholderData} className={isPlaceholderData ? "stale" : ""}>
        <Line term="Salt">{gramsText(data.seasoning.salt_kg)}</Line>
        <Line term="Rub">
          {gramsText(data.seasoning.rub_kg)}, sugar up to{" "}
          {gramsText([0, data.seasoning.rub_sugar_kg])}
        </Line>
        {data.marinating && (
          <Line term="Marinade">
            {litresText(data.marinating.volume_m3)}, {spanText(data.marinating.time_s)} in the
            refrigerator, at most {spanText([data.marinating.longest_s])}; boiled{" "}
            {spanText([data.marinade_boil_s])} before it is a sauce
          </Line>
        )}
        {data.searing && (
          <Line term="Brown">
            {data.searing.batches === 1 ? "at once" : `in ${data.searing.batches} batches`},{" "}
            {spanText(data.searing.total_s)} in all; then scrape the base bare
          </Line>
        )}
        <Line term="Rest">{spanText(data.rest_s)} under a loose tent</Line>
        <Line term="Cut">{data.carve_hot}</Line>
      </dl>
      <dl aria-busy={isPlaceholderData} className={isPlaceholderData ? "stale" : ""}>
        <Crust data={data} />
        <Line term="Keep warm">at most {spanText([data.keep_warm_s])}, in its juice</Line>
        <Line term="Chill">
          never in the pot: in layers up to {data.cooling[0]?.thickest_shown.metric} in the
          refrigerator, or bagged in ice water up to {data.cooling[1]?.thickest_shown.metric}
        </Line>
      </dl>
    </div>
  );
}

const MARINADES = [
  { value: "", name: "none" },
  ...Object.entries(MARINADE_WORDS).map(([value, name]) => ({ value, name })),
];

function Crust({ data }: { data: AroundOut }) {
  const { finish } = data;
  if (finish.batches === 0) return <Line term="Crust">none; {finish.sauce}</Line>;
  const times = finish.batches === 1 ? "" : `${finish.batches} batches of `;
  return (
    <Line term="Crust">
      {times}
      {spanText(finish.each_s)}, look after {spanText([finish.look_s])}; {finish.sauce}
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
