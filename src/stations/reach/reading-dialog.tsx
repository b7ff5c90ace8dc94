"use client";
import { z } from "zod";
import type { WaterReading } from "../../core/flow/reach-schema";
import { EntryForm } from "../entry-form";
import { LEVEL_LABELS, levelEntry, markEntry } from "../water/level-dialog";
import { temperatureEntry, TemperatureField } from "../water/temperature-dialog";
import { FormField, FormSelect, useEntryForm } from "../../widgets/form";
import { Dialog } from "../../widgets/dialog";
import { numberEntry, optional, quantityEntry } from "../../words/entry";
import { entryText, entryUnit, type UnitSystem } from "../../words/quantity";
import { WADED_HINT, wadedEntry } from "../../words/waded-entry";
import { capital } from "../../words/text";
import type { Place } from "./probe";
import type { OwnReading } from "./use-bed-editor";

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
    z.object({ kind: z.literal("clarity"), visible: wadedEntry(entryUnit("depth", system), height) }),
    z.object({ kind: z.literal("level"), mark: markEntry, level: levelEntry(system), flowNow: optional(flow) }),
  ]);
};

/**
 * A reading at a place of the reach: a depth by stick or a timed float, which the bed is fitted to, or the temperature.
 */
export function ReadingDialog({
  place,
  where,
  flow,
  gauged,
  minute,
  system,
  height,
  onClose,
  onKeep,
  onOwn,
}: {
  place: Place;
  /** Where that is by what can be seen. */
  where: string;
  flow: number;
  /** What the gauge itself tells now, m3/s: only that may go into a mark's rating. */
  gauged: number | null;
  minute: number;
  system: UnitSystem;
  /** The angler's own, m. */
  height: number;
  onClose: () => void;
  onKeep: (reading: WaterReading) => void;
  /** Temperature, clarity or level there: it tells of the water, not of the bed. */
  onOwn: (reading: OwnReading) => void;
}) {
  const blank = {
    kind: "depth" as const,
    depth: "",
    distance: "",
    seconds: "",
    temperature: "",
    visible: "",
    mark: "",
    level: "",
    flow: entryText(flow, "discharge", system),
    flowNow: gauged === null ? "" : entryText(gauged, "discharge", system),
  };
  const form = useEntryForm(schemaIn(system, height), blank);
  const kind = form.watch("kind");
  const keep = form.handleSubmit((entries) => {
    onClose();
    if (entries.kind === "temperature") return onOwn({ kind: entries.kind, value: entries.temperature });
    if (entries.kind === "clarity") return onOwn({ kind: entries.kind, value: entries.visible });
    if (entries.kind === "level")
      return onOwn({
        kind: entries.kind,
        value: entries.level,
        mark: entries.mark,
        ...(entries.flowNow !== null && { flow: entries.flowNow }),
      });
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
              { value: "clarity", label: "How deep you can see" },
              { value: "level", label: "Water level on a mark" },
            ]}
          />
          {kind === "depth" && <FormField form={form} name="depth" label="Depth" hint={WADED_HINT} />}
          {kind === "temperature" && <TemperatureField form={form} name="temperature" system={system} />}
          {kind === "clarity" && <FormField form={form} name="visible" label="Visible to" hint={WADED_HINT} />}
          {kind === "level" && (
            <>
              <FormField form={form} name="mark" label={LEVEL_LABELS.mark} hint={LEVEL_LABELS.markHint} />
              <FormField form={form} name="level" label={LEVEL_LABELS.level(system)} hint={LEVEL_LABELS.levelHint} />
            </>
          )}
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
          {kind === "level" && <FormField form={form} name="flowNow" label={LEVEL_LABELS.flow} />}
          {(kind === "depth" || kind === "surface-speed") && (
            <FormField form={form} name="flow" label="River flow at that time" />
          )}
        </div>
      </EntryForm>
    </Dialog>
  );
}
