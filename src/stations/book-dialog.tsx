"use client";
import { useTheme } from "next-themes";
import { loadDemo, sendDemoAway } from "../state/demo";
import { Button } from "../widgets/button";
import { Dialog } from "../widgets/dialog";
import { Select } from "../widgets/select";
import type { River } from "../state/use-river";
import { useSettings } from "../state/settings";
import { act } from "../state/act";
import Link from "next/link";
import { LITTLE_SPACE, useKeeping, useUnsavedCount } from "../state/keeping";
import { useOffline } from "../state/offline";
import { useBookHolds } from "../state/use-book-holds";
import { dayAndTime } from "../words/river";
import { count } from "../words/text";
import { Archive } from "./archive";
import { EmptyBook } from "./empty-book";
import { SavedCalculations } from "./saved-calculations";
import { StoredData } from "./stored-data";

/** One that was kept and is none of them is the day's. */
const LOOKS = [
  { value: "day", label: "Day" },
  { value: "dusk", label: "Dusk" },
  { value: "glare", label: "Glare: high contrast" },
];

const AHEAD = [
  { value: "all", label: "Other flows and uncertainty" },
  { value: "none", label: "Nothing (saves battery)" },
];

/** The book as a whole: units, look, archive out and in, the demo river. */
export function BookDialog({
  open,
  onOpenChange,
  river,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  river: River;
}) {
  const { system, ahead, savedAt, set } = useSettings();
  const { theme, setTheme } = useTheme();
  const keeping = useKeeping(open);
  const unsaved = useUnsavedCount(open);
  const { ready, refused } = useOffline();
  const holds = useBookHolds();
  const hasDemo = river.reaches.some((one) => one.demo) || river.stations.some((one) => one.demo);

  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Settings and backup">
      <div className="grid gap-5">
        <div className="grid grid-cols-2 gap-3">
          <Select
            label="Units"
            value={system}
            onChange={(value) => set({ system: value as typeof system, systemChosen: true })}
            choices={[
              { value: "metric", label: "Metric" },
              { value: "us", label: "US customary" },
            ]}
          />
          <Select
            label="Theme"
            value={LOOKS.find((one) => one.value === theme)?.value ?? "day"}
            onChange={setTheme}
            choices={LOOKS}
          />
          <div className="col-span-2">
            <Select
              label="Work out ahead of time"
              value={ahead}
              onChange={(value) => set({ ahead: value as typeof ahead })}
              choices={AHEAD}
            />
          </div>
        </div>
        <Archive />
        <StoredData river={river} />
        <section>
          <h3 className="mb-1">Demo river</h3>
          {hasDemo ? (
            <Button onClick={() => act(() => sendDemoAway().then(() => onOpenChange(false)))}>
              Remove the demo river
            </Button>
          ) : (
            <Button onClick={() => act(() => loadDemo().then(() => onOpenChange(false)))}>Load the demo river</Button>
          )}
        </section>
        <p>
          <Link
            href="/help"
            className="inline-flex min-h-11 items-center underline"
            onClick={() => onOpenChange(false)}
          >
            Help: glossary and what the models know
          </Link>
        </p>
        <SavedCalculations />
        {holds && <EmptyBook onDone={() => onOpenChange(false)} />}
        <section aria-label="Storage" className="grid gap-1 text-sm text-soft">
          {unsaved !== undefined && (
            <p>
              {unsaved === 0
                ? "All your records are in a backup."
                : `${count(unsaved, "own record")} not backed up yet`}
              {unsaved > 0 && (savedAt === null ? "." : `; last backup ${dayAndTime(savedAt)}.`)}
            </p>
          )}
          {keeping && (
            <p>
              {keeping.promised
                ? "This browser will keep your log."
                : "This browser may delete your log when the disk is full. A private window deletes it on closing. Save backups regularly."}
            </p>
          )}
          {keeping?.left !== undefined && keeping.left < LITTLE_SPACE && (
            <p className="font-semibold text-ink">
              ▲ This browser is low on space: {Math.max(0, Math.round(keeping.left / 1e6))} MB. Save a backup and free
              some space.
            </p>
          )}
          <p>
            {ready
              ? "Ready to work offline."
              : refused
                ? "This browser can’t run it offline."
                : "Preparing offline use …"}
          </p>
        </section>
      </div>
    </Dialog>
  );
}
