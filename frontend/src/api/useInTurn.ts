import { useEffect, useState } from "react";

/** The newest question, held back while an older one is on its way: one is asked at a time, none is
 * cancelled, and the last one is always answered. So pictures keep coming while a hand moves.
 *
 * @param wanted what should be asked next; the same object as long as it is the same question
 * @param busy whether an answer is on its way
 */
export function useInTurn<T>(wanted: T, busy: (asked: T) => boolean): T {
  const [asked, setAsked] = useState(wanted);
  const free = asked !== wanted && !busy(asked);
  useEffect(() => {
    if (free) setAsked(wanted);
  }, [free, wanted]);
  return asked;
}
