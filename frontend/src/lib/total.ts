import type { PlanOut } from "@/api/client";

/** From the first lid on until the lid is off for good; later batches and steps count. [s] */
export function totalSeconds(
  plan: Pick<PlanOut, "later" | "all_done_s" | "lid_on_to_open_s">,
): number {
  const later = plan.later?.length ? plan.all_done_s : null;
  return later ?? plan.lid_on_to_open_s;
}
