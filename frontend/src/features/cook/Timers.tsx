import type { CookOut, CookTimer } from "@/api/client";
import type { Act } from "@/api/cooks";
import { newKey } from "@/api/cooks";
import { leftTime, stepOf } from "@/lib/cook";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  cook: CookOut;
  act: (act: Act) => void;
}

/** Timers of the whole cook: they run on the server, ring once, and can be moved. */
export function Timers({ cook, act }: Props) {
  const step = stepOf(cook, cook.current);
  const running = new Set(cook.timers.map((timer) => `${timer.step_id} ${timer.title}`));
  const offered = (step?.timers ?? []).filter(
    (timer) => !running.has(`${step?.step_id} ${timer.title}`),
  );
  const start = (offered: number, seconds: number) => {
    if (!step) return;
    const event = {
      kind: "timer_started" as const,
      key: newKey(),
      timer_id: newKey(),
      step_id: step.step_id,
      offered,
      seconds,
    };
    act({ kind: "tell", event });
  };
  return (
    <div className="flex flex-wrap items-center gap-3">
      {offered.map((timer) => (
        <Button
          key={timer.title}
          className="min-h-[3rem] text-[1.0625rem]"
          onClick={() => start(timer.offered, timer.seconds)}
        >
          ▸ {timer.title}, {leftTime(timer.seconds)}
        </Button>
      ))}
      <ul aria-label={say("cook-timers")} className="contents">
        {cook.timers.map((timer) => (
          <Running key={timer.timer_id} timer={timer} act={act} />
        ))}
      </ul>
    </div>
  );
}

function Running({ timer, act }: { timer: CookTimer; act: (act: Act) => void }) {
  const tell = (kind: "timer_rang" | "timer_stopped") =>
    act({ kind: "tell", event: { kind, key: newKey(), timer_id: timer.timer_id } });
  const move = (by_s: number) =>
    act({
      kind: "tell",
      event: { kind: "timer_moved", key: newKey(), timer_id: timer.timer_id, by_s },
    });
  const due = timer.left_s === 0;
  const rings = due && !timer.heard;
  return (
    <li
      className={`flex flex-wrap items-center gap-2 rounded-sm border-2 px-3 py-1 ${rings ? "border-care bg-care-wash" : "border-edge"}`}
    >
      <span className="font-bold font-dial text-[1.625rem]" role="timer">
        {due ? say("cook-now") : leftTime(timer.left_s)}
      </span>
      <span>{timer.title}</span>
      {rings && (
        <Button strong className="min-h-[2.75rem]" onClick={() => tell("timer_rang")}>
          {say("cook-got-it")}
        </Button>
      )}
      <Button
        className="min-h-[2.75rem]"
        aria-label={say("cook-a-minute-less", { title: timer.title })}
        onClick={() => move(-60)}
      >
        −1
      </Button>
      <Button
        className="min-h-[2.75rem]"
        aria-label={say("cook-a-minute-more", { title: timer.title })}
        onClick={() => move(60)}
      >
        +1
      </Button>
      <Button
        className="min-h-[2.75rem]"
        aria-label={say("cook-remove-2", { title: timer.title })}
        onClick={() => tell("timer_stopped")}
      >
        {say("cook-remove")}
      </Button>
    </li>
  );
}
