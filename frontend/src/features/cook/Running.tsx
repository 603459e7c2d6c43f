import { Link } from "wouter";
import { useLog } from "@/api/cooks";

/** Other cooks beside the pot now. */
export function Running({ except }: { except: string }) {
  const others = (useLog({ running: true, limit: 20 }).data?.cooks ?? []).filter(
    (cook) => cook.id !== except,
  );
  if (others.length === 0) return null;
  return (
    <p className="flex flex-wrap gap-x-4">
      <span className="text-pencil">also on:</span>
      {others.map((cook) => (
        <Link key={cook.id} href={`/cook?cook=${cook.id}`} className="underline">
          {cook.name}
        </Link>
      ))}
    </p>
  );
}
