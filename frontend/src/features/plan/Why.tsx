import { Link } from "wouter";
import type { PlanOut } from "@/api/client";
import { useUnits } from "@/api/queries";
import { bindUnits, inBoth } from "@/lib/format";
import { SOURCE_WORDS } from "@/lib/words";
import { say } from "@/text/say";
import { WhyMark } from "@/ui/WhyMark";

interface Props {
  plan: PlanOut;
  stale: boolean;
}

type Reason = PlanOut["reasons"][number];

/** The facts every number came from, each with the kind of its source. */
export function Why({ plan, stale }: Props) {
  const units = useUnits();
  const piece = plan.pieces[0];
  const rest = piece?.safe_rest_s
    ? ` ${say("plan-and-min", { round: Math.round(piece.safe_rest_s / 60) })}`
    : "";
  return (
    <div className={stale ? "stale" : ""}>
      <ul className="text-[0.875rem]" aria-label={say("plan-reasons")}>
        {plan.reasons.map((reason) => (
          <ReasonLine key={`${reason.about} ${reason.fact}`} plan={plan} reason={reason} labelled />
        ))}
        {piece && (
          <li className="py-0.5">
            <strong className="font-semibold">{say("plan-safe")} </strong>
            {say("plan-the-center-is-at-when-the", {
              core_at_open: inBoth(piece.core_at_open_shown, units),
              safe_core: inBoth(piece.safe_core_shown, units),
              rest,
            })}{" "}
            <Link href="/guide#number" className="underline">
              {say("plan-how-the-number-is-made")}
            </Link>
          </li>
        )}
      </ul>
    </div>
  );
}

interface LineProps {
  plan: PlanOut;
  reason: Reason;
  labelled?: boolean;
}

function ReasonLine({ plan, reason, labelled = false }: LineProps) {
  const kind = LOG_FACTS[reason.fact];
  const cooks = plan.learned?.find((item) => item.kind === kind)?.cooks.length ?? 0;
  return (
    <li className="border-rule border-b py-0.5 last:border-b-0">
      {labelled && <strong className="font-semibold">{aboutWords()[reason.about]}: </strong>}
      {bindUnits(reason.text)}
      {cooks > 0 && ` ${say("plan-from-of-yours", { cooks })}`}{" "}
      <span className="whitespace-nowrap text-pencil">({SOURCE_WORDS[reason.source]?.name})</span>
    </li>
  );
}

interface BesideProps {
  plan: PlanOut | undefined;
  /** Which reasons belong to the number. */
  about: Reason["about"][];
  of: string;
}

/** The reasons of one number, opened beside it. */
export function WhyBeside({ plan, about, of }: BesideProps) {
  const reasons = plan?.reasons.filter((reason) => about.includes(reason.about)) ?? [];
  if (!plan || reasons.length === 0) return null;
  return (
    <WhyMark of={of}>
      <ul>
        {reasons.map((reason) => (
          <ReasonLine key={`${reason.about} ${reason.fact}`} plan={plan} reason={reason} />
        ))}
      </ul>
    </WhyMark>
  );
}

/** Reasons that come from the log, and what of it. */
const LOG_FACTS: Record<string, string | undefined> = { log: "taste", log_heat: "heat" };

const aboutWords = (): Record<Reason["about"], string> => ({
  hold: say("plan-cook-time-2"),
  range: say("plan-likely-range-2"),
  liquid: say("plan-liquid-2"),
  rack: say("plan-trivet-2"),
  arrangement: say("plan-in-the-cooker"),
  release: say("plan-release-2"),
});
