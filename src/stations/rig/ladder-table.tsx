"use client";
import type { BottomAdvice, JigAdvice } from "../../core/rig/advice";
import type { Step } from "../../core/rig/choose-weight";
import type { UnitSystem } from "../../words/quantity";
import { figureText, showText } from "../../words/quantity";
import { PURPOSE_NAMES } from "../../words/choices";
import { piecesText } from "../../words/weight";

/** Sizes on either side of the chosen one that are shown at once. */
const BESIDE = 2;

/** The sizes about the chosen one: how each touches, how long it takes and how far it is swept, and what it serves. */
export function LadderTable({ advice, system }: { advice: BottomAdvice | JigAdvice; system: UnitSystem }) {
  const vertical = advice.presentation === "vertical";
  const steps: readonly (Step & { pieces?: number; piece?: number; size?: string | null })[] = advice.ladder;
  const at = steps.findIndex(
    (one) =>
      one.grams === ("head" in advice ? advice.head.grams : advice.grams) &&
      (!("pieces" in advice) || one.pieces === advice.pieces),
  );
  const shown = steps.slice(Math.max(0, at - BESIDE), at + BESIDE + 1);
  return (
    <section aria-label="Sizes compared" className="mt-5">
      <h2 className="mb-1 text-lg">Sizes compared</h2>
      <table className="w-full text-left text-[15px]" data-testid="ladder">
        <thead>
          <tr className="border-b-2 border-ink text-sm text-soft">
            {["Weight", "On bottom", "Down in", vertical ? "Angle" : "Swept", "Good for"].map((name) => (
              <th key={name} scope="col" className="py-1.5 pr-2 align-bottom font-normal last:pr-0">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((step) => (
            <tr
              key={`${step.grams}${step.pieces ?? 1}`}
              className={`border-b border-line ${step === steps[at] ? "bg-ochre-soft font-semibold" : ""}`}
              aria-current={step === steps[at] ? "true" : undefined}
            >
              <th scope="row" className="py-1.5 pr-2 pl-1 font-[inherit]">
                {piecesText({ pieces: step.pieces ?? 1, piece: step.piece ?? step.grams, size: step.size }, system)}
              </th>
              <td className="pr-2 whitespace-nowrap">{figureText(100 * step.touch, 0)} %</td>
              <td className="pr-2 whitespace-nowrap">{figureText(step.seconds, 1)} s</td>
              <td className="min-w-12 pr-2 whitespace-nowrap">
                {vertical ? `${figureText(step.angle, 0)}°` : showText(step.swept, "distance", system)}
              </td>
              <td>{step.serves.map((purpose) => PURPOSE_NAMES[purpose].toLowerCase()).join(", ") || "–"}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
