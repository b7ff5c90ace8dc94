"use client";
import * as Tabs from "radix-ui/tabs";
import { useState } from "react";
import { useBook } from "../../state/use-book";
import { useLearning } from "../../state/use-learn";
import { useRiver } from "../../state/use-river";
import { later } from "../../widgets/later";
import { TabList } from "../../widgets/tab-list";
import { Select } from "../../widgets/select";
import { choicesOf } from "../../words/text";
import { ByClass } from "./by-class";

const Smooth = later(() => import("./smooth").then((one) => one.Smooth));
const Signals = later(() => import("./signals").then((one) => one.Signals));
const Liked = later(() => import("./liked").then((one) => one.Liked));
const Outcomes = later(() => import("./outcomes").then((one) => one.Outcomes));
const Drills = later(() => import("./drills").then((one) => one.Drills));
const Compare = later(() => import("./compare").then((one) => one.Compare));

const TABS = [
  ["classes", "By condition"],
  ["flow", "By flow curve"],
  ["signals", "Patterns"],
  ["compare", "Compare"],
  ["places", "Spots"],
  ["forecasts", "Forecasts"],
  ["drills", "Drills"],
] as const;

type Tab = (typeof TABS)[number][0];
/** Those that are of one reach or of all of them. */
const SCOPED: readonly Tab[] = ["classes", "flow", "signals", "compare"];

/** Learn: what this river's own record says, and how sure that is. */
export function LearnStation() {
  const river = useRiver();
  const book = useBook();
  const [reach, setReach] = useState("all");
  const [tab, setTab] = useState<Tab>("classes");
  const learning = useLearning(book, reach === "all" ? null : reach, river.minute);
  const none = book.ready && book.sessions.length === 0;
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="sr-only">What your log shows</h1>
      <Tabs.Root value={tab} onValueChange={(value) => setTab(value as Tab)}>
        <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
          <TabList label="Reach" tabs={TABS} />
          {SCOPED.includes(tab) && (
            <Select
              label="Reach"
              className="w-full sm:w-44"
              value={reach}
              onChange={setReach}
              choices={[
                { value: "all", label: "All reaches" },
                ...choicesOf(
                  river.reaches,
                  (one) => one.id,
                  (one) => one.reach.name,
                ),
              ]}
            />
          )}
        </div>
        <Tabs.Content value="classes" className="outline-none">
          {none ? (
            <p className="rounded-md border border-line p-4">
              No data yet. Log a session, blank or not, to see fish per hour by flow here. Meanwhile try the drills.
            </p>
          ) : (
            <ByClass learning={learning} made={book.sessions.some((session) => session.demo)} />
          )}
        </Tabs.Content>
        <Tabs.Content value="flow" className="outline-none">
          <Smooth learning={learning} />
        </Tabs.Content>
        <Tabs.Content value="signals" className="outline-none">
          <Signals learning={learning} />
        </Tabs.Content>
        <Tabs.Content value="compare" className="outline-none">
          <Compare learning={learning} />
        </Tabs.Content>
        <Tabs.Content value="places" className="outline-none">
          <Liked station={river.reach?.station ?? null} />
        </Tabs.Content>
        <Tabs.Content value="forecasts" className="outline-none">
          <Outcomes river={river} />
        </Tabs.Content>
        <Tabs.Content value="drills" className="outline-none">
          <Drills />
        </Tabs.Content>
      </Tabs.Root>
    </div>
  );
}
