import { Button } from "@/ui/Button";

interface Props {
  text: string;
  action?: { name: string; run: () => void };
  onClose: () => void;
}

/** A slip at the foot of the page: what was just done, and how to undo it. */
export function Slip({ text, action, onClose }: Props) {
  return (
    <div
      role="status"
      className="fixed bottom-4 left-1/2 z-10 flex w-max max-w-[92vw] -translate-x-1/2 items-center gap-3 rounded-sm border-2 border-ink bg-paper px-4 py-2"
    >
      <span className="break-words">{text}</span>
      {action && <Button onClick={action.run}>{action.name}</Button>}
      <Button onClick={onClose}>OK</Button>
    </div>
  );
}
