import { useMutationState } from "@tanstack/react-query";
import { useState } from "react";
import { ProblemError, type Trouble, troubleOf } from "@/api/client";
import { Toast } from "@/ui/Toast";

/** A change that did not get through is said at the foot of whatever page: that the app does not
 * answer always, a refusal where no place of its own says it (`SAID_BELOW`). */
export function Refused() {
  const tried = useMutationState({
    select: ({ state, meta }) => ({
      at: state.submittedAt,
      trouble: saidBelow(state.error, meta?.saidBelow === true),
      done: state.status === "success",
    }),
  });
  const [seen, setSeen] = useState(0);
  const last = tried.filter((item) => item.trouble).at(-1);
  const since = tried.some((item) => item.done && item.at > (last?.at ?? 0));
  if (!last?.trouble || last.at <= seen || since) return null;
  return (
    <Toast
      text={`${last.trouble.message} ${last.trouble.hint ?? ""}`}
      onClose={() => setSeen(last.at)}
    />
  );
}

function saidBelow(error: Error | null, wanted: boolean): Trouble | null {
  if (!error) return null;
  const lost = error instanceof ProblemError && error.status === 0;
  return wanted || lost ? troubleOf(error) : null;
}
