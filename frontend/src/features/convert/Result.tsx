import { Tabs } from "radix-ui";
import { Link } from "wouter";
import type { ConvertedOut, ConvertIn, ExportFormat } from "@/api/client";
import { useExport } from "@/api/recipes";
import { addDish, recipeCard } from "@/lib/day";
import { cookTime, cookTimes, spokenTime, type Units } from "@/lib/format";
import { wishFromPlan, wishToAddress } from "@/lib/wish";
import { RELEASE_WORDS } from "@/lib/words";
import { CookNow } from "@/parts/CookNow";
import { Button } from "@/ui/Button";

interface Props {
  converted: ConvertedOut;
  wish: ConvertIn;
  units: Units;
  title: string;
}

/** What it comes to: the setting, the cross-check, the way on, and what to buy. */
export function Result({ converted, wish, units, title }: Props) {
  const { setting, check } = converted;
  const bench = `/plan?${wishToAddress(wishFromPlan(converted.wish), null)}`;
  return (
    <section aria-label="result" className="mt-3 grid gap-x-8 gap-y-2 lg:grid-cols-2">
      <div>
        <p className="font-bold font-dial text-[3.5rem] leading-none" data-testid="converted-hold">
          {cookTime(setting.hold_min)}
        </p>
        <p className="font-semibold">
          at high pressure, likely range {cookTimes(setting.hold_low_min, setting.hold_high_min)}
        </p>
        <p>
          {setting.liquid_shown[units]} of liquid{setting.runs > 1 ? " in each batch" : ""};{" "}
          {RELEASE_WORDS[setting.release].name}; total time{" "}
          {spokenTime(setting.lid_on_to_open_s / 60)}
          {setting.runs > 1 ? `, ${setting.runs} batches` : ""}.
        </p>
        {check && (
          <p className="mt-1 text-[0.875rem]" data-testid="check">
            {!check.agrees && <strong className="font-semibold">They disagree. </strong>}
            {check.words}
          </p>
        )}
        <ul className="mt-1 text-[0.875rem]" aria-label="cautions">
          {converted.cautions.map((text) => (
            <li key={text} className="border-care border-l-4 bg-care-wash px-2 font-medium">
              {text}
            </li>
          ))}
          <li className="border-edge border-l-4 px-2">
            The maker’s manual and local food-safety advice come first.
          </li>
        </ul>
        {converted.allergens.length > 0 && (
          <p className="mt-1 text-[0.875rem]">
            Contains, as far as it is known here: {converted.allergens.join(", ")}.
          </p>
        )}
      </div>
      <Tabs.Root defaultValue="on" className="print:hidden">
        <Tabs.List aria-label="next" className="flex gap-4">
          <Tabs.Trigger value="on" className={TAB}>
            Next
          </Tabs.Trigger>
          <Tabs.Trigger value="shop" className={TAB}>
            Shopping list
          </Tabs.Trigger>
        </Tabs.List>
        <Tabs.Content value="on" className="flex flex-col gap-2 pt-2">
          <p>
            <Link
              href={bench}
              className="inline-block rounded-sm border border-ink bg-ink px-3 py-1 font-medium text-paper"
            >
              Open in Plan
            </Link>{" "}
            <Link
              href="/schedule"
              onClick={() => addDish(title, converted.wish, converted)}
              className="inline-block rounded-sm border border-edge px-3 py-1 font-medium"
            >
              Add to schedule
            </Link>{" "}
            <CookNow
              name={title}
              plan={converted.wish}
              recipe={recipeCard(title, converted)}
              extras={converted.extras}
            />
          </p>
          <GiveBack wish={wish} title={title} />
        </Tabs.Content>
        <Tabs.Content value="shop" className="max-h-64 overflow-y-auto pt-2 text-[0.875rem]">
          <dl aria-label="shopping list" className="columns-2 gap-6">
            {converted.shopping.map((shop) => (
              <div key={shop.section} className="mb-1 break-inside-avoid">
                <dt className="font-semibold">{shop.section}</dt>
                {shop.items.map((item) => (
                  <dd key={item}>{item}</dd>
                ))}
              </div>
            ))}
          </dl>
        </Tabs.Content>
      </Tabs.Root>
    </section>
  );
}

const TAB =
  "border-transparent border-b-2 font-semibold text-[0.9375rem] text-pencil data-[state=active]:border-ink data-[state=active]:text-ink";

const FORMATS: Record<ExportFormat, { name: string; ending: string; type: string }> = {
  jsonld: { name: "JSON-LD", ending: "jsonld", type: "application/ld+json" },
  markdown: { name: "Markdown", ending: "md", type: "text/markdown" },
  text: { name: "plain text", ending: "txt", type: "text/plain" },
};

/** The recipe for the pot as a file in an open format, or on paper. */
function GiveBack({ wish, title }: { wish: ConvertIn; title: string }) {
  const give = useExport();
  const save = (format: ExportFormat) =>
    give.mutate(
      { wish, format },
      {
        onSuccess: ({ text }) => {
          const { ending, type } = FORMATS[format];
          const link = document.createElement("a");
          link.href = URL.createObjectURL(new Blob([text], { type }));
          link.download = `${fileName(title)}.${ending}`;
          link.click();
          URL.revokeObjectURL(link.href);
        },
      },
    );
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="text-pencil">Export as</span>
      {Object.entries(FORMATS).map(([format, { name }]) => (
        <Button key={format} onClick={() => save(format as ExportFormat)}>
          {name}
        </Button>
      ))}
      <Button onClick={() => window.print()}>Print</Button>
    </div>
  );
}

function fileName(title: string): string {
  const plain = title.toLowerCase().replace(/[^a-z0-9]+/g, "-");
  return plain.replace(/^-|-$/g, "").slice(0, 60) || "recipe";
}
