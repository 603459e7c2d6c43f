import { Link } from "wouter";
import { useKitchenClock } from "@/api/cooks";
import { clockTime } from "@/lib/cook";

/** What can be connected, and what stands in for it here. */
export function Devices() {
  const clock = useKitchenClock().data;
  return (
    <section aria-labelledby="devices-title" className="col-span-full">
      <h2 id="devices-title" className="font-semibold text-[1.125rem]">
        Devices
      </h2>
      <p className="max-w-prose">
        None of them is real: each is simulated and ships with the app, so that everything can be
        tried at the desk. A real one is added by writing one driver.
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
          Beside a simulated cooker the time of that one cook can run up to 240 times as fast. The
          kitchen and every other cook keep the real time.
        </dd>
      </dl>
      <p className="mt-1">
        <Link href="/cook" className="underline underline-offset-4">
          Cook with the simulated pot
        </Link>
      </p>
    </section>
  );
}

const DEVICES: [string, string][] = [
  [
    "Pot",
    "One for each of your pots, with a heater, losses, gasket and pressure of its own that nobody is told. Faults are switched on beside it while it cooks.",
  ],
  [
    "Probe",
    "For the middle of the meat. Only believable in an open pot; under the lid it reads steam.",
  ],
  ["Scale", "On the Bench, beside the weight. The plan follows what lies on it."],
];
