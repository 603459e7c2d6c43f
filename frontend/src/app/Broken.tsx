import type { ReactNode } from "react";
import { ErrorBoundary, type FallbackProps } from "react-error-boundary";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

/** A view that broke: said in words, with two ways on. The masthead and the timers stay. */
export function Broken({ children, view }: { children: ReactNode; view: string }) {
  return (
    <ErrorBoundary FallbackComponent={Fallback} resetKeys={[view]}>
      {children}
    </ErrorBoundary>
  );
}

function Fallback({ resetErrorBoundary }: FallbackProps) {
  return (
    <div role="alert" className="m-6 max-w-prose border-care border-l-4 pl-3">
      <h1 className="font-bold text-[1.5rem]">{say("app-this-page-could-not-be-shown")}</h1>
      <p className="mt-1">{say("app-the-mistake-is-ours-what-you")}</p>
      <div className="mt-3 flex gap-2">
        <Button strong onClick={resetErrorBoundary}>
          {say("app-show-it-again")}
        </Button>
        <Button onClick={() => window.location.reload()}>{say("app-reload-the-app")}</Button>
      </div>
    </div>
  );
}
