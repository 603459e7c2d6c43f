import { Camera } from "lucide-react";
import { useId, useState } from "react";
import { type CookOut, troubleOf } from "@/api/client";
import { PHOTO_TYPES, useAddPhoto, useRemovePhoto } from "@/api/photos";
import { clockTime } from "@/lib/clock";
import { say } from "@/text/say";
import { Toast } from "@/ui/Toast";

/** Photos of a cook: put on, looked at, taken off again. */
export function Photos({ cook }: { cook: CookOut }) {
  const add = useAddPhoto(cook.id);
  const remove = useRemovePhoto(cook.id);
  const [gone, setGone] = useState<string | null>(null);
  const id = useId();
  const trouble = add.error ? troubleOf(add.error) : null;
  return (
    <section aria-label={say("shared-photos")} className="mt-3">
      <ul className="flex flex-wrap gap-3">
        {cook.photos.map((photo, index) => (
          <li key={photo.id}>
            <a href={`/api/photos/${photo.id}`} target="_blank" rel="noreferrer">
              <img
                src={`/api/photos/${photo.id}`}
                width={photo.width_px}
                height={photo.height_px}
                alt={say("shared-of", {
                  index: index + 1,
                  name: cook.name,
                  at: clockTime(photo.at),
                })}
                loading="lazy"
                className="h-40 w-auto border border-edge"
              />
            </a>
            <button
              type="button"
              aria-label={say("shared-remove-photo", { index: index + 1 })}
              className="min-h-8 text-[0.875rem] underline print:hidden"
              onClick={() =>
                remove.mutate(
                  { id: photo.id, restore: false },
                  { onSuccess: () => setGone(photo.id) },
                )
              }
            >
              {say("shared-remove")}
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-1 flex flex-wrap items-center gap-3 print:hidden">
        <label
          htmlFor={id}
          className="flex min-h-[2.75rem] cursor-pointer items-center gap-2 rounded-sm border border-edge px-3 font-medium focus-within:outline-2 hover:border-ink"
        >
          <Camera size={18} aria-hidden="true" />
          {add.isPending ? say("shared-adding") : say("shared-add-a-photo")}
          <input
            id={id}
            type="file"
            accept={PHOTO_TYPES}
            className="sr-only"
            disabled={add.isPending}
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = "";
              if (file) add.mutate(file);
            }}
          />
        </label>
        <span className="text-[0.875rem] text-pencil">
          {say("shared-only-the-picture-is-saved-not")}
        </span>
      </div>
      {trouble && (
        <p role="alert" className="mt-1 border-care border-l-4 pl-2">
          <strong>{trouble.message}</strong> {trouble.hint}
        </p>
      )}
      {gone && (
        <Toast
          text={say("shared-the-photo-is-removed")}
          action={{
            name: say("shared-undo"),
            run: () =>
              remove.mutate({ id: gone, restore: true }, { onSuccess: () => setGone(null) }),
          }}
          onClose={() => setGone(null)}
        />
      )}
    </section>
  );
}
