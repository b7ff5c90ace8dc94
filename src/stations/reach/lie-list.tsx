"use client";
import type { UnitSystem } from "../../words/quantity";
import type { Lie } from "../../core/fish/read";
import { showText } from "../../words/quantity";
import type { Numbered } from "../../scenario/lie-identity";
import { kindWords } from "../../words/lie";
import { placeWords, whereaboutsWords } from "../../words/place";
import type { Robustness } from "../../scenario/robustness";
import { holdsWords } from "../../words/robustness";
import { Footprint } from "./footprint";

/** The lies in words: the plan's twin. */
export function LieList({
  lies,
  chosen,
  robustness,
  onChoose,
  system,
}: {
  lies: readonly Numbered<Lie>[];
  chosen: number | undefined;
  robustness: Robustness | undefined;
  onChoose: (lie: Lie) => void;
  system: UnitSystem;
}) {
  return (
    <ol className="divide-y divide-line border-y border-line" aria-label="Lies in order of rank">
      {lies.map((lie, index) => (
        <li key={lie.number}>
          <button
            type="button"
            aria-pressed={lie.number === chosen}
            onClick={() => onChoose(lie)}
            className={`flex min-h-14 w-full items-center gap-3 py-1.5 pr-2 text-left ${lie.number === chosen ? "bg-ochre-soft" : "hover:bg-deep"}`}
          >
            <svg width={52} height={34} viewBox="-16 -17 46 34" aria-hidden className="shrink-0">
              <Footprint number={lie.number} kind={lie.kind} size={1} chosen={lie.number === chosen} />
            </svg>
            <span className="min-w-0 flex-1">
              <span className="block font-semibold">
                <span className="sr-only">Lie {lie.number}: </span>
                {placeWords(lie.place)}
              </span>
              <span className="block text-sm text-soft">{whereaboutsWords(lie.whereabouts, system)}</span>
              <span className="block text-sm text-soft">
                {kindWords(lie)} · {showText(lie.depth, "depth", system)} deep ·{" "}
                {showText(lie.focalSpeed, "speed", system)}
                {robustness?.lies[index] && ` · ${holdsWords(robustness.lies[index])}`}
              </span>
            </span>
          </button>
        </li>
      ))}
    </ol>
  );
}
