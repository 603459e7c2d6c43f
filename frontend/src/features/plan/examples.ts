/** Three plans to look at; invented. */

import type { Units } from "@/lib/format";
import { EMPTY_WISH, type Wish } from "@/lib/wish";

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
export function exampleWish(example: Example, units: Units): Wish {
  const typed = example[units];
  const { cut, count } = example;
  return { ...EMPTY_WISH, cut, count, mass: typed.mass, thickness: typed.thickness };
}
