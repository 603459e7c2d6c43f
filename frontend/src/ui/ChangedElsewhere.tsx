import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  what: string;
  busy: boolean;
  onMine: () => void;
  onTheirs: () => void;
}

/** Somebody changed it meanwhile, in another tab or on another device: both versions are offered. */
export function ChangedElsewhere({ what, busy, onMine, onTheirs }: Props) {
  return (
    <div role="alert" className="flex flex-wrap items-center gap-2 border-care border-l-4 pl-2">
      <span>
        <strong>{say("ui-was-changed-in-another-window", { what })}</strong>{" "}
        {say("ui-since-you-opened-it-nothing-was")}
      </span>
      <Button disabled={busy} onClick={onMine}>
        {say("ui-keep-my-version")}
      </Button>
      <Button disabled={busy} onClick={onTheirs}>
        {say("ui-use-the-other-version")}
      </Button>
    </div>
  );
}
