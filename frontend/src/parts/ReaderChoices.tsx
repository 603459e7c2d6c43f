import type { HouseholdOut } from "@/api/client";
import { localeChoices, unitChoices } from "@/lib/kitchen";
import { say } from "@/text/say";
import { Choice } from "@/ui/Choice";

type Units = HouseholdOut["units"];
type Locale = HouseholdOut["locale"];

interface Props {
  units: Units;
  locale: Locale;
  onUnits: (units: Units) => void;
  onLocale: (locale: Locale) => void;
}

/** How a kitchen reads: its units and its English. */
export function ReaderChoices({ units, locale, onUnits, onLocale }: Props) {
  return (
    <>
      <div>
        <span className="text-pencil">{say("shared-units")}</span>
        <Choice
          label={say("shared-units-2")}
          value={units}
          options={unitChoices()}
          onChange={(value) => onUnits(value === "us" ? "us" : "metric")}
        />
      </div>
      <div>
        <span className="text-pencil">{say("shared-english")}</span>
        <Choice
          label={say("shared-english")}
          value={locale}
          options={localeChoices()}
          onChange={(value) => onLocale(value === "en-GB" ? "en-GB" : "en-US")}
        />
      </div>
    </>
  );
}
