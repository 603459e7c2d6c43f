import { useState } from "react";
import type { PlanOut } from "@/api/client";
import { useCatalogue, useHousehold } from "@/api/queries";
import { PieceColumn } from "@/features/plan/PieceColumn";
import { PotColumn } from "@/features/plan/PotColumn";
import { SettingColumn } from "@/features/plan/SettingColumn";
import { Start } from "@/features/plan/Start";
import { TraceStrip } from "@/features/plan/TraceStrip";
import { usePlanner } from "@/features/plan/usePlanner";
import { cookTime, spokenTime } from "@/lib/format";
import { totalSeconds } from "@/lib/total";
import { say } from "@/text/say";
import { useSettled } from "@/ui/useSettled";

/** On a phone the hold stays in view. */
function HoldBar({ plan, stale }: { plan: PlanOut; stale: boolean }) {
  return (
    <p
      aria-hidden="true"
      className={`sticky top-0 z-[5] flex items-baseline gap-2 border-rule border-b bg-paper px-4 py-1 lg:hidden ${stale ? "stale" : ""}`}
    >
      <span className="font-bold font-dial text-[1.375rem]">{cookTime(plan.setting.hold_min)}</span>
      <span className="text-[0.875rem]">
        {say("plan-total-time", {
          level: plan.setting.level,
          lid_on_to_open_s: spokenTime(totalSeconds(plan) / 60),
        })}
      </span>
    </p>
  );
}

/** An answer that takes no longer is not announced as late. */
const FLICKER_MS = 250;

/** What do I set? The piece, the pot, the setting, and the trace from lid on to open. */
export function PlanView() {
  const planner = usePlanner();
  const catalogue = useCatalogue();
  const household = useHousehold();
  const [own, setOwn] = useState(false);
  const waiting = useSettled(planner.pending ? true : null, FLICKER_MS);
  if (catalogue.isError || household.isError) {
    return (
      <p className="p-6" role="alert">
        <strong>{say("plan-the-app-does-not-answer")}</strong>{" "}
        {say("plan-start-it-again-what-you-typed")}
      </p>
    );
  }
  if (!catalogue.data || !household.data) {
    return <p className="p-6 text-pencil">{say("shared-loading")}</p>;
  }
  const units = household.data.units;
  if (planner.untouched && !own) {
    return <Start household={household.data} pots={planner.pots} onOwn={() => setOwn(true)} />;
  }
  const cut = catalogue.data.cuts.find((item) => item.id === planner.request.cut);
  // for a moment the last answer may stand as it is: while a hand moves it would only flicker
  const stale = planner.stale || waiting === true;
  return (
    <div
      aria-busy={planner.pending}
      className="flex flex-col lg:h-[calc(100dvh-3rem)] lg:min-h-[744px]"
    >
      <h1 className="sr-only">{say("plan-plan")}</h1>
      {planner.plan && <HoldBar plan={planner.plan} stale={stale} />}
      <div className="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[330px_minmax(0,1fr)_374px]">
        <PieceColumn
          planner={planner}
          catalogue={catalogue.data}
          cut={cut}
          household={household.data}
        />
        <PotColumn planner={planner} cut={cut} units={units} stale={stale} />
        <SettingColumn planner={planner} cut={cut} units={units} stale={stale} />
      </div>
      <TraceStrip planner={planner} units={units} stale={stale} />
    </div>
  );
}
