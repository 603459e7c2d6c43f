import { useState } from "react";
import { type DayIn, troubleOf } from "@/api/client";
import { useCalendar, useReadCalendar } from "@/api/schedule";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";
import { FileField } from "@/ui/FileField";

interface Props {
  asked: DayIn;
  onPins: (pins: Record<string, string>) => void;
}

const MOST_BYTES = 2_000_000;

/** The day on paper, or in a calendar that rings; and what was moved there, back again. */
export function Takeaway({ asked, onPins }: Props) {
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
  const failed = calendar.error ?? read.error;
  const trouble = failed ? troubleOf(failed) : null;
  return (
    <div className="mt-3 flex flex-wrap items-center gap-2 print:hidden">
      <Button onClick={save}>{say("schedule-calendar-file")}</Button>
      <Button onClick={() => window.print()}>{say("schedule-print-schedule")}</Button>
      <FileField
        label={say("schedule-moved-in-your-calendar-import-it")}
        accept=".ics,text/calendar"
        onFile={take}
      />
      {read.data && (
        <span role="status" className="text-[0.875rem]">
          {said(read.data.pinned.length, read.data.others)}
        </span>
      )}
      {(trouble || tooBig) && (
        <span role="alert" className="border-care border-l-4 pl-2 text-[0.875rem]">
          {tooBig ? (
            <strong>{say("schedule-this-file-is-too-big-export")}</strong>
          ) : (
            <>
              <strong>{trouble?.message}</strong> {trouble?.hint}
            </>
          )}
        </span>
      )}
      <span className="basis-full text-[0.875rem] text-pencil">
        {say("schedule-a-locked-phone-rings-only-from")}
      </span>
    </div>
  );
}

function said(pinned: number, others: number): string {
  const moved =
    pinned === 0 ? say("schedule-nothing-was-moved") : say("schedule-moved-and-locked", { pinned });
  return others === 0 ? `${moved}.` : say("schedule-not-from-this-schedule", { moved, others });
}
