"use client";
import { act } from "@/state/act";
import { saveBook } from "@/state/save-book";
import { NotShown } from "@/widgets/fault-boundary";

/** What could not be drawn outside a station: the frame, the strip, the welcome; so when the book cannot be opened. */
export default function Failed({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <main className="min-h-dvh p-4">
      <NotShown name="This page" error={error} onRetry={reset} onSave={() => act(saveBook)} />
    </main>
  );
}
