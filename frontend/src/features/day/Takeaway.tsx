import { useId, useState } from "react";
import { type DayIn, troubleOf } from "@/api/client";
import { useCalendar, useReadCalendar } from "@/api/schedule";
import { Button } from "@/ui/Button";

interface Props {
  asked: DayIn;
  onPins: (pins: Record<string, string>) => void;
}

const MOST_BYTES = 2_000_000;

/** The day on paper, or in a calendar that rings; and what was moved there, back again. */
export function Takeaway({ asked, onPins }: Props) {
  const id = useId();
  const calendar = useCalendar();
  const read = useReadCalendar();
  const [tooBig, setTooBig] = useState(false);
  const save = () =>
    calendar.mutate(asked, {
      onSuccess: ({ text }) => {
        const link = document.createElement("a");
        link.href = URL.createObjectURL(new Blob([text], { type: "text/calendar" }));
        link.download = "day.ics";
        link.click();
        URL.revokeObjectURL(link.href);
      },
    });
  const take = async (file: File) => {
    setTooBig(file.size > MOST_BYTES);
    if (file.size > MOST_BYTES) return;
    const text = await file.text();
    read.mutate(
      { day: asked, text },
      {
        onSuccess: ({ pinned }) =>
          onPins(Object.fromEntries(pinned.map((item) => [item.block_id, item.start]))),
      },
    );
  };
  const trouble = read.error ? troubleOf(read.error) : null;
  return (
    <div className="mt-3 flex flex-wrap items-center gap-2 print:hidden">
      <Button onClick={save}>Calendar file</Button>
      <Button onClick={() => window.print()}>Print schedule</Button>
      <label htmlFor={id} className="text-[0.875rem] text-pencil">
        Moved in your calendar? Import it
      </label>
      <input
        id={id}
        type="file"
        accept=".ics,text/calendar"
        className="max-w-60 text-[0.875rem]"
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) take(file);
          event.target.value = "";
        }}
      />
      {read.data && (
        <span role="status" className="text-[0.875rem]">
          {said(read.data.pinned.length, read.data.others)}
        </span>
      )}
      {(trouble || tooBig) && (
        <span role="alert" className="border-care border-l-4 pl-2 text-[0.875rem]">
          {tooBig ? (
            <strong>This file is too big. Export only the days you cook.</strong>
          ) : (
            <>
              <strong>{trouble?.message}</strong> {trouble?.hint}
            </>
          )}
        </span>
      )}
      <span className="basis-full text-[0.875rem] text-pencil">
        A locked phone rings only from its own calendar. Import the file again to move what is
        there.
      </span>
    </div>
  );
}

function said(pinned: number, others: number): string {
  const moved = pinned === 0 ? "Nothing was moved" : `${pinned} moved and locked`;
  return others === 0 ? `${moved}.` : `${moved}; ${others} not from this schedule.`;
}
