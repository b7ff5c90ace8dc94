"use client";
import { Button } from "../../widgets/button";
import { FaultNote } from "../../widgets/fault-note";
import { Panel } from "../../widgets/panel";
import { faultText } from "../../words/messages";
import type { UnitSystem } from "../../words/quantity";
import { NO_LIES, wantedWords } from "../../words/wanted-depths";
import type { Place } from "./probe";
import type { WantedDepthsView } from "./use-wanted-depths";
import { letterOf } from "./wanted-letter";

/** Where depths would make the lies of a drawn reach surer, each a press away. */
export function WantedPanel({
  wanted: {
    ask,
    noLies,
    stage: { value, fault, retry },
  },
  where,
  lies,
  onEnter,
  system,
}: {
  wanted: WantedDepthsView;
  /** Where a place is on the plan. */
  where: (place: Place) => string;
  lies: readonly { number: number; x: number; y: number }[];
  onEnter: (place: Place) => void;
  system: UnitSystem;
}) {
  return (
    <Panel
      title="Depths that would help most"
      className="mt-4 mb-2"
      aside={
        <button type="button" className="-my-3 min-h-11 text-sm underline" onClick={() => ask(false)}>
          Hide these depths
        </button>
      }
    >
      {fault ? (
        <FaultNote message={faultText(fault, system)} todo="Nothing changed." onRetry={retry} />
      ) : (
        <p role="status">{value ? wantedWords(value) : noLies ? NO_LIES : "Waiting for the lies …"}</p>
      )}
      <ul className="mt-2 grid gap-2">
        {value?.places.map((place, k) => {
          const letter = letterOf(k + 1);
          const lie = nearestLie(lies, place);
          return (
            <li key={letter} className="flex max-w-3xl flex-wrap items-center gap-x-4 gap-y-1">
              <span className="grow">
                <strong>{letter}</strong>: {lie && `near lie ${lie.number}, `}
                {where(place)}
              </span>
              <Button onClick={() => onEnter(place)}>Enter depth {letter}</Button>
            </li>
          );
        })}
      </ul>
    </Panel>
  );
}

/** A lie is told beside a place within so far of it, m. */
const NEAR = 12;

function nearestLie<T extends { x: number; y: number }>(lies: readonly T[], [x, y]: Place): T | undefined {
  const off = (lie: T) => Math.hypot(lie.x - x, lie.y - y);
  const [nearest] = lies.toSorted((a, b) => off(a) - off(b));
  return nearest && off(nearest) <= NEAR ? nearest : undefined;
}
