"use client";
import type { FieldValues, Path, UseFormReturn } from "react-hook-form";
import { z } from "zod";
import type { FieldReading } from "../../core/book/records";
import { useSettings } from "../../state/settings";
import { takeReading } from "../../state/take-reading";
import { useSave } from "../../state/use-save";
import { Dialog } from "../../widgets/dialog";
import { FormField, useEntryForm } from "../../widgets/form";
import { quantityEntry } from "../../words/entry";
import { entryUnit, rangeText, showText, type UnitSystem } from "../../words/quantity";
import { EntryForm } from "../entry-form";

/** At the gauge or on a reach: what a reading is of. */
export type ReadAt = Pick<FieldReading, "station" | "reach">;

export const temperatureEntry = (system: UnitSystem) =>
  quantityEntry("temperature", entryUnit("temperature", system), {
    low: -2,
    high: 45,
    beyond: rangeText(-2, 45, "temperature", system),
  });

/** The field of such an entry. */
export const TemperatureField = <In extends FieldValues, Out extends FieldValues>({
  form,
  name,
  system,
}: {
  form: UseFormReturn<In, unknown, Out>;
  name: Path<In>;
  system: UnitSystem;
}) => (
  <FormField form={form} name={name} label={`Temperature, °${entryUnit("temperature", system)}`} inputMode="decimal" />
);

/** The water's temperature by the angler's own thermometer. */
export function TemperatureDialog({ station, reach, onClose }: ReadAt & { onClose: () => void }) {
  const { system } = useSettings();
  const form = useEntryForm(z.object({ temperature: temperatureEntry(system) }), { temperature: "" });
  const { save, fault } = useSave(onClose);
  const submit = form.handleSubmit(({ temperature }) =>
    save(
      () => takeReading({ station, reach, kind: "temperature", value: temperature }),
      `Water ${showText(temperature, "temperature", system)}, saved.`,
    ),
  );
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title="Water temperature"
      about="Hold the thermometer in moving water for a minute. It counts for six hours where the gauge has none."
    >
      <EntryForm onSubmit={submit} fault={fault} keep="Save">
        <TemperatureField form={form} name="temperature" system={system} />
      </EntryForm>
    </Dialog>
  );
}
