"use client";
import { useState } from "react";
import { act, perform } from "../state/act";
import { restoreBook as putBack } from "../store/book";
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
      set({ demo: null, demoRemoved: true, reach: null, station: null, flow: null, lie: null });
      return () => putBack(database(), alive);
    }, "The book is empty. The copy that was saved first restores it.");
    if (done) onDone();
  };
  return (
    <section>
      <h3 className="mb-1">Empty the book</h3>
      {asked ? (
        <div className="rounded-md border-2 border-clay p-3">
          <p>
            Everything goes: reaches, gauges, sessions, fish, profiles. A copy is saved as a file first; taking it in
            and choosing to restore brings all of it back.
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button onClick={() => act(empty)}>Save a copy, then empty the book</Button>
            <Button tone="ink" onClick={() => setAsked(false)}>
              Keep it
            </Button>
          </div>
        </div>
      ) : (
        <Button onClick={() => setAsked(true)}>Empty the book …</Button>
      )}
    </section>
  );
}
