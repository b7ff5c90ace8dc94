"use client";
import { useEffect } from "react";
import { act } from "../state/act";
import { useMemoryDay } from "../state/memory-day";
import { useNotices } from "../state/notices";
import { saveBook } from "../state/save-book";
import { Button } from "../widgets/button";

/** What has not been saved for so long is reminded of, ms. */
const REMIND = 20 * 60_000;
const REMINDER = "What you entered is in memory alone.";

/** On a day in memory: that nothing is kept, and the way to keep it. */
export function MemoryBanner() {
  const { inMemory, copied, unsaved } = useMemoryDay();
  useEffect(() => {
    if (!unsaved) return;
    const hold = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener("beforeunload", hold);
    const timer = setInterval(
      () => useNotices.getState().say(REMINDER, { label: "Save a file", run: () => act(saveBook) }, true),
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
      aria-label="Book in memory"
      className="mx-4 mt-4 flex flex-wrap items-center gap-3 rounded-md border-2 border-clay p-3 lg:mx-6"
    >
      <p className="min-w-60 flex-1">
        <span className="font-semibold">
          <span aria-hidden>▲ </span>
          This book is in memory alone.
        </span>{" "}
        {unsaved
          ? "It is gone with this page: save it to a file before you leave."
          : "What it holds is saved; what you enter from here on is gone with this page until you save it again."}
        {!copied && " Your own book could not be read: it stays as it is, and is not shown here."}
      </p>
      <Button tone={unsaved ? "next" : "plain"} onClick={() => act(saveBook)}>
        Save the book to a file
      </Button>
    </section>
  );
}
