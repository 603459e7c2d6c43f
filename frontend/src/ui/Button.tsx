import type { ComponentProps } from "react";

interface Props extends ComponentProps<"button"> {
  strong?: boolean;
}

/** A button: inked when it is the thing to do, outlined otherwise. */
export function Button({ strong = false, className = "", ...rest }: Props) {
  const look = strong
    ? "bg-ink text-paper border-ink"
    : "bg-transparent text-ink border-edge hover:border-ink";
  return (
    <button
      type="button"
      className={`min-h-8 rounded-sm border px-3 py-1 font-medium disabled:opacity-60 ${look} ${className}`}
      {...rest}
    />
  );
}
