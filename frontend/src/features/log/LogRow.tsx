import { Link } from "wouter";
import type { CookLine } from "@/api/client";
import { shortDate } from "@/lib/clock";
import { cookTime, massText, type Units } from "@/lib/format";
import { nickname } from "@/lib/pot-name";
import { TEXTURES, tendernessOf } from "@/lib/words";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { Checkbox } from "@/ui/Checkbox";

interface Props {
  cook: CookLine;
  cutName: string;
  units: Units;
  picked: boolean;
  onPick: (on: boolean) => void;
  onDelete: () => void;
}

/** One sheet of the log: what, how long, and how it came out beside what was wished. */
export function LogRow({ cook, cutName, units, picked, onPick, onDelete }: Props) {
  return (
    <li className="grid items-center gap-x-4 gap-y-1 border-rule border-b py-1.5 sm:grid-cols-[6rem_minmax(0,1fr)_16rem_auto]">
      <span className="font-dial text-pencil">{shortDate(cook.started_at)}</span>
      <span className="min-w-0">
        <Link href={`/log?cook=${cook.id}`} className="font-semibold underline">
          {cook.name}
        </Link>
        <span className="ml-2 text-[0.875rem] text-pencil">
          {cutName}, {massText(cook.mass_kg, units)}, {nickname(cook.pot_name)}
        </span>
        {cook.note && <span className="block truncate text-[0.875rem]">{cook.note}</span>}
      </span>
      <span>
        <span className="font-bold font-dial">{cookTime(cook.hold_min)}</span>
        <span className="ml-2 text-[0.875rem]">{came(cook)}</span>
      </span>
      <span className="flex items-center gap-3">
        <Checkbox label={say("log-compare")} on={picked} onChange={onPick} />
        <Button
          className="text-[0.875rem]"
          aria-label={say("log-delete-2", { name: cook.name })}
          onClick={onDelete}
        >
          {say("log-delete")}
        </Button>
      </span>
    </li>
  );
}

function came(cook: CookLine): string {
  if (cook.outcome_step === null) return say("log-not-rated");
  const wished = TEXTURES[Math.round(cook.wished_step)] ?? "tender";
  const found = TEXTURES[Math.round(cook.outcome_step)] ?? "tender";
  const words = tendernessOf(found, cook.cut);
  return found === wished
    ? say("log-as-you-wanted", { words })
    : say("log-you-wanted", { words, wished: tendernessOf(wished, cook.cut) });
}
