"use client";
import { useWaterClocks, type WaterClocks } from "../../state/water-clocks";
import { useMemo, useState } from "react";
import { EVERYTHING, type Found, type LogFilter } from "../../core/book/log-filter";
import { bySession } from "../../core/book/effort";
import type { Catch, Session } from "../../core/book/records";
import { useSettings } from "../../state/settings";
import type { BookView } from "../../state/use-book";
import type { River } from "../../state/use-river";
import { Button } from "../../widgets/button";
import { dayKey } from "../../words/river";
import { SessionRow } from "./session-row";

/** Rows shown at first. */
const SHORT = 25;

/** Sessions that are over, the newest first; with something looked for, those that hold it. */
export function SessionList({
  book,
  found,
  sieve,
  river,
  onOpen,
  onCorrect,
}: {
  book: BookView;
  found: readonly Found[];
  sieve: LogFilter;
  river: River;
  onOpen: (fish: Catch) => void;
  onCorrect: (session: Session) => void;
}) {
  const system = useSettings((settings) => settings.system);
  const clocks = useWaterClocks();
  const [all, setAll] = useState(false);
  const fishOf = useMemo(() => bySession(found.map(({ fish }) => fish)), [found]);
  const stretchesOf = useMemo(() => bySession(book.stretches), [book.stretches]);
  const past = useMemo(
    () => book.sessions.filter((session) => session.end !== null && passes(session, sieve, fishOf, clocks)),
    [book.sessions, sieve, fishOf, clocks],
  );
  if (past.length === 0)
    return (
      <p className="rounded-md border border-line p-4">
        {sieve === EVERYTHING || book.sessions.length === 0
          ? "No sessions yet. Start one on Session when you begin to fish, and end it when you stop. Blanks count too."
          : "No sessions match. Change the filters."}
      </p>
    );
  return (
    <>
      <ul className="divide-y divide-line border-y border-line">
        {past.slice(0, all ? undefined : SHORT).map((session) => (
          <SessionRow
            key={session.id}
            session={session}
            catches={fishOf.get(session.id) ?? []}
            stretches={stretchesOf.get(session.id)}
            river={river}
            system={system}
            onOpen={onOpen}
            onCorrect={onCorrect}
          />
        ))}
      </ul>
      {past.length > SHORT && !all && (
        <Button className="mt-3" onClick={() => setAll(true)}>
          Show all {past.length}
        </Button>
      )}
    </>
  );
}

/** A blank passes where only its day and its reach are asked for; a word or a fish must be found in it. */
function passes(
  session: Session,
  sieve: LogFilter,
  fishOf: ReadonlyMap<string, Catch[]>,
  clocks: WaterClocks,
): boolean {
  if (sieve.text || sieve.outcome !== "all") return fishOf.has(session.id);
  if (sieve.species !== null && session.species !== sieve.species && !fishOf.has(session.id)) return false;
  const day = dayKey(session.start, clocks.ofReach(session.reach));
  return (
    (sieve.reach === null || session.reach === sieve.reach) &&
    (sieve.from === "" || day >= sieve.from) &&
    (sieve.to === "" || day <= sieve.to)
  );
}
