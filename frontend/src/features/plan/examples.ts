/** Three plans to look at; invented. */

import { type CookRequest, EMPTY_REQUEST } from "@/lib/cookRequest";
import type { Units } from "@/lib/format";

interface Typed {
  mass: string;
  thickness: string;
}

export interface Example {
  family: string;
  cut: string;
  count: string;
  metric: Typed;
  us: Typed;
}

export const EXAMPLES: Example[] = [
  {
    family: "brisket",
    cut: "brisket_flat",
    count: "2",
    metric: { mass: "1.4 kg", thickness: "4.5 cm" },
    us: { mass: "3 lb", thickness: "1¾ in" },
  },
  {
    family: "ribs",
    cut: "back_ribs",
    count: "1",
    metric: { mass: "1.1 kg", thickness: "2.5 cm" },
    us: { mass: "2 lb 8 oz", thickness: "1 in" },
  },
  {
    family: "shoulder",
    cut: "shoulder_boneless",
    count: "1",
    metric: { mass: "1.8 kg", thickness: "8 cm" },
    us: { mass: "4 lb", thickness: "3⅛ in" },
  },
];

/** An example as it would have been typed. */
export function exampleRequest(example: Example, units: Units): CookRequest {
  const typed = example[units];
  const { cut, count } = example;
  return { ...EMPTY_REQUEST, cut, count, mass: typed.mass, thickness: typed.thickness };
}
