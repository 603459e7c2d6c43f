import type { KeptPotOut } from "@/api/client";
import { BoilTest } from "@/features/kitchen/BoilTest";
import type { Units } from "@/lib/format";
import { pressureText } from "@/lib/format";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  kept: KeptPotOut;
  units: Units;
  onEdit: () => void;
  onRemove: () => void;
}

const PIXELS_PER_METRE = 700;
const TALLEST = 150;

/** A pot with its limits, drawn to the same scale as its neighbours. */
export function PotCard({ kept, units, onEdit, onRemove }: Props) {
  const { pot } = kept;
  const width = pot.inner_diameter_m * PIXELS_PER_METRE;
  const height = pot.inner_height_m * PIXELS_PER_METRE;
  const base = TALLEST - 8;
  const left = 20;
  const lineY = (metres: number) => base - metres * PIXELS_PER_METRE;
  const facts: [string, string][] = [
    [
      say("kitchen-inside"),
      say("kitchen-wide-high", {
        inner_diameter: pot.inner_diameter_shown[units],
        inner_height: pot.inner_height_shown[units],
      }),
    ],
    [say("kitchen-minimum-liquid-2"), pot.min_liquid_shown[units]],
    [say("kitchen-max-fill-with-meat"), pot.max_volume_shown[units]],
    [say("kitchen-heating-element"), `${pot.heater_w} W`],
    [
      say("kitchen-high-low"),
      say("kitchen-and", {
        gauge_high_pa: pressureText(pot.gauge_high_pa / 1000, units),
        gauge_low_pa: pressureText(pot.gauge_low_pa / 1000, units),
      }),
    ],
    [
      say("kitchen-longest-time"),
      say(pot.has_start_key ? "kitchen-min-with-start-button" : "kitchen-min", {
        longest_hold_min: pot.longest_hold_min,
      }),
    ],
  ];
  return (
    <li className="border-rule border-t pt-2">
      <h3 className="font-semibold text-[1.0625rem]">{pot.name}</h3>
      <svg viewBox={`0 0 210 ${TALLEST}`} className="h-36 w-full max-w-56" aria-hidden="true">
        <path
          d={`M${left - 8} ${base - height} H${left} V${base - 6} q0 6 6 6 H${left + width - 6} q6 0 6 -6 V${base - height} H${left + width + 8}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2.5"
        />
        {[pot.max_level_m, pot.min_level_m].map((metres) => (
          <line
            key={metres}
            x1={left}
            x2={left + width}
            y1={lineY(metres)}
            y2={lineY(metres)}
            stroke="var(--care)"
            strokeDasharray="6 4"
          />
        ))}
      </svg>
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 text-[0.875rem]">
        {facts.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="text-pencil">{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      <BoilTest kept={kept} />
      <p className="mt-2 flex flex-wrap gap-2">
        <Button aria-label={say("kitchen-edit-3", { name: pot.name })} onClick={onEdit}>
          {say("kitchen-edit-2")}
        </Button>
        <Button aria-label={say("kitchen-remove-2", { name: pot.name })} onClick={onRemove}>
          {say("kitchen-remove")}
        </Button>
      </p>
    </li>
  );
}
