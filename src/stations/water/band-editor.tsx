"use client";
import { Trash2 } from "lucide-react";
import { z } from "zod";
import { BAND_MEASURES, type BandMeasure, type FishesWell } from "../../core/gauge/band";
import { act } from "../../state/act";
import { FormField, FormSelect, useEntryForm } from "../../widgets/form";
import { Button } from "../../widgets/button";
import { optional, quantityEntry, textEntry } from "../../words/entry";
import { entryUnit, type UnitSystem } from "../../words/quantity";
import { bandWords } from "./spots-panel";

const MEASURE_NAMES: Record<BandMeasure, string> = {
  discharge: "Discharge",
  stage: "Stage",
  belowFull: "Below full pool",
};

const schemaIn = (system: UnitSystem) =>
  z
    .object({
      spot: textEntry(120).refine((text) => text !== "", "Name the spot."),
      measure: z.enum(BAND_MEASURES),
      low: z.string(),
      high: z.string(),
    })
    .transform(({ spot, measure, low, high }, context): FishesWell => {
      const bound = optional(
        measure === "discharge"
          ? quantityEntry("discharge", entryUnit("discharge", system))
          : quantityEntry("length", entryUnit("depth", system)),
      );
      const ends = { low: bound.safeParse(low), high: bound.safeParse(high) };
      for (const [name, end] of Object.entries(ends))
        if (!end.success) context.addIssue({ code: "custom", message: end.error.issues[0]!.message, path: [name] });
      const [from, to] = [ends.low.data ?? null, ends.high.data ?? null];
      if (ends.low.success && ends.high.success) {
        if (from === null && to === null)
          context.addIssue({ code: "custom", message: "Enter at least one limit.", path: ["low"] });
        if (from !== null && to !== null && from >= to)
          context.addIssue({ code: "custom", message: "The first must be below the second.", path: ["low"] });
      }
      return { spot, measure, low: from, high: to };
    });

/** Spots with their bands: a list, and a line to add one. */
export function BandEditor({
  bands,
  system,
  onChange,
}: {
  bands: readonly FishesWell[];
  system: UnitSystem;
  onChange: (bands: FishesWell[]) => void;
}) {
  const form = useEntryForm(schemaIn(system), { spot: "", measure: "discharge", low: "", high: "" });
  const add = form.handleSubmit((band) => {
    onChange([...bands, band]);
    form.reset();
  });
  return (
    <section>
      <h3 className="mb-1">Fishes well between</h3>
      <ul className="mb-2">
        {bands.map((band, k) => (
          <li key={k} className="flex items-center gap-2">
            <span className="flex-1">
              {band.spot}: {bandWords(band, system)}
            </span>
            <button
              type="button"
              aria-label={`Remove ${band.spot}`}
              onClick={() => onChange(bands.filter((_, n) => n !== k))}
              className="grid size-11 place-items-center rounded-md hover:bg-deep"
            >
              <Trash2 size={18} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <div className="grid grid-cols-2 items-start gap-2 sm:grid-cols-[1.6fr_1.2fr_1fr_1fr_auto]">
        <FormField form={form} name="spot" label="Spot" maxLength={120} />
        <FormSelect
          form={form}
          name="measure"
          label="Measured by"
          choices={BAND_MEASURES.map((value) => ({ value, label: MEASURE_NAMES[value] }))}
        />
        <FormField form={form} name="low" label="From" />
        <FormField form={form} name="high" label="To" />
        <Button className="sm:mt-6" onClick={() => act(() => add())}>
          Add band
        </Button>
      </div>
    </section>
  );
}
