/** The sections of a shop, by the codes that recipes and schedules have for them. */

import { say } from "@/text/say";

export function sectionName(section: string): string {
  return say("shared-shop-section", { section: section.replaceAll(" ", "-") });
}
