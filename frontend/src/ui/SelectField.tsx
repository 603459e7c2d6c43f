import { type ReactNode, useId } from "react";

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
  /** Stands beside the label. */
  aside?: ReactNode;
}

/** One of several words, with what the chosen one means under it for those who hover. */
export function SelectField({ label, value, options, onChange, aside }: Props) {
  const id = useId();
  const chosen = options.find((option) => option.value === value);
  return (
    <div className="flex min-w-0 flex-col">
      <div
        className={`flex items-end justify-between gap-1 ${aside === undefined ? "" : "min-h-6"}`}
      >
        <label htmlFor={id} className="text-[0.8125rem] text-pencil leading-tight">
          {label}
        </label>
        {aside}
      </div>
      <select
        id={id}
        value={value}
        title={chosen?.says}
        onChange={(event) => onChange(event.target.value)}
        className="min-w-0 rounded-sm border border-edge bg-sheet px-1.5 py-1 font-medium text-[0.875rem]"
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.name}
          </option>
        ))}
      </select>
    </div>
  );
}
