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
        <strong>{what} was changed in another window</strong> since you opened it. Nothing was saved
        yet.
      </span>
      <Button disabled={busy} onClick={onMine}>
        Keep my version
      </Button>
      <Button disabled={busy} onClick={onTheirs}>
        Use the other version
      </Button>
    </div>
  );
}
