"use client";
import type { FieldReading } from "../../core/book/records";
import { FELT_LASTS, stillTells } from "../../core/gauge/summary";
import { useLiveAnswer } from "../../state/live-answer";
import { useSettings } from "../../state/settings";
import { database } from "../../store/database";
import { showText } from "../../words/quantity";
import { PlanLabel } from "./plan-label";

/** Temperatures that were read at places of a reach and still say something of the water. */
export function useFelt(reach: string | undefined, minute: number): FieldReading[] {
  const all = useLiveAnswer(
    async () => (reach ? await database().readings.where("reach").equals(reach).toArray() : []),
    [reach],
  );
  return (all ?? []).filter(
    ({ kind, place, deleted, at }) =>
      kind === "temperature" && place && !deleted && stillTells(Date.parse(at), minute, FELT_LASTS),
  );
}

/** The water's temperature where it was read, on the plan. */
export function FeltMarks({ felt, scale }: { felt: readonly FieldReading[]; scale: number }) {
  const system = useSettings((settings) => settings.system);
  return felt.map(({ id, place, value }) => {
    const text = showText(value, "temperature", system);
    return (
      <g
        key={id}
        transform={`translate(${place!.x * scale} ${place!.y * scale})`}
        role="img"
        aria-label={`Water ${text}`}
      >
        <circle r={3} fill="var(--clay)" stroke="var(--paper)" strokeWidth={1.5} />
        <PlanLabel colour="var(--clay)">{text}</PlanLabel>
      </g>
    );
  });
}
