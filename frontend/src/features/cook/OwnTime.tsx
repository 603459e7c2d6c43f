import type { CookOut } from "@/api/client";
import { useCookClock } from "@/api/cooks";
import { spokenTime } from "@/lib/format";
import { Button } from "@/ui/Button";

/** Less than a minute is how clocks differ. */
const LEAST_S = 60;

/** A cook whose time is not the kitchen's says so, and can be brought back. */
export function OwnTime({ cook }: { cook: CookOut }) {
  const clock = useCookClock(cook.id);
  const apart = Math.abs(cook.ahead_s);
  if (cook.ended_at || (apart < LEAST_S && cook.speed === 1)) return null;
  const where = cook.ahead_s > 0 ? "ahead of" : "behind";
  return (
    <p
      role="status"
      className="mt-2 flex flex-wrap items-center gap-2 border-care border-l-4 bg-care-wash px-2 py-1"
    >
      <span>
        {cook.speed > 1 && `Simulated time: ${cook.speed} times as fast. `}
        {apart >= LEAST_S &&
          `This cook is ${spokenTime(apart / 60)} ${where} the clock on the wall.`}
      </span>
      {apart >= LEAST_S && (
        <Button disabled={clock.isPending} onClick={() => clock.mutate({ back: true })}>
          Set it to the real time
        </Button>
      )}
    </p>
  );
}
