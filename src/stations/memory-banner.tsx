"use client";
import { useEffect } from "react";
import { act } from "../state/act";
import { useMemoryDay } from "../state/memory-day";
import { useNotices } from "../state/notices";
import { saveBook } from "../state/save-book";
import { Button } from "../widgets/button";

/** What has not been saved for so long is reminded of, ms. */
const REMIND = 20 * 60_000;
const REMINDER = "What you entered is only in the temporary log.";

/** On a day in memory: that nothing is kept, and the way to keep it. */
export function MemoryBanner() {
  const { inMemory, copied, unsaved } = useMemoryDay();
  useEffect(() => {
    if (!unsaved) return;
    const hold = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener("beforeunload", hold);
    const timer = setInterval(
      () => useNotices.getState().say(REMINDER, { label: "Save a backup", run: () => act(saveBook) }, true),
      REMIND,
    );
    return () => {
      window.removeEventListener("beforeunload", hold);
      clearInterval(timer);
      // What was said is true no more.
      useNotices.setState(({ list }) => ({ list: list.filter((one) => one.text !== REMINDER) }));
    };
  }, [unsaved]);
  if (!inMemory) return null;
  return (
    <section
      aria-label="Temporary log"
      className="mx-4 mt-4 flex flex-wrap items-center gap-3 rounded-md border-2 border-clay p-3 lg:mx-6"
    >
      <p className="min-w-60 flex-1">
        <span className="font-semibold">
          <span aria-hidden>▲ </span>
          This log is temporary.
        </span>{" "}
        {unsaved
          ? "It is lost when this page closes. Save a backup before you leave."
          : "It is backed up so far. Save again after new entries, or they are lost when this page closes."}
        {!copied && " Your own log couldn’t be read. It is unchanged and not shown here."}
      </p>
      <Button tone={unsaved ? "next" : "plain"} onClick={() => act(saveBook)}>
        Save a backup
      </Button>
    </section>
  );
}
