import { useState } from "react";
import type { KeptPotOut } from "@/api/client";
import { useAddPot, useCatalogue, useHousehold, usePots, useRemovePot } from "@/api/queries";
import { Devices } from "@/features/kitchen/Devices";
import { HouseholdForm } from "@/features/kitchen/HouseholdForm";
import { OwnPotSheet } from "@/features/kitchen/OwnPotSheet";
import { Phone } from "@/features/kitchen/Phone";
import { PotCard } from "@/features/kitchen/PotCard";
import { Restore } from "@/features/kitchen/Restore";
import { Safekeeping } from "@/features/kitchen/Safekeeping";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { Toast } from "@/ui/Toast";

/** What do I cook with? The household's settings and its pots. */
export function KitchenView() {
  const household = useHousehold();
  const pots = usePots();
  const catalogue = useCatalogue();
  const add = useAddPot();
  const remove = useRemovePot();
  const [adding, setAdding] = useState(false);
  const [editing, setEditing] = useState<KeptPotOut | null>(null);
  const [gone, setGone] = useState<{ id: string; name: string } | null>(null);
  if (household.isError || pots.isError) {
    return (
      <p role="alert" className="p-6">
        <strong>{say("kitchen-the-app-does-not-answer")}</strong>{" "}
        {say("kitchen-start-it-again-everything-is-safe")}
      </p>
    );
  }
  if (!household.data || !pots.data || !catalogue.data) {
    return <p className="p-6 text-pencil">{say("shared-loading")}</p>;
  }
  const here = new Set(pots.data.pots.map((kept) => kept.ready_id));
  const missing = catalogue.data.ready_pots.filter((ready) => !here.has(ready.id));
  const units = household.data.units;
  return (
    <div className="mx-auto grid max-w-5xl gap-8 px-4 py-5 md:grid-cols-[320px_1fr]">
      <h1 className="sr-only">{say("kitchen-my-kitchen")}</h1>
      <HouseholdForm household={household.data} />
      <section aria-labelledby="pots-title">
        <h2 id="pots-title" className="mb-2 font-bold text-[1.25rem]">
          {say("kitchen-your-cookers-drawn-to-one-scale")}
        </h2>
        <ul className="grid gap-4 sm:grid-cols-2">
          {pots.data.pots.map((kept) => (
            <PotCard
              key={kept.id}
              kept={kept}
              units={units}
              onEdit={() => setEditing(kept)}
              onRemove={() =>
                remove.mutate(
                  { id: kept.id, restore: false },
                  { onSuccess: () => setGone({ id: kept.id, name: kept.pot.name }) },
                )
              }
            />
          ))}
        </ul>
        <Button className="mt-4" strong onClick={() => setAdding(true)}>
          {say("kitchen-add-your-own-cooker")}
        </Button>
        {adding && <OwnPotSheet units={units} onClose={() => setAdding(false)} />}
        {editing && <OwnPotSheet units={units} kept={editing} onClose={() => setEditing(null)} />}
        {missing.length > 0 && (
          <div className="mt-4 flex flex-wrap items-center gap-2">
            <span className="text-pencil">{say("kitchen-add-another-one")}</span>
            {missing.map((ready) => (
              <Button key={ready.id} onClick={() => add.mutate(ready.id)}>
                {ready.pot.name}
              </Button>
            ))}
          </div>
        )}
        <p className="mt-5">
          <a href="/api/backup" download className="underline underline-offset-4">
            {say("kitchen-download-backup")}
          </a>{" "}
          <span className="text-pencil">{say("kitchen-one-json-file")}</span>
        </p>
        <Restore />
      </section>
      <Devices />
      <Phone />
      <Safekeeping />
      {gone && (
        <Toast
          text={say("kitchen-is-removed", { name: gone.name })}
          action={{
            name: say("kitchen-undo"),
            run: () =>
              remove.mutate({ id: gone.id, restore: true }, { onSuccess: () => setGone(null) }),
          }}
          onClose={() => setGone(null)}
        />
      )}
    </div>
  );
}
