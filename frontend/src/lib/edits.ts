/** The edits of a plan, one after another. Each is an entry of the browser's own history, so that
 * undo is its "back" and redo its "forward"; here is counted which of the entries are edits. */

interface State {
  edit: number;
}

/** Which edit the last entry is that was written. */
let furthest = 0;

export function editOf(state: unknown): number {
  return (state as State | null)?.edit ?? 0;
}

/** What goes with an address: of a new edit, or of the same one going on. */
export function stateOfEdit(state: unknown, goesOn: boolean): State {
  const edit = editOf(state) + (goesOn ? 0 : 1);
  furthest = edit;
  return { edit };
}

export function canUndo(state: unknown): boolean {
  return editOf(state) > 0;
}

export function canRedo(state: unknown): boolean {
  return editOf(state) < furthest;
}
