import { RadioGroup } from "radix-ui";

interface Option {
  value: string;
  name: string;
  says?: string;
}

interface Props {
  label: string;
  value: string;
  options: Option[];
  onChange: (value: string) => void;
}

/** A few words to choose one from; the chosen one is inked and underlined. */
export function Choice({ label, value, options, onChange }: Props) {
  return (
    <RadioGroup.Root
      aria-label={label}
      value={value}
      onValueChange={onChange}
      orientation="horizontal"
      className="flex flex-wrap gap-x-3 gap-y-0.5"
    >
      {options.map((option) => (
        <RadioGroup.Item
          key={option.value}
          value={option.value}
          title={option.says}
          className="min-h-6 border-b-2 border-transparent px-0.5 text-pencil data-[state=checked]:border-ink data-[state=checked]:font-semibold data-[state=checked]:text-ink"
        >
          {option.name}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
