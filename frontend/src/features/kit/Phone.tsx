import { useQuery } from "@tanstack/react-query";
import { client, unwrap } from "@/api/client";

const MODULE = 4;
/** White all round, four modules wide; published, ISO/IEC 18004 (from memory). */
const QUIET = 4;

/** How a phone on this network is paired, and what its browser will ask. */
export function Phone() {
  const lan = useQuery({
    queryKey: ["lan"],
    queryFn: ({ signal }) => unwrap(client.GET("/api/lan", { signal })),
  }).data;
  if (!lan) return null;
  return (
    <section aria-labelledby="phone-title" className="col-span-full mt-6">
      <h2 id="phone-title" className="font-semibold text-[18px]">
        A phone in the kitchen
      </h2>
      {lan.address === null && (
        <p className="max-w-prose">
          Now only this machine is answered. Started with{" "}
          <code className="font-semibold">pneumachron serve --lan</code>, the app also answers
          phones that you pair, over https; nobody else on the network gets anything.
        </p>
      )}
      {lan.address !== null && lan.pairing === null && (
        <p>This phone is paired. Others are paired at the machine itself.</p>
      )}
      {lan.pairing !== null && (
        <div className="mt-1 flex flex-wrap gap-5">
          <Code rows={lan.modules} />
          <div className="max-w-prose text-[14px]">
            <ol className="list-decimal pl-5">
              <li>
                Scan it with the phone, or open <strong className="break-all">{lan.pairing}</strong>
              </li>
              <li>
                The browser says that it does not know who made the certificate. This app made it,
                for itself. Let it show the certificate and compare:
                <span className="block break-all font-dial">{lan.fingerprint}</span>
              </li>
              <li>The same? Go on. It asks once, and the phone stays paired for half a year.</li>
            </ol>
            <p className="mt-1 text-pencil">
              Who has this code can change everything here. Show it to those who cook with you.
            </p>
          </div>
        </div>
      )}
    </section>
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
      aria-label="code for the phone; the address beside it says the same"
      shapeRendering="crispEdges"
    >
      <rect width="100%" height="100%" fill="white" />
      <path d={path} fill="black" />
    </svg>
  );
}
