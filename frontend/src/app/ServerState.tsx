import { useMutationState } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useAlive } from "@/api/queries";
import { spokenTime } from "@/lib/format";
import { say } from "@/text/say";

/** That the app does not answer, since when, and what becomes of what was pressed. */
export function ServerState() {
  const alive = useAlive();
  const waiting = useMutationState({ filters: { status: "pending" } }).length;
  const [since, setSince] = useState<number | null>(null);
  const [now, setNow] = useState(() => Date.now());
  const lost = alive === false;
  useEffect(() => {
    if (!lost) {
      setSince(null);
      return;
    }
    setSince((known) => known ?? Date.now());
    const timer = window.setInterval(() => setNow(Date.now()), 1000);
    return () => window.clearInterval(timer);
  }, [lost]);
  if (!lost || since === null) return null;
  const gone = Math.max(now - since, 0) / 60_000;
  return (
    <p role="alert" className="border-care border-b-2 bg-care-wash px-3 py-1 print:hidden">
      <strong>
        {gone >= 1
          ? say("app-for-now", { gone: spokenTime(gone) })
          : say("app-the-app-does-not-answer-2")}
      </strong>{" "}
      {say("app-nothing-is-lost-what-you-typed")}
      {waiting > 0 && ` ${say("app-to-be-sent", { waiting })}`}
    </p>
  );
}
