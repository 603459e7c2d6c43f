import { type ReactNode, useId, useState } from "react";
import { usePlates } from "@/api/queries";
import type { Planner } from "@/features/plan/usePlanner";
import type { Units } from "@/lib/format";
import { say } from "@/text/say";

interface Props {
  planner: Planner;
  units: Units;
  /** Stands in the same line, before the plates. */
  children: ReactNode;
}

/** For how many, and what to buy for them. */
export function Plates({ planner, units, children }: Props) {
  const id = useId();
  const [plates, setPlates] = useState("");
  const wanted = /^\d{1,3}$/.test(plates.trim()) ? Number(plates) : null;
  const { data } = usePlates(planner.request.cut, wanted);
  return (
    <div>
      <div className="flex items-center gap-2">
        {children}
        <label htmlFor={id} className="text-pencil">
          {say("plan-to-serve")}
        </label>
        <input
          id={id}
          value={plates}
          inputMode="numeric"
          onChange={(event) => setPlates(event.target.value)}
          className="w-12 rounded-sm border border-edge bg-sheet px-2 py-0.5 font-dial"
        />
      </div>
      {data && wanted && (
        <p className="mt-0.5 text-[0.875rem]">
          {say("plan-buy", { enough: data.enough_shown[units] })}{" "}
          <button
            type="button"
            className="underline underline-offset-2"
            onClick={() => planner.change({ mass: data.enough_shown[units], bought: true })}
          >
            {say("plan-use-it")}
          </button>
        </p>
      )}
    </div>
  );
}
