import { useState } from "react";
import { usePlates } from "@/api/queries";
import type { Bench } from "@/features/bench/useBench";
import type { Units } from "@/lib/format";
import { MeasureField } from "@/ui/MeasureField";

interface Props {
  bench: Bench;
  units: Units;
}

/** For how many, and what to buy for them. */
export function Plates({ bench, units }: Props) {
  const [plates, setPlates] = useState("");
  const wanted = /^\d{1,3}$/.test(plates.trim()) ? Number(plates) : null;
  const { data } = usePlates(bench.wish.cut, wanted);
  return (
    <div>
      <MeasureField
        label="to serve"
        value={plates}
        inputMode="numeric"
        placeholder="plates"
        onChange={setPlates}
      />
      {data && wanted && (
        <p className="mt-0.5 text-[14px]">
          Buy {data.enough_shown[units]}.{" "}
          <button
            type="button"
            className="underline underline-offset-2"
            onClick={() => bench.change({ mass: data.enough_shown[units], bought: true })}
          >
            Take it
          </button>
        </p>
      )}
    </div>
  );
}
