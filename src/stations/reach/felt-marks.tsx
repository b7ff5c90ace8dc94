"use client";
import type { FieldReading } from "../../core/book/records";
import { FELT_LASTS, LEVEL_LASTS, SEEN_LASTS, stillTells } from "../../core/gauge/summary";
import { useLiveAnswer } from "../../state/live-answer";
import { useSettings } from "../../state/settings";
import { database } from "../../store/database";
import { ownReadingWords, shortReading } from "../../words/own-reading";
import { capital } from "../../words/text";
import { PlanLabel } from "./plan-label";

/** How long what was read at a place says something of the water, ms. */
const LASTS: Partial<Record<FieldReading["kind"], number>> = {
  temperature: FELT_LASTS,
  clarity: SEEN_LASTS,
  level: LEVEL_LASTS,
};

/** What was read of the water at places of a reach and still says something of it. */
export function useFelt(reach: string | undefined, minute: number): FieldReading[] {
  const all = useLiveAnswer(
    async () => (reach ? await database().readings.where("reach").equals(reach).toArray() : []),
    [reach],
  );
  return (all ?? []).filter(
    ({ kind, place, deleted, at }) => place && !deleted && stillTells(Date.parse(at), minute, LASTS[kind] ?? 0),
  );
}

/** What was read of the water, where that was, on the plan. */
export function FeltMarks({ felt, scale }: { felt: readonly FieldReading[]; scale: number }) {
  const system = useSettings((settings) => settings.system);
  return felt.map((reading) => {
    const { id, place } = reading;
    const words = capital(ownReadingWords(reading, system));
    const text = shortReading(reading, system);
    return (
      <g key={id} transform={`translate(${place!.x * scale} ${place!.y * scale})`} role="img" aria-label={words}>
        <circle r={3} fill="var(--clay)" stroke="var(--paper)" strokeWidth={1.5} />
        <PlanLabel colour="var(--clay)">{text}</PlanLabel>
      </g>
    );
  });
}
