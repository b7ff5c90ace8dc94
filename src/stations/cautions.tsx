"use client";
import { X } from "lucide-react";
import { type Caution, isStanding } from "../core/gauge/cautions";
import { useSettings } from "../state/settings";
import type { Safety } from "../state/use-cautions";
import { useMinute } from "../state/clock";
import { cautionName, cautionWords } from "../words/cautions";
import { dayKey } from "../words/river";

/**
 * What is to be heeded now, in the same words on every station: what is grave or new in a box; what stands all day a
 * line each, which can be hidden until tomorrow.
 */
export function Cautions({ safety }: { safety: Safety }) {
  const { system, hiddenCautions, set } = useSettings();
  const today = dayKey(useMinute());
  const hidden = hiddenCautions.day === today ? hiddenCautions.kinds : [];
  const { cautions, leave } = safety;
  const grave = cautions.filter((one) => !isStanding(one));
  const standing = cautions.filter((one) => isStanding(one) && !hidden.includes(one.kind));
  if (grave.length + standing.length === 0) return null;
  const heard = cautions.some(({ kind }) => kind === "thunder");
  return (
    <section aria-label="Cautions" className="grid gap-1">
      {grave.length > 0 && (
        <div
          role={leave ? "alert" : undefined}
          className={`rounded-md px-3 py-2 text-sm font-semibold sm:text-base sm:leading-snug ${leave ? "border-4 border-clay" : "border-2 border-clay"}`}
        >
          <ul className="grid gap-1">
            {grave.map((one) => (
              <li key={one.kind}>
                <Mark />
                {cautionWords(one, system)}
              </li>
            ))}
          </ul>
          {heard && (
            <button type="button" className="min-h-11 font-normal underline" onClick={() => set({ thunderAt: null })}>
              False alarm: no thunder
            </button>
          )}
        </div>
      )}
      {standing.length > 0 && (
        <ul className="grid">
          {standing.map((one) => (
            <StandingLine
              key={one.kind}
              caution={one}
              onHide={() => set({ hiddenCautions: { day: today, kinds: [...hidden, one.kind] } })}
            />
          ))}
        </ul>
      )}
    </section>
  );
}

function StandingLine({ caution, onHide }: { caution: Caution; onHide: () => void }) {
  const system = useSettings((settings) => settings.system);
  return (
    <li className="flex items-center gap-2 border-l-4 border-clay pl-2 text-sm">
      <span className="min-w-0 flex-1">
        <Mark />
        {cautionWords(caution, system)}
      </span>
      <button
        type="button"
        aria-label={`Hide until tomorrow: ${cautionName(caution)}`}
        title="Hide until tomorrow"
        className="-my-2 grid size-11 shrink-0 place-items-center rounded-md text-soft hover:bg-deep print:hidden"
        onClick={onHide}
      >
        <X size={18} aria-hidden />
      </button>
    </li>
  );
}

const Mark = () => (
  <>
    <span aria-hidden>▲ </span>
    <span className="sr-only">Caution: </span>
  </>
);

/** What always holds. */
export const Always = ({ className = "" }: { className?: string }) => (
  <p className={`text-sm text-soft ${className}`}>
    When you hear thunder, put the rod down and get off the water for half an hour. Don’t wade if you doubt the depth or
    the current. Local rules and licences come first.
  </p>
);
