"use client";
import { useRouter } from "next/navigation";
import { useEffect } from "react";
import { useRiver } from "../../state/use-river";
import { BookGate } from "../book-gate";
import { Welcome } from "./welcome";

/** The first page: to the river when there is one, a welcome when there is none. */
export const Front = () => (
  <BookGate>
    <Opened />
  </BookGate>
);

function Opened() {
  const router = useRouter();
  const river = useRiver();
  const empty = river.reaches.length === 0 && river.stations.length === 0;
  useEffect(() => {
    if (river.ready && !empty) router.replace("/water");
  }, [river.ready, empty, router]);
  return (
    <main className="min-h-dvh p-4 lg:p-6">
      {river.ready && empty ? (
        <Welcome />
      ) : (
        <p role="status" className="p-6 text-soft">
          Opening the log …
        </p>
      )}
    </main>
  );
}
