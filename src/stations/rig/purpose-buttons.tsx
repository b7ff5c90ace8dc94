"use client";
import { PURPOSES, type Purpose } from "../../core/tactics/purpose";
import type { Method } from "../../core/tactics/methods";
import { useChosen } from "../../state/use-chosen";
import { PURPOSE_NAMES } from "../../words/choices";

/** What the weight is for: as it was chosen, changed with one press; the one that is pressed is let go again. */
export function PurposeButtons({ method, purpose }: { method: Method; purpose: Purpose }) {
  const { chosen, choose } = useChosen(method);
  return (
    <div role="group" aria-label="What the weight is for" className="mt-1 grid grid-cols-4 gap-1 print:hidden">
      {PURPOSES.map((one) => (
        <button
          key={one}
          type="button"
          aria-pressed={one === purpose}
          onClick={() => choose("purpose", chosen.purpose === one ? undefined : one)}
          className={`min-h-11 rounded-md border px-1 text-sm leading-tight ${one === purpose ? "border-ink bg-ink text-paper" : "border-edge hover:bg-deep"}`}
        >
          {PURPOSE_NAMES[one]}
        </button>
      ))}
    </div>
  );
}
