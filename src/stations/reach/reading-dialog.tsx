"use client";
import { z } from "zod";
import type { WaterReading } from "../../core/flow/reach-schema";
import { EntryForm } from "../entry-form";
import { temperatureEntry, TemperatureField } from "../water/temperature-dialog";
import { FormField, FormSelect, useEntryForm } from "../../widgets/form";
import { Dialog } from "../../widgets/dialog";
import { numberEntry, quantityEntry } from "../../words/entry";
import { entryText, entryUnit, type UnitSystem } from "../../words/quantity";
import { WADED_HINT, wadedEntry } from "../../words/waded-entry";
import { capital } from "../../words/text";
import type { Place } from "./probe";

const ABOVE = { low: 0, open: true, beyond: "Enter a number above 0." };

/** Each kind of reading asks for its own fields: what is left in those of another is not looked at. */
const schemaIn = (system: UnitSystem, height: number) => {
  const flow = quantityEntry("discharge", entryUnit("discharge", system), ABOVE);
  return z.discriminatedUnion("kind", [
    z.object({ kind: z.literal("depth"), depth: wadedEntry(entryUnit("depth", system), height), flow }),
    z.object({
      kind: z.literal("surface-speed"),
      distance: quantityEntry("length", entryUnit("distance", system), ABOVE),
      seconds: numberEntry(ABOVE),
      flow,
    }),
    z.object({ kind: z.literal("temperature"), temperature: temperatureEntry(system) }),
  ]);
};

/**
 * A reading at a place of the reach: a depth by stick or a timed float, which the bed is fitted to, or the temperature.
 */
export function ReadingDialog({
  place,
  where,
  flow,
  minute,
  system,
  height,
  onClose,
  onKeep,
  onFelt,
}: {
  place: Place;
  /** Where that is by what can be seen. */
  where: string;
  flow: number;
  minute: number;
  system: UnitSystem;
  /** The angler's own, m. */
  height: number;
  onClose: () => void;
  onKeep: (reading: WaterReading) => void;
  /** The water's temperature there, degrees C. */
  onFelt: (temperature: number) => void;
}) {
  const blank = {
    kind: "depth" as const,
    depth: "",
    distance: "",
    seconds: "",
    temperature: "",
    flow: entryText(flow, "discharge", system),
  };
  const form = useEntryForm(schemaIn(system, height), blank);
  const kind = form.watch("kind");
  const keep = form.handleSubmit((entries) => {
    onClose();
    if (entries.kind === "temperature") return onFelt(entries.temperature);
    const value = entries.kind === "depth" ? entries.depth : entries.distance / entries.seconds;
    onKeep({
      x: Number(place[0].toFixed(2)),
      y: Number(place[1].toFixed(2)),
      kind: entries.kind,
      value: Number(value.toFixed(3)),
      discharge: Number(entries.flow.toPrecision(4)),
      at: new Date(minute).toISOString(),
    });
  });
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title="A reading in the water"
      about={`${capital(where)}. Only wade where it is safe.`}
    >
      <EntryForm onSubmit={keep} keep="Save">
        <div className="grid gap-3 sm:grid-cols-2">
          <FormSelect
            form={form}
            name="kind"
            label="Reading"
            className="sm:col-span-2"
            choices={[
              { value: "depth", label: "Depth, by stick or line" },
              { value: "surface-speed", label: "Speed, by a timed float" },
              { value: "temperature", label: "Water temperature" },
            ]}
          />
          {kind === "depth" && <FormField form={form} name="depth" label="Depth" hint={WADED_HINT} />}
          {kind === "temperature" && <TemperatureField form={form} name="temperature" system={system} />}
          {kind === "surface-speed" && (
            <>
              <FormField
                form={form}
                name="distance"
                label="Float distance"
                inputMode="decimal"
                hint="Centred on the place"
              />
              <FormField form={form} name="seconds" label="Seconds" inputMode="decimal" />
            </>
          )}
          {kind !== "temperature" && <FormField form={form} name="flow" label="River flow at that time" />}
        </div>
      </EntryForm>
    </Dialog>
  );
}
