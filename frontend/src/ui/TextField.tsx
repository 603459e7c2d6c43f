import { useId } from "react";

interface Props {
  label: string;
  value: string;
  placeholder?: string;
  trouble?: string | null;
  onChange: (value: string) => void;
}

/** A labelled line of text in a form; what is wrong stands under it. */
export function TextField({ label, value, placeholder, trouble, onChange }: Props) {
  const id = useId();
  return (
    <div className="flex flex-col">
      <label htmlFor={id} className="text-[0.8125rem] text-pencil leading-tight">
        {label}
      </label>
      <input
        id={id}
        value={value}
        placeholder={placeholder}
        autoComplete="off"
        aria-invalid={trouble ? true : undefined}
        aria-describedby={trouble ? `${id}-trouble` : undefined}
        onChange={(event) => onChange(event.target.value)}
        className={`rounded-sm border bg-sheet px-2 py-1 placeholder:text-pencil ${trouble ? "border-care" : "border-edge"}`}
      />
      {trouble && (
        <p
          id={`${id}-trouble`}
          role="alert"
          className="mt-0.5 border-care border-l-4 pl-2 text-[0.875rem]"
        >
          {trouble}
        </p>
      )}
    </div>
  );
}
