"use client";
import type { LoneJump } from "../../core/gauge/lone-jumps";
import { useSettings } from "../../state/settings";
import { showText } from "../../words/quantity";
import { dayAndTime } from "../../words/river";
import { count } from "../../words/text";

const MEASURE = { discharge: "discharge", stage: "stage" } as const;
const STILL = { discharge: "stage", stage: "discharge" } as const;
/** Shown one by one; more than these are left out or kept together. */
const MOST = 12;

/** Readings that leap alone while the other measure stands still: marked, and left out if the angler says so. */
export function LoneJumps({
  jumps,
  without,
  onWithout,
}: {
  jumps: readonly LoneJump[];
  without: readonly LoneJump[];
  onWithout: (jumps: readonly LoneJump[]) => void;
}) {
  const system = useSettings((settings) => settings.system);
  if (jumps.length === 0) return null;
  const words = ({ parameter, value, around, at }: LoneJump) => {
    const kind = parameter === "stage" ? "stage" : "discharge";
    return `${dayAndTime(at)}: ${kind} ${showText(value, MEASURE[kind], system)} between readings of ${showText(around, MEASURE[kind], system)}, while ${STILL[kind]} stays the same`;
  };
  return (
    <fieldset className="rounded-md border border-line p-3">
      <legend className="px-1 font-semibold">{count(jumps.length, "reading")} out of line</legend>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-5"
          checked={without.length === jumps.length}
          onChange={(event) => onWithout(event.target.checked ? jumps : [])}
        />
        Remove {jumps.length === 1 ? "it" : "all of them"} (leaves a gap for each)
      </label>
      <ul className="grid gap-1 text-sm">
        {jumps.slice(0, MOST).map((jump) => (
          <li key={`${jump.parameter} ${jump.at}`}>
            {jumps.length === 1 ? (
              words(jump)
            ) : (
              <label className="flex min-h-11 items-center gap-3">
                <input
                  type="checkbox"
                  className="size-5"
                  checked={without.includes(jump)}
                  onChange={(event) =>
                    onWithout(event.target.checked ? [...without, jump] : without.filter((one) => one !== jump))
                  }
                />
                {words(jump)}
              </label>
            )}
          </li>
        ))}
      </ul>
      {jumps.length > MOST && <p className="text-sm text-soft">And {jumps.length - MOST} more like them.</p>}
    </fieldset>
  );
}
