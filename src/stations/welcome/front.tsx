"use client";
import { useRouter } from "next/navigation";
import { useEffect } from "react";
import { useRiver } from "../../state/use-river";
import { useOpened } from "../../state/use-opened";
import { FaultNote } from "../../widgets/fault-note";
import { tellFault } from "../../words/messages";
import { Welcome } from "./welcome";

/** The first page: to the river when there is one, a welcome when there is none. */
export function Front() {
  const router = useRouter();
  const river = useRiver();
  const opened = useOpened();
  const empty = river.reaches.length === 0 && river.stations.length === 0;
  useEffect(() => {
    if (river.ready && !empty) router.replace("/water");
  }, [river.ready, empty, router]);
  return (
    <main className="min-h-dvh p-4 lg:p-6">
      {opened.fault ? (
        <FaultNote message={tellFault(opened.fault)} onRetry={opened.retry} />
      ) : river.ready && empty ? (
        <Welcome />
      ) : (
        <p role="status" className="p-6 text-soft">
          Opening the book …
        </p>
      )}
    </main>
  );
}
