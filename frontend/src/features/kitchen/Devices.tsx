import { Link } from "wouter";
import { useKitchenClock } from "@/api/cooks";
import { clockTime } from "@/lib/clock";
import { say } from "@/text/say";

/** What can be connected, and what stands in for it here. */
export function Devices() {
  const clock = useKitchenClock().data;
  return (
    <section aria-labelledby="devices-title" className="col-span-full">
      <h2 id="devices-title" className="font-semibold text-[1.125rem]">
        {say("kitchen-devices")}
      </h2>
      <p className="max-w-prose">{say("kitchen-none-of-these-is-real-each")}</p>
      <dl className="mt-1 grid max-w-3xl grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        {DEVICES.map((device) => (
          <div key={device} className="contents">
            <dt className="font-semibold">{say(`kitchen-device-${device}`)}</dt>
            <dd>{say(`kitchen-device-${device}-says`)}</dd>
          </div>
        ))}
        <dt className="font-semibold">{say("kitchen-clock")}</dt>
        <dd>
          {clock && say("kitchen-it-is-in-the-kitchen", { now: clockTime(clock.now) })}{" "}
          {say("kitchen-with-a-simulated-cooker-time-for")}
        </dd>
      </dl>
      <p className="mt-1">
        <Link href="/cook" className="underline underline-offset-4">
          {say("kitchen-cook-with-the-simulated-cooker")}
        </Link>
      </p>
    </section>
  );
}

const DEVICES = ["cooker", "thermometer", "scale"];
