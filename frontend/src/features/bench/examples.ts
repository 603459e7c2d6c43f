/** Three plans to look at; invented. */

import type { Units } from "@/lib/format";
import { EMPTY_WISH, type Wish } from "@/lib/wish";

interface Typed {
  mass: string;
  thickness: string;
  says: string;
}

export interface Example {
  name: string;
  family: string;
  cut: string;
  count: string;
  metric: Typed;
  us: Typed;
}

export const EXAMPLES: Example[] = [
  {
    name: "Two halves of a brisket flat",
    family: "brisket",
    cut: "brisket_flat",
    count: "2",
    metric: { mass: "1.4 kg", thickness: "4.5 cm", says: "1.4 kg, 4.5 cm thick" },
    us: { mass: "3 lb", thickness: "1¾ in", says: "3 lb, 1¾ in thick" },
  },
  {
    name: "A rack of ribs",
    family: "ribs",
    cut: "back_ribs",
    count: "1",
    metric: { mass: "1.1 kg", thickness: "2.5 cm", says: "1.1 kg, 2.5 cm thick" },
    us: { mass: "2 lb 8 oz", thickness: "1 in", says: "2 lb 8 oz, 1 in thick" },
  },
  {
    name: "Pork shoulder to pull",
    family: "shoulder",
    cut: "shoulder_boneless",
    count: "1",
    metric: { mass: "1.8 kg", thickness: "8 cm", says: "1.8 kg, 8 cm thick" },
    us: { mass: "4 lb", thickness: "3⅛ in", says: "4 lb, 3⅛ in thick" },
  },
];

/** An example as it would have been typed. */
export function exampleWish(example: Example, units: Units): Wish {
  const typed = units === "us" ? example.us : example.metric;
  const { cut, count } = example;
  return { ...EMPTY_WISH, cut, count, mass: typed.mass, thickness: typed.thickness };
}
