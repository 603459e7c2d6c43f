import { Tabs } from "radix-ui";
import { Link } from "wouter";
import type { ConvertedOut, ConvertIn, ExportFormat } from "@/api/client";
import { useExport } from "@/api/recipes";
import { requestFromPlan, requestToAddress } from "@/lib/cookRequest";
import { addDish, recipeCard } from "@/lib/day";
import { cookTime, cookTimes, spokenTime, type Units } from "@/lib/format";
import { sectionName } from "@/lib/shop";
import { CookNow } from "@/parts/CookNow";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  converted: ConvertedOut;
  request: ConvertIn;
  units: Units;
  title: string;
}

/** What it comes to: the setting, the cross-check, the way on, and what to buy. */
export function Result({ converted, request, units, title }: Props) {
  const { setting, check } = converted;
  const planAddress = `/plan?${requestToAddress(requestFromPlan(converted.request), null)}`;
  return (
    <section
      aria-label={say("convert-result")}
      className="mt-3 grid gap-x-8 gap-y-2 lg:grid-cols-2"
    >
      <div>
        <p className="font-bold font-dial text-[3.5rem] leading-none" data-testid="converted-hold">
          {cookTime(setting.hold_min)}
        </p>
        <p className="font-semibold">
          {setting.own_minutes
            ? say("convert-as-your-recipe-says")
            : say("convert-at-high-pressure-likely-range", {
                hold_low_min: cookTimes(setting.hold_low_min, setting.hold_high_min),
              })}
        </p>
        <p>
          {say("convert-of-liquid-total-time", {
            liquid: setting.liquid_shown[units],
            runs: setting.runs,
            name: setting.release_shown,
            lid_on_to_open_s: spokenTime(setting.lid_on_to_open_s / 60),
          })}
        </p>
        {check && (
          <p className="mt-1 text-[0.875rem]" data-testid="check">
            {!check.agrees && (
              <strong className="font-semibold">{say("convert-they-disagree")} </strong>
            )}
            {check.words}
          </p>
        )}
        <ul className="mt-1 text-[0.875rem]" aria-label={say("convert-cautions")}>
          {converted.cautions.map((text) => (
            <li key={text} className="border-care border-l-4 bg-care-wash px-2 font-medium">
              {text}
            </li>
          ))}
          <li className="border-edge border-l-4 px-2">
            {say("convert-the-makers-manual-and-local-food")}
          </li>
        </ul>
        {converted.allergens.length > 0 && (
          <p className="mt-1 text-[0.875rem]">
            {say("convert-contains-as-far-as-it-is", { join: converted.allergens.join(", ") })}
          </p>
        )}
      </div>
      <Tabs.Root defaultValue="on" className="print:hidden">
        <Tabs.List aria-label={say("convert-next-2")} className="flex gap-4">
          <Tabs.Trigger value="on" className={TAB}>
            {say("convert-next")}
          </Tabs.Trigger>
          <Tabs.Trigger value="shop" className={TAB}>
            {say("convert-shopping-list")}
          </Tabs.Trigger>
        </Tabs.List>
        <Tabs.Content value="on" className="flex flex-col gap-2 pt-2">
          <p>
            <Link
              href={planAddress}
              className="inline-block rounded-sm border border-ink bg-ink px-3 py-1 font-medium text-paper"
            >
              {say("convert-open-in-plan")}
            </Link>{" "}
            <Link
              href="/schedule"
              onClick={() => addDish(title, converted.request, converted)}
              className="inline-block rounded-sm border border-edge px-3 py-1 font-medium"
            >
              {say("convert-add-to-schedule")}
            </Link>{" "}
            <CookNow
              name={title}
              plan={converted.request}
              recipe={recipeCard(title, converted)}
              extras={converted.extras}
              rubbed={converted.rubbed}
              rubMin={converted.rub_min}
              crackling={converted.crackling}
              pulledFirst={converted.pulled_first}
              searMin={converted.sear_min}
              marinade={converted.marinade}
              marinateMin={converted.marinate_min}
            />
          </p>
          <GiveBack request={request} title={title} />
        </Tabs.Content>
        <Tabs.Content value="shop" className="max-h-64 overflow-y-auto pt-2 text-[0.875rem]">
          <dl aria-label={say("convert-shopping-list-2")} className="columns-2 gap-6">
            {converted.shopping.map((shop) => (
              <div key={shop.section} className="mb-1 break-inside-avoid">
                <dt className="font-semibold">{sectionName(shop.section)}</dt>
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

const formats = (): Record<ExportFormat, { name: string; ending: string; type: string }> => ({
  jsonld: {
    name: say("convert-json-ld"),
    ending: "jsonld",
    type: "application/ld+json",
  },
  markdown: {
    name: say("convert-markdown"),
    ending: "md",
    type: "text/markdown",
  },
  text: {
    name: say("convert-plain-text"),
    ending: "txt",
    type: "text/plain",
  },
});

/** The recipe for the pot as a file in an open format, or on paper. */
function GiveBack({ request, title }: { request: ConvertIn; title: string }) {
  const give = useExport();
  const save = (format: ExportFormat) =>
    give.mutate(
      { request, format },
      {
        onSuccess: ({ text }) => {
          const { ending, type } = formats()[format];
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
      <span className="text-pencil">{say("convert-export-as")}</span>
      {Object.entries(formats()).map(([format, { name }]) => (
        <Button key={format} onClick={() => save(format as ExportFormat)}>
          {name}
        </Button>
      ))}
      <Button onClick={() => window.print()}>{say("convert-print")}</Button>
    </div>
  );
}

function fileName(title: string): string {
  const plain = title.toLowerCase().replace(/[^a-z0-9]+/g, "-");
  return plain.replace(/^-|-$/g, "").slice(0, 60) || "recipe";
}
