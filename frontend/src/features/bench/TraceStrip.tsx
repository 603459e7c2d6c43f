import type { PlanOut } from "@/api/client";
import { TraceChart } from "@/drawing/TraceChart";
import { SHEET_HEIGHT } from "@/drawing/trace-geometry";
import { spokenTime, type Units } from "@/lib/format";
import { useWidth } from "@/ui/useWidth";

interface Props {
  plan: PlanOut | undefined;
  units: Units;
  stale: boolean;
}

/** The cook from lid on to lid off, with the honest total. */
export function TraceStrip({ plan, units, stale }: Props) {
  const [ref, width] = useWidth<HTMLDivElement>(1200);
  return (
    <section aria-label="The trace" className="border-ink border-t-2 px-3 pb-1">
      <p className="-mt-[15px] ml-auto w-fit bg-paper px-2 font-dial font-semibold text-[18px] sm:text-[20px]">
        {plan ? (
          <>
            lid on to lid off{" "}
            <span data-testid="total">{spokenTime(plan.lid_on_to_open_s / 60)}</span>
          </>
        ) : (
          "the trace"
        )}
      </p>
      <div ref={ref} className={stale ? "stale" : ""}>
        {plan ? (
          <TraceChart plan={plan} width={width} units={units} />
        ) : (
          <svg width={width} height={SHEET_HEIGHT} aria-hidden="true" className="block">
            {[52, 92, 132, 172].map((y) => (
              <line key={y} x1="46" x2={width - 52} y1={y} y2={y} stroke="var(--rule)" />
            ))}
          </svg>
        )}
      </div>
    </section>
  );
}
