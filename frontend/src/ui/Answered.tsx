import type { ReactNode } from "react";

interface Props {
  /** The answer to what stands here now is on its way; what is shown answers what stood here before. */
  busy: boolean;
  /** What stands here now cannot be answered. */
  refused?: boolean;
  className?: string;
  children: ReactNode;
}

/** An answer that may be an older one: then it turns to pencil, and readers are told to wait. */
export function Answered({ busy, refused = false, className = "", children }: Props) {
  return (
    <div aria-busy={busy} className={`${className} ${busy || refused ? "stale" : ""}`}>
      {children}
    </div>
  );
}
