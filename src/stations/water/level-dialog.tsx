"use client";
import { z } from "zod";
import { levelsOf } from "../../core/book/river-record";
import { levelMarks } from "../../core/gauge/level-marks";
import { act } from "../../state/act";
import { useLiveAnswer } from "../../state/live-answer";
import { useSettings } from "../../state/settings";
import { takeReading } from "../../state/take-reading";
import { useSave } from "../../state/use-save";
import { database } from "../../store/database";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { FormField, useEntryForm } from "../../widgets/form";
import { optional, quantityEntry } from "../../words/entry";
import { entryText, entryUnit, rangeText, type UnitSystem } from "../../words/quantity";
import { levelWords } from "../../words/level-marks";
import { EntryForm } from "../entry-form";
import type { ReadAt } from "./temperature-dialog";

export const markEntry = z
  .string()
  .trim()
  .min(1, "Name the mark, such as flat stone or staff.")
  .max(60, "At most 60 letters.");

/** A level over a mark, in cm or in where no unit is given. */
export const levelEntry = (system: UnitSystem) =>
  quantityEntry("length", entryUnit("smallLength", system), {
    low: -30,
    high: 30,
    beyond: rangeText(-30, 30, "smallLength", system),
  });

/** Fields of a level: the mark and how far the water is over it. */
export const LEVEL_LABELS = {
  mark: "Mark",
  markHint: "A stone, a step, a staff: the same name each time",
  level: (system: UnitSystem) => `Water over it, ${entryUnit("smallLength", system)}`,
  flow: "Flow now, if you know it",
  levelHint: "0 where it is just covered; minus where it stands out",
} as const;

/** The water's level on a staff or a stone; with the flow, where that is known, it becomes a rating. */
export function LevelDialog({
  station,
  reach,
  flow,
  onClose,
}: ReadAt & {
  /** Now, m3/s, where the gauge tells. */
  flow: number | null;
  onClose: () => void;
}) {
  const readings = useLiveAnswer(
    async () =>
      (await database().readings.toArray()).filter((one) => (reach ? one.reach === reach : one.station === station)),
    [station, reach],
  );
  const marks = readings && levelMarks(levelsOf(readings));
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title="Water level on a mark"
      about="Read a staff, or a stone that stays where it is. Three levels with their flows make it a gauge of your own."
    >
      {marks && (
        <LevelForm at={{ station, reach }} marks={marks.map(({ name }) => name)} flow={flow} onClose={onClose} />
      )}
    </Dialog>
  );
}

function LevelForm({
  at: { station, reach },
  marks,
  flow,
  onClose,
}: {
  at: ReadAt;
  /** Known ones, the last read first. */
  marks: readonly string[];
  flow: number | null;
  onClose: () => void;
}) {
  const { system } = useSettings();
  const form = useEntryForm(
    z.object({
      mark: markEntry,
      level: levelEntry(system),
      flow: optional(
        quantityEntry("discharge", entryUnit("discharge", system), {
          low: 0,
          open: true,
          beyond: "Enter a number above 0.",
        }),
      ),
    }),
    { mark: marks[0] ?? "", level: "", flow: flow === null ? "" : entryText(flow, "discharge", system) },
  );
  const { save, fault } = useSave(onClose);
  const submit = form.handleSubmit((entries) =>
    save(
      () =>
        takeReading({
          station,
          reach,
          kind: "level",
          value: entries.level,
          mark: entries.mark,
          ...(entries.flow !== null && { flow: entries.flow }),
        }),
      `Saved: ${levelWords({ level: entries.level, mark: entries.mark }, system)}.`,
    ),
  );
  return (
    <EntryForm onSubmit={submit} fault={fault} keep="Save">
      {marks.length > 1 && (
        <div className="mb-3 flex flex-wrap gap-2">
          {marks.slice(0, 6).map((name) => (
            <Button key={name} onClick={() => form.setValue("mark", name)}>
              {name}
            </Button>
          ))}
        </div>
      )}
      <div className="grid gap-3 sm:grid-cols-2">
        <FormField form={form} name="mark" label={LEVEL_LABELS.mark} hint={LEVEL_LABELS.markHint} />
        <FormField form={form} name="level" label={LEVEL_LABELS.level(system)} hint={LEVEL_LABELS.levelHint} />
        <FormField form={form} name="flow" label={LEVEL_LABELS.flow} />
      </div>
      <Button
        className="mt-3 min-h-12"
        onClick={() => {
          form.setValue("level", "0");
          act(() => submit());
        }}
      >
        It is just covered
      </Button>
    </EntryForm>
  );
}
