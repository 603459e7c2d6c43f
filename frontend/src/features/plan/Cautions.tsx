import { Link } from "wouter";
import type { PlanOut } from "@/api/client";
import { bindUnits } from "@/lib/format";
import { SOURCE_WORDS } from "@/lib/words";
import { say } from "@/text/say";

interface Props {
  plan: PlanOut;
  stale: boolean;
}

type Caution = PlanOut["cautions"][number];

/** What always stands: two words of care and all the pressing ones; further notes are folded. */
const OPEN = 2;

/** Words of care: the pressing ones always in full, the manual last. */
export function Cautions({ plan, stale }: Props) {
  const pressing = plan.cautions.filter((caution) => caution.severity === "careful");
  const notes = plan.cautions.filter((caution) => caution.severity !== "careful");
  const shown = notes.slice(0, Math.max(0, OPEN - pressing.length));
  const folded = notes.slice(shown.length);
  return (
    <div className={stale ? "stale" : ""}>
      <ul className="flex flex-col gap-0.5" aria-label={say("plan-cautions")}>
        {[...pressing, ...shown].map((caution) => (
          <Item key={caution.code} caution={caution} />
        ))}
        <li className="border-edge border-l-4 px-2 text-[0.875rem]">
          <Link href="/guide#cautions" className="underline">
            {say("plan-the-makers-manual-and-local-food")}
          </Link>
        </li>
      </ul>
      {folded.length > 0 && (
        <details className="mt-1 text-[0.875rem]">
          <summary className="cursor-pointer text-pencil">
            {say("plan-more-notes", { folded: folded.length })}
          </summary>
          <ul className="mt-1 flex flex-col gap-1">
            {folded.map((caution) => (
              <Item key={caution.code} caution={caution} />
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}

function Item({ caution }: { caution: Caution }) {
  const careful = caution.severity === "careful";
  return (
    <li
      title={sourceText(caution.source)}
      className={
        careful
          ? "border-care border-l-4 bg-care-wash px-2 py-0.5 font-medium text-[0.875rem]"
          : "border-edge border-l-4 px-2 text-[0.875rem]"
      }
    >
      {careful && <span className="sr-only">{say("plan-careful")} </span>}
      {bindUnits(caution.text)}
    </li>
  );
}

/** What kind of source it has, and which one where it was published. */
function sourceText({ kind, work }: Caution["source"]): string {
  const name = SOURCE_WORDS[kind]?.name ?? "";
  return kind === "published" ? `${name}: ${work}` : name;
}
