interface Props {
  label: string;
  accept: string;
  onFile: (file: File) => void;
}

/** A file to choose, as a button of the page: a browser's own one speaks its own language. */
export function FileField({ label, accept, onFile }: Props) {
  return (
    <label className="flex min-h-8 w-fit cursor-pointer items-center rounded-sm border border-edge px-3 py-1 font-medium focus-within:outline-2 hover:border-ink">
      {label}
      <input
        type="file"
        accept={accept}
        className="sr-only"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) onFile(file);
        }}
      />
    </label>
  );
}
