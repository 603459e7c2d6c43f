import { useHealth } from "@/api/queries";

/** After an update the log is worked through again; until that is done, the old lessons hold. */
export function Relearning() {
  const { data } = useHealth();
  if (!data?.relearning) return null;
  const { done, of } = data.relearning;
  return (
    <p role="status" className="mt-2 text-pencil">
      The app was updated and is reading the log again: {done} of {of} cooks. Until then the earlier
      adjustments apply.
    </p>
  );
}
