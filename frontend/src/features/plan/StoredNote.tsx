import { useEffect, useMemo } from "react";
import { useRecomputed, useSavePlan, useStoredPlan } from "@/api/plans";
import type { Planner } from "@/features/plan/usePlanner";
import { requestFromPlan, requestToAddress } from "@/lib/cookRequest";
import { cookTime, spokenTime } from "@/lib/format";
import { noteFirst } from "@/lib/seen";
import { totalSeconds } from "@/lib/total";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  planId: string;
  planner: Planner;
}

/** What was stored under this name, and how a fresh computation differs from it. */
export function StoredNote({ planId, planner }: Props) {
  const stored = useStoredPlan(planId);
  const fresh = useRecomputed(planId);
  const save = useSavePlan();
  const untouched = useMemo(() => {
    if (!stored.data) return true;
    const then = requestToAddress(requestFromPlan(stored.data.inputs), planId).toString();
    return then === requestToAddress(planner.request, planId).toString();
  }, [stored.data, planner.request, planId]);
  const present = stored.data?.version;
  useEffect(() => {
    if (present !== undefined) noteFirst(planId, present);
  }, [planId, present]);
  if (stored.isError) {
    return (
      <p className="border-care border-l-4 pl-2">{say("plan-the-saved-plan-was-deleted-what")}</p>
    );
  }
  if (!stored.data) return null;
  const { name, results, inputs, person_id, engine_version, version } = stored.data;
  const differences = fresh.data?.differences ?? [];
  return (
    <div className="border-rule border-y py-1 text-[0.875rem]" data-testid="stored">
      <p className="break-words">
        <strong data-typed className="font-semibold">
          {name}
        </strong>{" "}
        {say(untouched ? "plan-saved-as" : "plan-saved-as-changed", {
          hold_min: cookTime(results.setting.hold_min),
          lid_on_to_open_s: spokenTime(totalSeconds(results) / 60),
        })}
      </p>
      {untouched && differences.length > 0 && (
        <div className="mt-1 border-care border-l-4 pl-2">
          <p>
            {say("plan-recalculated-it-differs", {
              newer: engine_version === fresh.data?.engine_version ? "no" : "yes",
            })}
          </p>
          <ul>
            {differences.map((item) => (
              <li key={item.what}>
                {item.what}: {item.stored} → <strong>{item.fresh}</strong>
              </li>
            ))}
          </ul>
          <Button
            disabled={save.isPending}
            onClick={() =>
              save.mutate({ id: planId, seen: version, name, personId: person_id, inputs })
            }
          >
            {say("plan-save-the-new-numbers")}
          </Button>
          {save.error && <p role="alert">{save.error.message}</p>}
        </div>
      )}
    </div>
  );
}
