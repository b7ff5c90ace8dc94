"use client";
import { useState } from "react";
import { act, perform } from "../state/act";
import { restoreBook as putBack } from "../store/book";
import { deleteCalculations } from "../state/saved-calculations";
import { saveBook } from "../state/save-book";
import { useSettings } from "../state/settings";
import { emptyTheBook, readBook } from "../store/book";
import { database } from "../store/database";
import { Button } from "../widgets/button";

/** Emptying the book: one deliberate act, with a saved copy first. */
export function EmptyBook({ onDone }: { onDone: () => void }) {
  const set = useSettings((settings) => settings.set);
  const [asked, setAsked] = useState(false);
  const empty = async () => {
    await saveBook();
    const before = await readBook(database());
    const alive = { ...before };
    for (const part of Object.keys(alive) as (keyof typeof alive)[])
      (alive[part] as unknown[]) = before[part].filter((one) => !one.deleted);
    const done = await perform(async () => {
      await emptyTheBook(database());
      await deleteCalculations();
      set({ demo: null, demoRemoved: true, reach: null, station: null, flow: null, lie: null });
      return () => putBack(database(), alive);
    }, "The log is empty. Restore the backup to get it back.");
    if (done) onDone();
  };
  return (
    <section>
      <h3 className="mb-1">Delete everything</h3>
      {asked ? (
        <div className="rounded-md border-2 border-clay p-3">
          <p>
            This deletes all reaches, gauges, sessions, fish and profiles. A backup is saved first. Restore it to get
            everything back.
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button onClick={() => act(empty)}>Save a backup, then delete everything</Button>
            <Button tone="ink" onClick={() => setAsked(false)}>
              Cancel
            </Button>
          </div>
        </div>
      ) : (
        <Button onClick={() => setAsked(true)}>Delete everything …</Button>
      )}
    </section>
  );
}
