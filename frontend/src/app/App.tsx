import { lazy, Suspense } from "react";
import { Redirect, Route, Switch, useLocation, useSearch } from "wouter";
import type { CatalogueOut } from "@/api/client";
import { useCatalogue, useOtherTabs } from "@/api/queries";
import { Broken } from "@/app/Broken";
import { DueBar, useDue } from "@/app/DueBar";
import { KeySheet } from "@/app/KeySheet";
import { Masthead } from "@/app/Masthead";
import { Refused } from "@/app/Refused";
import { ServerState } from "@/app/ServerState";
import { useTitle } from "@/app/titles";
import { PlanView } from "@/features/plan/PlanView";
import { say } from "@/text/say";

const SavedPlansView = lazy(() =>
  import("@/features/saved/SavedPlansView").then((module) => ({ default: module.SavedPlansView })),
);
const ConvertView = lazy(() =>
  import("@/features/convert/ConvertView").then((module) => ({ default: module.ConvertView })),
);
const ScheduleView = lazy(() =>
  import("@/features/schedule/ScheduleView").then((module) => ({ default: module.ScheduleView })),
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
const KitchenView = lazy(() =>
  import("@/features/kitchen/KitchenView").then((module) => ({ default: module.KitchenView })),
);

export function App() {
  const [location] = useLocation();
  const due = useDue();
  useTitle(location, due[0] ? `${due[0].title}!` : null);
  useOtherTabs();
  const catalogue = useCatalogue();
  return (
    <>
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-paper focus:p-2"
      >
        {say("app-skip-to-the-page")}
      </a>
      <Masthead />
      <ServerState />
      <DueBar due={due} />
      <KeySheet />
      <main id="main" tabIndex={-1} className="outline-none">
        {catalogue.data ? (
          <Broken view={location} key={wordsOf(catalogue.data)}>
            <Views />
          </Broken>
        ) : (
          <NoWords away={catalogue.isError} />
        )}
      </main>
      <Refused />
    </>
  );
}

/** What the app is worded in: when that changes, every view is worded again. */
function wordsOf(catalogue: CatalogueOut): string {
  const finish = catalogue.words.finish?.broiler?.name ?? "";
  const trivet = catalogue.words.rack?.trivet?.says ?? "";
  return `${catalogue.locale} ${finish} ${trivet}`;
}

/** Nothing can be worded before the vocabulary is there. */
function NoWords({ away }: { away: boolean }) {
  return away ? (
    <p className="p-6" role="alert">
      <strong>{say("app-the-app-does-not-answer")}</strong>{" "}
      {say("app-start-it-again-what-you-typed")}
    </p>
  ) : (
    <h1 className="p-6 font-normal text-pencil">{say("shared-loading")}</h1>
  );
}

/** Addresses of earlier versions. */
const MOVED: Record<string, string> = {
  "/": "/plan",
  "/bench": "/plan",
  "/plans": "/plan/saved",
  "/day": "/schedule",
  "/kit": "/kitchen",
};

function Moved({ to }: { to: string }) {
  const search = useSearch();
  return <Redirect to={search ? `${to}?${search}` : to} replace />;
}

function Views() {
  return (
    <Suspense
      fallback={<h1 className="p-6 font-normal text-pencil">{say("app-loading-the-page")}</h1>}
    >
      <Switch>
        <Route path="/plan" component={PlanView} />
        <Route path="/plan/saved" component={SavedPlansView} />
        <Route path="/convert" component={ConvertView} />
        <Route path="/schedule" component={ScheduleView} />
        <Route path="/cook" component={CookView} />
        <Route path="/log" component={LogView} />
        <Route path="/kitchen" component={KitchenView} />
        <Route path="/guide" component={GuideView} />
        {Object.entries(MOVED).map(([from, to]) => (
          <Route key={from} path={from}>
            <Moved to={to} />
          </Route>
        ))}
        <Route>
          <p className="p-6">
            {say("app-there-is-nothing-at-this-address")}{" "}
            <a href="/plan" className="inline-block min-h-6 underline">
              {say("app-go-to-plan")}
            </a>
          </p>
        </Route>
      </Switch>
    </Suspense>
  );
}
