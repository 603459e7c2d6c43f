import type { Shop } from "@/lib/day";
import { sectionName } from "@/lib/shop";
import { say } from "@/text/say";

/** What to buy for all dishes, by the sections of a shop. */
export function ShoppingList({ shops }: { shops: Shop[] }) {
  return (
    <section aria-labelledby="shop-title" className="mt-4 print:break-before-page">
      <h2 id="shop-title" className="font-semibold text-[1.125rem]">
        {say("schedule-shopping-list")}
      </h2>
      <dl
        aria-label={say("schedule-to-buy")}
        className="columns-1 gap-6 text-[0.875rem] sm:columns-3"
      >
        {shops.map((shop) => (
          <div key={shop.section} className="mb-1 break-inside-avoid">
            <dt className="font-semibold">{sectionName(shop.section)}</dt>
            {[...new Set(shop.items)].map((item) => (
              <dd key={item}>{item}</dd>
            ))}
          </div>
        ))}
      </dl>
    </section>
  );
}
