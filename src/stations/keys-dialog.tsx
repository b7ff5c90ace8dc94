"use client";
import { Dialog } from "../widgets/dialog";

const KEYS: readonly (readonly [string, string])[] = [
  ["1 to 5", "Water, Reach, Rig, Log, Learn"],
  ["[ and ]", "flow down and up (on Reach)"],
  ["L", "log a fish"],
  ["U", "metric or US units"],
  ["?", "this list"],
];

export function KeysDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Keys">
      <dl className="grid grid-cols-[8rem_1fr] gap-y-2">
        {KEYS.map(([key, what]) => (
          <div key={key} className="contents">
            <dt className="font-semibold">{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
