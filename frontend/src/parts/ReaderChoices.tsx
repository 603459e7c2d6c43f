import type { HouseholdOut } from "@/api/client";
import { LOCALES, UNITS } from "@/lib/kitchen";
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
        <span className="text-pencil">Units</span>
        <Choice
          label="units"
          value={units}
          options={UNITS}
          onChange={(value) => onUnits(value === "us" ? "us" : "metric")}
        />
      </div>
      <div>
        <span className="text-pencil">English</span>
        <Choice
          label="English"
          value={locale}
          options={LOCALES}
          onChange={(value) => onLocale(value === "en-GB" ? "en-GB" : "en-US")}
        />
      </div>
    </>
  );
}
