"use client";
import { useState } from "react";
import { takeNewer, useOffline } from "../state/offline";
import { Button } from "../widgets/button";

/** A newer build is there: taken when it suits. */
export function NewerBanner() {
  const waiting = useOffline((offline) => offline.waiting);
  const [later, setLater] = useState(false);
  if (!waiting || later) return null;
  return (
    <section
      aria-label="Newer version"
      className="mx-4 mt-4 flex flex-wrap items-center gap-3 rounded-md border border-edge p-3 lg:mx-6"
    >
      <p className="min-w-60 flex-1">A new version of Low Heron is ready. Your log is safe.</p>
      <Button tone="ink" onClick={takeNewer}>
        Update now
      </Button>
      <Button onClick={() => setLater(true)}>Later</Button>
    </section>
  );
}
