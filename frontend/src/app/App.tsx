import { lazy, Suspense } from "react";
import { Route, Switch, useLocation } from "wouter";
import { useOtherTabs } from "@/api/queries";
import { Broken } from "@/app/Broken";
import { DueBar, useDue } from "@/app/DueBar";
import { KeySheet } from "@/app/KeySheet";
import { Masthead } from "@/app/Masthead";
import { Refused } from "@/app/Refused";
import { ServerState } from "@/app/ServerState";
import { useTitle } from "@/app/titles";
import { BenchView } from "@/features/bench/BenchView";

const PlansView = lazy(() =>
  import("@/features/plans/PlansView").then((module) => ({ default: module.PlansView })),
);
const ConvertView = lazy(() =>
  import("@/features/convert/ConvertView").then((module) => ({ default: module.ConvertView })),
);
const DayView = lazy(() =>
  import("@/features/day/DayView").then((module) => ({ default: module.DayView })),
);
const CookView = lazy(() =>
  import("@/features/cook/CookView").then((module) => ({ default: module.CookView })),
);
const LogView = lazy(() =>
  import("@/features/log/LogView").then((module) => ({ default: module.LogView })),
);
const GuideView = lazy(() =>
  import("@/features/guide/GuideView").then((module) => ({ default: module.GuideView })),
);
const KitView = lazy(() =>
  import("@/features/kit/KitView").then((module) => ({ default: module.KitView })),
);

export function App() {
  const [location] = useLocation();
  const due = useDue();
  useTitle(location, due[0] ? `${due[0].title}!` : null);
  useOtherTabs();
  return (
    <>
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-paper focus:p-2"
      >
        to the page
      </a>
      <Masthead />
      <ServerState />
      <DueBar due={due} />
      <KeySheet />
      <main id="main" tabIndex={-1} className="outline-none">
        <Broken view={location}>
          <Suspense fallback={<p className="p-6 text-pencil">Fetching the page …</p>}>
            <Switch>
              <Route path="/" component={BenchView} />
              <Route path="/convert" component={ConvertView} />
              <Route path="/day" component={DayView} />
              <Route path="/cook" component={CookView} />
              <Route path="/log" component={LogView} />
              <Route path="/plans" component={PlansView} />
              <Route path="/kit" component={KitView} />
              <Route path="/guide" component={GuideView} />
              <Route>
                <p className="p-6">
                  There is nothing at this address.{" "}
                  <a href="/" className="inline-block min-h-6 underline">
                    Go to the Bench
                  </a>
                </p>
              </Route>
            </Switch>
          </Suspense>
        </Broken>
      </main>
      <Refused />
    </>
  );
}
