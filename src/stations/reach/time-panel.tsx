"use client";
import type { Style, Timing } from "../../core/tactics/time";
import { type Feeding, FEEDINGS } from "../../core/tactics/feeding";
import { useSettings } from "../../state/settings";
import { Select } from "../../widgets/select";
import { messageText } from "../../words/messages";
import { timingText } from "../../words/timing";

const FEEDING_NAMES: Record<Feeding, string> = {
  none: "no feed",
  ahead: "before I fish it",
  after: "when they stop",
};
const STYLES: Record<Style, string> = { rove: "I rove", wait: "I wait" };

/** How long to give a lie, and when to rest it. */
export function TimePanel({ lie, timing }: { lie: number; timing: Timing }) {
  const { style, feeding, system, set } = useSettings();
  return (
    <section aria-label={`Time for lie ${lie}`} className="mt-5">
      <h2 className="mb-2 text-lg">Time for lie {lie}</h2>
      <div role="group" aria-label="Style" className="mb-2 flex gap-2">
        {(Object.keys(STYLES) as Style[]).map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={one === style}
            onClick={() => set({ style: one })}
            className={`min-h-11 rounded-md border px-3 ${one === style ? "border-ink bg-ink text-paper" : "border-edge hover:bg-deep"}`}
          >
            {STYLES[one]}
          </button>
        ))}
      </div>
      <Select
        label="Feed the spot"
        value={feeding}
        onChange={(value) => set({ feeding: value as Feeding })}
        choices={FEEDINGS.map((value) => ({ value, label: FEEDING_NAMES[value] }))}
        className="mb-2 max-w-60"
      />
      <p>
        <strong>{timingText(timing)}</strong>
        {timing.rest > 0 ? `; rest it ${timing.rest} minutes after a fish.` : "; no rest needed after a fish."}
      </p>
      <ul className="mt-1 grid gap-1 text-sm">
        {timing.reasons.map((reason) => (
          <li key={reason.code}>{messageText(reason, system)}</li>
        ))}
      </ul>
    </section>
  );
}
