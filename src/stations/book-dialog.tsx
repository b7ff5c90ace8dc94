"use client";
import { useTheme } from "next-themes";
import { useEffect, useState } from "react";
import { loadDemo, sendDemoAway } from "../state/demo";
import { Button } from "../widgets/button";
import { Dialog } from "../widgets/dialog";
import { Select } from "../widgets/select";
import type { River } from "../state/use-river";
import { useSettings } from "../state/settings";
import { act } from "../state/act";
import { useBookHolds } from "../state/use-book-holds";
import { Archive } from "./archive";
import { EmptyBook } from "./empty-book";
import { Holdings } from "./holdings";

/** One that was kept and is none of them is the day's. */
const LOOKS = [
  { value: "day", label: "Day" },
  { value: "dusk", label: "Dusk" },
  { value: "glare", label: "Glare: strongest contrast" },
];

/** The book as a whole: units, look, archive out and in, the made-up river. */
export function BookDialog({
  open,
  onOpenChange,
  river,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  river: River;
}) {
  const { system, set } = useSettings();
  const { theme, setTheme } = useTheme();
  const [safe, setSafe] = useState<boolean | undefined>();
  const holds = useBookHolds();
  const hasDemo = river.reaches.some((one) => one.demo) || river.stations.some((one) => one.demo);

  useEffect(() => {
    if (open) act(async () => setSafe(await navigator.storage?.persist?.()));
  }, [open]);

  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Book and settings">
      <div className="grid gap-5">
        <div className="grid grid-cols-2 gap-3">
          <Select
            label="Units"
            value={system}
            onChange={(value) => set({ system: value as typeof system })}
            choices={[
              { value: "metric", label: "Metric" },
              { value: "us", label: "US customary" },
            ]}
          />
          <Select
            label="Look"
            value={LOOKS.find((one) => one.value === theme)?.value ?? "day"}
            onChange={setTheme}
            choices={LOOKS}
          />
        </div>
        <Archive />
        <Holdings river={river} />
        <section>
          <h3 className="mb-1">Made-up river</h3>
          {hasDemo ? (
            <Button onClick={() => act(() => sendDemoAway().then(() => onOpenChange(false)))}>
              Remove the made-up river
            </Button>
          ) : (
            <Button onClick={() => act(() => loadDemo().then(() => onOpenChange(false)))}>
              Load the made-up river
            </Button>
          )}
        </section>
        {holds && <EmptyBook onDone={() => onOpenChange(false)} />}
        {safe !== undefined && (
          <p className="text-sm text-soft">
            {safe
              ? "This browser has promised to keep the book."
              : "This browser may clear the book when the disk is full: save an archive now and then."}
          </p>
        )}
      </div>
    </Dialog>
  );
}
