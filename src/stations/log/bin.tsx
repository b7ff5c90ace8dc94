"use client";
import { useWaterClocks } from "../../state/water-clocks";
import { BIN_DAYS, isInBin } from "../../core/book/clashes";
import type { Catch, Session } from "../../core/book/records";
import { act, perform } from "../../state/act";
import { useLiveAnswer } from "../../state/live-answer";
import { useFishes } from "../../state/use-fishes";
import type { River } from "../../state/use-river";
import { database } from "../../store/database";
import { restoreCatch, restoreSession } from "../../store/sessions";
import { Button } from "../../widgets/button";
import { dayAndTime, dayOnly } from "../../words/river";
import { count } from "../../words/text";

/** Deleted sessions and fish, which can be restored for thirty days. */
export function Bin({ river }: { river: River }) {
  const { nameOf } = useFishes();
  const clocks = useWaterClocks();
  const bin = useLiveAnswer(async () => {
    const now = Date.now();
    const [sessions, catches] = [await database().sessions.toArray(), await database().catches.toArray()];
    const gone = new Set(sessions.filter((one) => one.deleted).map((one) => one.id));
    return {
      sessions: sessions.filter((one) => isInBin(one, now)),
      // A fish of a deleted session comes back with it.
      catches: catches.filter((one) => isInBin(one, now) && !gone.has(one.session)),
      reachOf: new Map(sessions.map((one) => [one.id, one.reach])),
      fishOf: (id: string) => catches.filter((one) => one.session === id && !one.deleted).length,
    };
  }, []);
  if (!bin) return null;
  const reachOf = (id: string) => river.reaches.find((one) => one.id === id)?.reach.name ?? "a deleted reach";
  const line = (key: string, text: string, deleted: string, restore: () => void, label: string) => (
    <li key={key} className="flex flex-wrap items-center justify-between gap-3 py-2">
      <span>
        {text} <span className="text-soft">Deleted {dayOnly(deleted)}.</span>
      </span>
      <Button aria-label={label} onClick={restore}>
        Restore
      </Button>
    </li>
  );
  const back = (run: () => ReturnType<typeof restoreSession>, done: string) => act(() => perform(run, done));
  const sessionLine = (one: Session) => {
    const when = dayAndTime(one.start, undefined, clocks.ofReach(one.reach));
    return line(
      one.id,
      `Session of ${when}, ${reachOf(one.reach)}, ${count(bin.fishOf(one.id), "fish", "fish")}.`,
      one.updatedAt,
      () => back(() => restoreSession(database(), one.id), "Session restored."),
      `Restore session of ${when}`,
    );
  };
  const fishLine = (one: Catch) => {
    const when = dayAndTime(one.at, undefined, clocks.ofReach(bin.reachOf.get(one.session)));
    return line(
      one.id,
      `${nameOf(one.species)} of ${when}.`,
      one.updatedAt,
      () => back(() => restoreCatch(database(), one.id), "Fish restored."),
      `Restore ${nameOf(one.species)} of ${when}`,
    );
  };
  return (
    <>
      <p className="mb-2 text-soft">Deleted sessions and fish stay here for {BIN_DAYS} days.</p>
      {bin.sessions.length + bin.catches.length === 0 ? (
        <p className="rounded-md border border-line p-4">The bin is empty.</p>
      ) : (
        <ul className="divide-y divide-line border-y border-line">
          {bin.sessions.map(sessionLine)}
          {bin.catches.map(fishLine)}
        </ul>
      )}
    </>
  );
}
