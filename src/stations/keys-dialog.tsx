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
      ["Tab, Enter", "move to the next control, press it"],
      ["Escape", "close a dialog or list"],
    ],
  ],
  [
    "On Session",
    [
      ["B", "log a missed bite"],
      ["N", "accept the next change"],
    ],
  ],
  [
    "On Reach",
    [
      ["[ and ]", "lower or raise the flow by 10 %"],
      ["Arrows, on the plan", "move the probe"],
      ["+ and −, on the plan", "zoom in and out"],
      ["0, on the plan", "the whole reach"],
      ["Arrows, on an object", "move it; with Shift, four times as far"],
      ["Delete, on an object", "delete it"],
    ],
  ],
];

export function KeysDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Keyboard shortcuts">
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
