"use client";
import { z } from "zod";
import { BODY_MARKS, MARKED_HEIGHT } from "../../core/gauge/clarity";
import { parseQuantity } from "../../core/quantity/units";
import { act } from "../../state/act";
import { useSettings } from "../../state/settings";
import { takeReading } from "../../state/take-reading";
import { useSave } from "../../state/use-save";
import { EntryForm } from "../entry-form";
import type { ReadAt } from "./temperature-dialog";
import { FormField, useEntryForm } from "../../widgets/form";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { quantityEntry } from "../../words/entry";
import { entryText, entryUnit, rangeText, showText, type UnitSystem } from "../../words/quantity";

const schemaIn = (system: UnitSystem) => {
  const unit = entryUnit("depth", system);
  return z.object({
    depth: quantityEntry("length", unit, { low: 0, open: true, high: 15, beyond: rangeText(0, 15, "depth", system) }),
    height: quantityEntry("length", unit, { low: 1, high: 2.3, beyond: rangeText(1, 2.3, "depth", system) }),
  });
};

/** How deep the bed is seen: by the marks of the angler's own body, in one press, or as a depth. */
export function ClarityDialog({ station, reach, onClose }: ReadAt & { onClose: () => void }) {
  const { system, height, set } = useSettings();
  const form = useEntryForm(schemaIn(system), { depth: "", height: entryText(height, "depth", system) });
  const { save, fault } = useSave(onClose);
  const stature = parseQuantity(form.watch("height"), "length", entryUnit("depth", system));
  const own = stature.ok && stature.value >= 1 && stature.value <= 2.3 ? stature.value : height;
  const scale = own / MARKED_HEIGHT;
  const keep = (value: number, how: string) => {
    set({ height: own });
    return save(
      () => takeReading({ station, reach, kind: "clarity", value, how }),
      `Visible to ${showText(value, "depth", system)}, saved.`,
    );
  };
  const submit = form.handleSubmit(({ depth }) => keep(depth, "depth where you lost sight of the bottom"));
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title="How deep can you see?"
      about="Where it is safe, wade or look along a stick. Choose the deepest mark where you still see the bottom."
    >
      <EntryForm onSubmit={submit} fault={fault} keep="Save">
        <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
          {BODY_MARKS.value.map(({ name, depth: mark }) => (
            <Button
              key={name}
              className="min-h-16 flex-col gap-0"
              onClick={() => act(() => keep(mark * scale, `visible to the ${name}`))}
            >
              {name}
              <span className="text-sm font-normal text-soft">{showText(mark * scale, "depth", system)}</span>
            </Button>
          ))}
        </div>
        <div className="mt-4 grid gap-3 sm:grid-cols-2">
          <FormField
            form={form}
            name="depth"
            label="Or as a depth"
            hint={system === "us" ? "Such as 2'6\" or 0.8 m" : "Such as 0.8 m or 2'6\""}
          />
          <FormField form={form} name="height" label="Your height, for the marks" />
        </div>
      </EntryForm>
    </Dialog>
  );
}
