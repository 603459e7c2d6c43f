import { useHealth } from "@/api/queries";
import { say } from "@/text/say";

/** After an update the log is worked through again; until that is done, the old lessons hold. */
export function Relearning() {
  const { data } = useHealth();
  if (!data?.relearning) return null;
  const { done, of } = data.relearning;
  return (
    <p role="status" className="mt-2 text-pencil">
      {say("log-the-app-was-updated-and-is", { done, of })}
    </p>
  );
}
