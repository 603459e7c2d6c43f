import { useState } from "react";
import {
  APP_KEYS,
  BENCH_KEYS,
  COOK_KEYS,
  keepSingleKeys,
  MARK_KEYS,
  singleKeysOn,
} from "@/lib/keys";
import { say } from "@/text/say";
import { Checkbox } from "@/ui/Checkbox";
import { Dialog } from "@/ui/Dialog";
import { useKeys } from "@/ui/useKeys";

/** The keys of our own, on a sheet that `?` opens. */
export function KeySheet() {
  const [open, setOpen] = useState(false);
  const [on, setOn] = useState(singleKeysOn);
  useKeys({ "?": () => setOpen(true) });
  return (
    <Dialog title={say("app-keys")} open={open} onClose={() => setOpen(false)}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
        {[...APP_KEYS, ...BENCH_KEYS, ...MARK_KEYS, ...COOK_KEYS].map(({ key, shown, does }) => (
          <KeyLine key={key} shown={shown} does={does()} />
        ))}
        <KeyLine shown="1 – 9" does={say("app-use-that-line-of-what-if")} />
        <KeyLine shown={say("app-arrows")} does={say("app-step-a-measure-the-liquid-line")} />
      </dl>
      <div className="mt-3">
        <Checkbox
          label={say("app-single-keys-work")}
          on={on}
          onChange={(next) => {
            keepSingleKeys(next);
            setOn(next);
          }}
        />
      </div>
    </Dialog>
  );
}

function KeyLine({ shown, does }: { shown: string; does: string }) {
  return (
    <>
      <dt>
        <kbd className="rounded-sm border border-edge bg-sheet px-1.5 font-dial">{shown}</kbd>
      </dt>
      <dd>{does}</dd>
    </>
  );
}
