/** A cooker as a cook would type it, so that one of its numbers can be changed. */

import type { OwnPotIn, PotOut } from "@/api/client";

export function ownPotOf(pot: PotOut): OwnPotIn {
  return {
    name: pot.name,
    volume: `${(1000 * pot.usable_volume_m3).toFixed(3)} l`,
    diameter: `${(1000 * pot.inner_diameter_m).toFixed(1)} mm`,
    height: `${(1000 * pot.inner_height_m).toFixed(1)} mm`,
    power_w: pot.heater_w,
    least_liquid: `${(1e6 * pot.min_liquid_m3).toFixed(1)} ml`,
    high: `${(pot.gauge_high_pa / 1000).toFixed(3)} kPa`,
    low: `${(pot.gauge_low_pa / 1000).toFixed(3)} kPa`,
    longest_min: pot.longest_hold_min,
    panel_step_min: pot.panel_step_min,
    start_key: pot.has_start_key,
    crisping_lid: pot.has_crisping_lid,
    stovetop: pot.is_stovetop,
  };
}
