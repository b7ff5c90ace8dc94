"use client";
import type { Lie } from "../../core/fish/read";
import { showText } from "../../core/quantity/show";
import type { UnitSystem } from "../../core/quantity/units";
import { Footprint } from "./footprint";

const ORDINALS = ["1st", "2nd", "3rd"];

/** The lies in words: the plan's twin. */
export function LieList({
  lies,
  chosen,
  onChoose,
  system,
}: {
  lies: readonly Lie[];
  chosen: number | undefined;
  onChoose: (rank: number) => void;
  system: UnitSystem;
}) {
  return (
    <ol className="divide-y divide-line border-y border-line" aria-label="Lies in order of rank">
      {lies.map((lie) => (
        <li key={lie.rank}>
          <button
            type="button"
            aria-pressed={lie.rank === chosen}
            onClick={() => onChoose(lie.rank)}
            className={`flex min-h-14 w-full items-center gap-3 py-1.5 pr-2 text-left ${lie.rank === chosen ? "bg-ochre-soft" : "hover:bg-deep"}`}
          >
            <svg width={52} height={34} viewBox="-16 -17 46 34" aria-hidden className="shrink-0">
              <Footprint rank={lie.rank} kind={lie.kind} size={1} chosen={lie.rank === chosen} />
            </svg>
            <span className="min-w-0 flex-1">
              <span className="block truncate font-semibold">{lie.place}</span>
              <span className="block text-sm text-soft">
                {lie.kind}
                {lie.hold.of > 1 && ` · ${ORDINALS[lie.hold.place - 1]} of ${lie.hold.name}`} ·{" "}
                {showText(lie.depth, "depth", system)} deep · {showText(lie.focalSpeed, "speed", system)}
              </span>
            </span>
          </button>
        </li>
      ))}
    </ol>
  );
}
