"use client";
import { isOpen } from "../core/book/local-rules";
import { rulesFor } from "../core/book/rules-for";
import { useLiveAnswer } from "../state/live-answer";
import { useFishes } from "../state/use-fishes";
import { database } from "../store/database";
import { dayKey } from "../words/river";
import { closedWords } from "../words/closed-season";

/**
 * Is the season of a fish closed on a reach today, by the rules that the angler entered? Said before anybody sets out,
 * on every station that sends someone to the water.
 */
export function ClosedSeason({ reach, species, now }: { reach: string; species: string; now: number }) {
  const { nameOf } = useFishes();
  const today = dayKey(now);
  const closed = useLiveAnswer(
    async () =>
      rulesFor(await database().rules.toArray(), { reach, bank: "both", species }).find(
        ({ open }) => open && !isOpen(open, today),
      ) ?? null,
    [reach, species, today],
  );
  if (!closed?.open) return null;
  return (
    <p role="status" className="mb-2 rounded-md border-2 border-clay px-3 py-2 font-semibold">
      <span aria-hidden>▲ </span>
      {closedWords(nameOf(species), closed.open)}
    </p>
  );
}
