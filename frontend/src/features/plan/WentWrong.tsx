import { useState } from "react";
import { type CutOut, type PlanOut, type Texture, troubleOf } from "@/api/client";
import { useOpened, useStopped, useUnits } from "@/api/queries";
import type { Planner } from "@/features/plan/usePlanner";
import { cookTime, spokenTime, temperatureText } from "@/lib/format";
import { say } from "@/text/say";
import { Answered } from "@/ui/Answered";
import { MeasureField } from "@/ui/MeasureField";
import { SelectField } from "@/ui/SelectField";

interface Props {
  planner: Planner;
  plan: PlanOut;
  cut: CutOut | undefined;
}

/** Opened too firm or too soft, or the power failed: what now. */
export function WentWrong({ planner, plan, cut }: Props) {
  return (
    <div className="grid gap-x-6 text-[0.875rem] sm:grid-cols-2">
      <Opened planner={planner} plan={plan} cut={cut} />
      <Stopped planner={planner} />
    </div>
  );
}

function Opened({ planner, plan, cut }: Props) {
  const [seen, setSeen] = useState("");
  const [probe, setProbe] = useState("");
  const asked = Boolean(seen || probe.trim());
  const { data, error, isPlaceholderData } = useOpened(
    planner.stale || !asked ? null : planner.settled,
    plan.setting.hold_min,
    seen ? (seen as Texture) : null,
    probe.trim() || null,
  );
  const options = [
    { value: "", name: say("plan-how-does-it-look") },
    ...(cut?.ladder ?? []).map(({ texture, looks }) => ({ value: texture, name: looks })),
  ];
  return (
    <div>
      <SelectField
        label={say("plan-opened-after-min", { hold_min: plan.setting.hold_min })}
        value={seen}
        options={options}
        onChange={setSeen}
      />
      {!seen && (
        <div className="mt-1">
          <MeasureField
            label={say("plan-or-thermometer")}
            value={probe}
            placeholder={say("plan-at-the-center")}
            problem={error ? troubleOf(error) : null}
            onChange={setProbe}
          />
        </div>
      )}
      {data && asked && !error && (
        <Answered busy={isPlaceholderData} className="mt-1">
          <p data-testid="opened">
            <strong className="font-semibold">{stepWords()[data.step]}</strong>{" "}
            {data.step === "put_back" &&
              `${say("plan-cook-min-more-it-is-open", { hold_min: data.hold_min, more_s: spokenTime(data.more_s / 60) })} `}
            {say("plan-next-time-set", {
              advice: data.advice,
              next_hold_min: cookTime(data.next_hold_min),
            })}
          </p>
        </Answered>
      )}
    </div>
  );
}

const stepWords = (): Record<string, string> => ({
  done: say("plan-it-is-done"),
  put_back: say("plan-cook-it-longer"),
  rescue: say("plan-softer-than-you-wanted"),
});

function Stopped({ planner }: { planner: Planner }) {
  const units = useUnits();
  const [at, setAt] = useState("");
  const [since, setSince] = useState("");
  const { data, isPlaceholderData } = useStopped(planner.stale ? null : planner.settled, at, since);
  return (
    <div>
      <p className="text-[0.8125rem] text-pencil leading-tight">
        {say("plan-the-cooker-stopped-on-its-own")}
      </p>
      <div className="grid grid-cols-[auto_1fr] items-center gap-x-2 gap-y-1">
        <Minutes label={say("plan-minutes-after-lid-on")} value={at} onChange={setAt} />
        <span>{say("plan-min-after-lid-on")}</span>
        <Minutes label={say("plan-minutes-ago")} value={since} onChange={setSince} />
        <span>{say("plan-min-ago")}</span>
      </div>
      {data && (
        <Answered busy={isPlaceholderData} className="mt-1">
          <p data-testid="stopped">
            {data.advice}{" "}
            {data.step === "go_on" &&
              `${say("plan-set-min-it-opens-in", { hold_min: data.hold_min, more_s: spokenTime(data.more_s / 60) })} `}
            {say("plan-the-center-is-at-about", {
              core_temp_c: temperatureText(data.core_temp_c, units),
            })}
          </p>
        </Answered>
      )}
    </div>
  );
}

interface MinutesProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
}

function Minutes({ label, value, onChange }: MinutesProps) {
  return (
    <input
      aria-label={label}
      inputMode="numeric"
      value={value}
      onChange={(event) => onChange(event.target.value)}
      className="w-14 rounded-sm border border-edge bg-sheet px-2 py-0.5 font-dial"
    />
  );
}
