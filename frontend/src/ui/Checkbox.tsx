import { Checkbox as RadixCheckbox } from "radix-ui";
import { useId } from "react";

interface Props {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
}

/** A box to tick. */
export function Checkbox({ label, on, onChange }: Props) {
  const id = useId();
  return (
    <div className="flex items-center gap-2">
      <RadixCheckbox.Root
        id={id}
        checked={on}
        onCheckedChange={(checked) => onChange(checked === true)}
        className="grid h-6 w-6 shrink-0 place-items-center rounded-sm border-2 border-edge bg-sheet data-[state=checked]:border-ink data-[state=checked]:bg-ink"
      >
        <RadixCheckbox.Indicator className="font-bold text-[0.8125rem] text-paper leading-none">
          ✓
        </RadixCheckbox.Indicator>
      </RadixCheckbox.Root>
      <label htmlFor={id} className="text-[0.875rem]">
        {label}
      </label>
    </div>
  );
}
