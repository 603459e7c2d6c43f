import { Link } from "wouter";
import type { PlanOut } from "@/api/client";
import { taughtWords } from "@/lib/lessons";

/** How far the log moved this plan, and by which cooks. */
export function Taught({ plan }: { plan: PlanOut }) {
  const learned = plan.learned ?? [];
  if (learned.length === 0) return null;
  return (
    <p className="text-[14px]" data-testid="taught">
      <span className="text-pencil">From your log: </span>
      {learned.map((item) => taughtWords(item)).join("; ")}.{" "}
      <Link href="/log" className="underline">
        Which cooks, and set it back
      </Link>
    </p>
  );
}
