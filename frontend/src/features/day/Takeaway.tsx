import type { DayIn } from "@/api/client";
import { useCalendar } from "@/api/day";
import { Button } from "@/ui/Button";

/** The day on paper, or in a calendar that rings. */
export function Takeaway({ asked }: { asked: DayIn }) {
  const calendar = useCalendar();
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
  return (
    <p className="mt-3 flex flex-wrap items-center gap-2 print:hidden">
      <Button onClick={save}>Calendar file</Button>
      <Button onClick={() => window.print()}>Print the day</Button>
      <span className="text-[14px] text-pencil">
        A locked phone rings only from its calendar. Importing the file again moves what is there.
      </span>
    </p>
  );
}
