import { useQuery } from "@tanstack/react-query";
import { client, unwrap } from "@/api/client";
import { useForget, usePaired } from "@/api/kitchen";
import { age } from "@/features/kitchen/Safekeeping";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

const MODULE = 4;
/** White all round, four modules wide; published, ISO/IEC 18004 (from memory). */
const QUIET = 4;

/** How a phone on this network is paired, and what its browser will ask. */
export function Phone() {
  const lan = useQuery({
    queryKey: ["lan"],
    queryFn: ({ signal }) => unwrap(client.GET("/api/lan", { signal })),
    refetchInterval: 30_000,
    staleTime: 0,
  }).data;
  if (!lan) return null;
  return (
    <section aria-labelledby="phone-title" className="col-span-full mt-6">
      <h2 id="phone-title" className="font-semibold text-[1.125rem]">
        {say("kitchen-a-phone-in-the-kitchen")}
      </h2>
      {lan.address === null && (
        <p className="max-w-prose">
          {say("kitchen-now-only-this-computer-can-use")}{" "}
          <code className="font-semibold">{say("kitchen-pneumachron-serve-lan")}</code>.{" "}
          {say("kitchen-phones-that-you-pair-can-use")}
        </p>
      )}
      {lan.address !== null && lan.pairing === null && (
        <p>{say("kitchen-this-phone-is-paired-pair-others")}</p>
      )}
      {lan.pairing !== null && (
        <div className="mt-1 flex flex-wrap gap-5">
          <Code rows={lan.modules} />
          <div className="max-w-prose text-[0.875rem]">
            <ol className="list-decimal pl-5">
              <li>
                {say("kitchen-scan-it-with-the-phone-or")}{" "}
                <strong className="break-all">{lan.pairing}</strong>
              </li>
              <li>
                {say("kitchen-the-browser-says-it-does-not")}
                <span className="block break-all font-dial">{lan.fingerprint}</span>
              </li>
              <li>{say("kitchen-the-same-continue-it-asks-once")}</li>
            </ol>
            <p className="mt-1 text-pencil">{say("kitchen-each-code-works-once-for-ten")}</p>
          </div>
        </div>
      )}
      <Paired />
    </section>
  );
}

/** Who is paired, when they were here last, and how to shut them out. */
function Paired() {
  const devices = usePaired().data?.devices ?? [];
  const forget = useForget();
  if (devices.length === 0) return null;
  return (
    <ul aria-label={say("kitchen-paired-devices")} className="mt-2 max-w-3xl">
      {devices.map((device) => (
        <li
          key={device.id}
          className="flex flex-wrap items-center gap-x-3 gap-y-1 border-rule border-b py-1"
        >
          <span className="w-56">{device.name}</span>
          <span className="w-64 text-pencil">
            {say("kitchen-last-here", { last_used_at: age(device.last_used_at) })}
          </span>
          <Button disabled={forget.isPending} onClick={() => forget.mutate(device.id)}>
            {say("kitchen-forget")}
          </Button>
        </li>
      ))}
    </ul>
  );
}

function Code({ rows }: { rows: string[] }) {
  const side = MODULE * (rows.length + 2 * QUIET);
  const path = rows
    .flatMap((row, y) =>
      [...row].flatMap((module, x) =>
        module === "#" ? [`M${x + QUIET} ${y + QUIET}h1v1h-1z`] : [],
      ),
    )
    .join("");
  return (
    <svg
      width={side}
      height={side}
      viewBox={`0 0 ${rows.length + 2 * QUIET} ${rows.length + 2 * QUIET}`}
      role="img"
      aria-label={say("kitchen-code-for-the-phone-the-address")}
      shapeRendering="crispEdges"
    >
      <rect width="100%" height="100%" fill="white" />
      <path d={path} fill="black" />
    </svg>
  );
}
