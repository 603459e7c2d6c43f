import { Link } from "wouter";
import { useKitchenClock } from "@/api/cooks";
import { clockTime } from "@/lib/clock";

/** What can be connected, and what stands in for it here. */
export function Devices() {
  const clock = useKitchenClock().data;
  return (
    <section aria-labelledby="devices-title" className="col-span-full">
      <h2 id="devices-title" className="font-semibold text-[1.125rem]">
        Devices
      </h2>
      <p className="max-w-prose">
        None of these is real. Each is simulated and comes with the app, so you can try everything
        at a desk. A developer adds a real one with one driver.
      </p>
      <dl className="mt-1 grid max-w-3xl grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        {DEVICES.map(([name, says]) => (
          <div key={name} className="contents">
            <dt className="font-semibold">{name}</dt>
            <dd>{says}</dd>
          </div>
        ))}
        <dt className="font-semibold">Clock</dt>
        <dd>
          {clock ? `It is ${clockTime(clock.now)} in the kitchen. ` : ""}
          With a simulated cooker, time for that one cook can run up to 240 times as fast. The
          kitchen and every other cook keep real time.
        </dd>
      </dl>
      <p className="mt-1">
        <Link href="/cook" className="underline underline-offset-4">
          Cook with the simulated cooker
        </Link>
      </p>
    </section>
  );
}

const DEVICES: [string, string][] = [
  [
    "Cooker",
    "One for each of your cookers. Its heat, losses, gasket and pressure differ a little, and nobody knows how. You can switch faults on while it cooks.",
  ],
  [
    "Thermometer",
    "For the center of the meat. It is right only in an open cooker; under the lid it reads steam.",
  ],
  ["Scale", "In Plan, beside the weight. The plan follows what is on it."],
];
