import { useState } from "react";
import { remember } from "@/features/convert/corrections";
import type { Draft } from "@/features/convert/draft";
import {
  counts,
  doubtful,
  onNoLine,
  type Role,
  recipeOf,
  roleNames,
  rowsOf,
  withFoods,
  withLinesOf,
  withRoles,
} from "@/features/convert/rows";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  draft: Draft;
  onChange: (draft: Draft) => void;
}

/** Every line with what it was taken for; one choice makes it something else. */
export function ReadingSheet({ draft, onChange }: Props) {
  const [rows, setRows] = useState(() => rowsOf(draft.recipe));
  const [open, setOpen] = useState(false);
  const lost = onNoLine(rows, draft.doubts);
  const sayItIs = (keys: Set<string>, role: Role) => {
    const next = withRoles(rows, keys, role);
    remember(
      draft.recipe,
      draft.original,
      next.filter((row) => keys.has(row.key)),
    );
    change(next);
  };
  const change = (next: typeof rows, doubts = draft.doubts) => {
    setRows(next);
    // marks are known by the places of lines, which have moved
    const placed = withLinesOf(draft.choices.placed ?? [], rows, next);
    const choices = { ...draft.choices, overruled: [], placed };
    onChange({
      ...draft,
      recipe: recipeOf(next, draft.recipe),
      choices,
      ...(doubts && { doubts }),
    });
  };
  // once they are lines they may be put otherwise, and are not told again
  const addLost = () =>
    change(withFoods(rows, lost), draft.doubts && { ...draft.doubts, foods_on_no_line: [] });
  const asked = doubtful(rows, draft.doubts);
  const remarks = draft.remarks ?? [];
  return (
    <div className="mt-2 print:hidden">
      {asked.length + remarks.length + lost.length > 0 && (
        <div className="grid gap-1 border-care border-l-4 bg-care-wash px-2 py-1">
          {remarks.map((remark) => (
            <p key={remark}>{remark}</p>
          ))}
          {asked.map(({ from, to, keys }) => (
            <p key={from} className="flex flex-wrap items-center gap-2">
              {say(`convert-doubt-${from}`, { lines: keys.size })}
              <Button onClick={() => sayItIs(keys, to)}>{say("convert-move-them")}</Button>
            </p>
          ))}
          {lost.length > 0 && (
            <p className="flex flex-wrap items-center gap-2">
              {say("convert-foods-on-no-line", { foods: lost.join(", ") })}
              <Button onClick={addLost}>{say("convert-add-them")}</Button>
            </p>
          )}
        </div>
      )}
      <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
        <summary className="cursor-pointer font-medium" data-testid="reading">
          {say("convert-check-the-lines", { rows: counts(rows) })}
        </summary>
        {open && (
          <ul aria-label={say("convert-lines-of-the-recipe")} className="mt-1">
            {rows.map((row) => (
              <li
                key={row.key}
                className="grid items-center gap-x-2 gap-y-1 py-1 sm:grid-cols-[minmax(0,1fr)_11rem]"
              >
                <input
                  aria-label={say("convert-line", { text: row.text })}
                  value={row.text}
                  onChange={(event) =>
                    change(
                      rows.map((item) =>
                        item.key === row.key ? { ...item, text: event.target.value } : item,
                      ),
                    )
                  }
                  className={`min-w-0 rounded-sm border border-edge bg-sheet px-2 py-1 ${LOOKS[row.role]}`}
                />
                <select
                  aria-label={say("convert-what-it-is", { text: row.text })}
                  value={row.role}
                  onChange={(event) => sayItIs(new Set([row.key]), event.target.value as Role)}
                  className="rounded-sm border border-edge bg-sheet px-1.5 py-1 font-medium text-[0.875rem]"
                >
                  {Object.entries(roleNames()).map(([role, name]) => (
                    <option key={role} value={role}>
                      {name}
                    </option>
                  ))}
                </select>
              </li>
            ))}
          </ul>
        )}
      </details>
    </div>
  );
}

const LOOKS: Record<Role, string> = {
  ingredient: "",
  part: "font-semibold",
  step: "",
  note: "text-pencil",
  out: "text-pencil line-through",
};
