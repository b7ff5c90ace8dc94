"use client";
import { Dialog } from "../widgets/dialog";

const KEYS: readonly (readonly [string, readonly (readonly [string, string])[]])[] = [
  [
    "Everywhere",
    [
      ["1 to 7", "Today, Water, Reach, Rig, Session, Log, Learn"],
      ["L", "log a fish"],
      ["U", "metric or US units"],
      ["?", "this list"],
      ["Tab, Enter", "to the next thing, and press it"],
      ["Escape", "closes what is open"],
    ],
  ],
  [
    "On Session",
    [
      ["B", "a bite that was missed"],
      ["N", "take the next change"],
    ],
  ],
  [
    "On Reach",
    [
      ["[ and ]", "flow down and up by a tenth"],
      ["Arrows, on the plan", "move the probe"],
      ["+ and −, on the plan", "nearer and farther"],
      ["0, on the plan", "the whole reach"],
      ["Arrows, on an object", "move it a little, with Shift four times as far"],
      ["Delete, on an object", "takes it off"],
    ],
  ],
];

export function KeysDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Keys">
      {KEYS.map(([where, keys]) => (
        <section key={where} className="mb-4">
          <h3 className="mb-1">{where}</h3>
          <dl className="grid grid-cols-[11rem_1fr] gap-y-2">
            {keys.map(([key, what]) => (
              <div key={key} className="contents">
                <dt className="font-semibold">{key}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
    </Dialog>
  );
}
