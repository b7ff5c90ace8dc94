"use client";
import { Fragment, type ReactNode } from "react";
import { act } from "../state/act";
import { goOnInMemory, useMemoryDay } from "../state/memory-day";
import { useOpened } from "../state/use-opened";
import { Button } from "../widgets/button";
import { FaultNote } from "../widgets/fault-note";
import { faultText } from "../words/messages";

/** What looks into the book, once it is open; or why it cannot be opened, and a way through the day without it. */
export function BookGate({ children }: { children: ReactNode }) {
  const opened = useOpened();
  const turn = useMemoryDay((day) => day.turn);
  if (opened.value) return <Fragment key={turn}>{children}</Fragment>;
  return (
    <main id="station" tabIndex={-1} className="px-4 pt-4 pb-24 outline-none lg:px-6">
      {opened.fault ? (
        <div className="mx-auto grid max-w-2xl gap-3 py-6">
          <h1 className="text-2xl">The log couldn’t be opened</h1>
          <FaultNote
            message={faultText(opened.fault)}
            todo="Your log is safe and unchanged. You can use a temporary log for now. It is lost when this page closes, so save a backup first and restore it later."
          />
          <div className="flex flex-wrap gap-3">
            <Button tone="next" onClick={opened.retry}>
              Retry
            </Button>
            <Button onClick={() => act(() => goOnInMemory())}>Use a temporary log</Button>
          </div>
        </div>
      ) : (
        <p role="status" className="p-6 text-soft">
          Opening the log …
        </p>
      )}
    </main>
  );
}
