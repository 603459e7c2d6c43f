import type { CookOut } from "@/api/client";
import { useCookClock } from "@/api/cooks";
import { spokenTime } from "@/lib/format";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

/** Less than a minute is how clocks differ. */
const LEAST_S = 60;

/** A cook whose time is not the kitchen's says so, and can be brought back. */
export function OwnTime({ cook }: { cook: CookOut }) {
  const clock = useCookClock(cook.id);
  const apart = Math.abs(cook.ahead_s);
  if (cook.ended_at || (apart < LEAST_S && cook.speed === 1)) return null;
  const clocks = cook.ahead_s > 0 ? "cook-ahead-of-the-clock" : "cook-behind-the-clock";
  return (
    <p
      role="status"
      className="mt-2 flex flex-wrap items-center gap-2 border-care border-l-4 bg-care-wash px-2 py-1"
    >
      <span>
        {cook.speed > 1 && `${say("cook-simulated-time-times-as-fast", { speed: cook.speed })} `}
        {apart >= LEAST_S && say(clocks, { apart: spokenTime(apart / 60) })}
      </span>
      {apart >= LEAST_S && (
        <Button disabled={clock.isPending} onClick={() => clock.mutate({ back: true })}>
          {say("cook-set-it-to-the-real-time")}
        </Button>
      )}
    </p>
  );
}
