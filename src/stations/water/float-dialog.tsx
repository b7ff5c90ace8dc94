"use client";
import { NotKept } from "../not-kept";
import { Plus, Trash2 } from "lucide-react";
import { useMemo } from "react";
import { useFieldArray, useWatch } from "react-hook-form";
import { z } from "zod";
import type { ReachRecord } from "../../core/book/records";
import { type FloatGauging, gaugeByFloats } from "../../core/gauge/float-gauging";
import { answer } from "../../core/quantity/answer";
import { parseNumber } from "../../core/quantity/number";
import { act } from "../../state/act";
import { clockNow } from "../../state/clock";
import { useSettings } from "../../state/settings";
import { useSave } from "../../state/use-save";
import { database } from "../../store/database";
import { addReading } from "../../store/gauges";
import { FormField, FormSelect, useEntryForm } from "../../widgets/form";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { FaultNote } from "../../widgets/fault-note";
import { quantityEntry } from "../../words/entry";
import { messageText } from "../../words/messages";
import { entryUnit, figureText, showText, type UnitSystem } from "../../words/quantity";

/** Roughness height, m, of beds as an angler names them. From memory. */
const BEDS = [
  { value: "0.01", label: "Sand or silt" },
  { value: "0.03", label: "Gravel" },
  { value: "0.06", label: "Cobbles, head-sized" },
  { value: "0.2", label: "Boulders" },
] as const;

/** Seconds of each pass, parted by spaces or semicolons. */
const secondsEntry = z.string().transform((text, context) => {
  const passes = text
    .trim()
    .split(/[\s;/]+/)
    .map((one) => parseNumber(one));
  const wrong = passes.find((one) => !one.ok);
  if (!wrong) return passes.map((one) => (one.ok ? one.value : NaN));
  context.addIssue({ code: "custom", message: wrong.ok ? "" : messageText(wrong.message) });
  return z.NEVER;
});

const schemaIn = (system: UnitSystem) => {
  const length = quantityEntry("length", entryUnit("depth", system));
  return z.object({
    width: length,
    bed: z.string().transform(Number),
    places: z.array(z.object({ distance: length, depth: length, run: length, seconds: secondsEntry })),
  });
};
type Entries = z.input<ReturnType<typeof schemaIn>>;
type Place = Entries["places"][number];

const blank: Place = { distance: "", depth: "", run: "", seconds: "" };
const isFilled = (place: Place): boolean => Object.values(place).every((text) => text.trim() !== "");

/** What the entries give so far. */
type Outcome =
  { kind: "unfinished"; words: string } | { kind: "fault"; words: string } | { kind: "done"; gauging: FloatGauging };

function measure(entries: Entries, system: UnitSystem): Outcome {
  if (entries.width.trim() === "") return { kind: "unfinished", words: "First enter the wet width, edge to edge." };
  const parsed = schemaIn(system).safeParse({ ...entries, places: entries.places.filter(isFilled) });
  if (!parsed.success) return { kind: "fault", words: parsed.error.issues[0]!.message };
  const { width, bed, places } = parsed.data;
  if (places.length < 2)
    return { kind: "unfinished", words: "Fill in at least two places. Five or more give a good measurement." };
  const found = answer(() => gaugeByFloats(width, places, bed));
  return found.ok ? { kind: "done", gauging: found.value } : { kind: "fault", words: messageText(found.fault, system) };
}

/**
 * Discharge by timed floats, step by step: width, then depth and time at each place across; the sum and its error as it
 * grows.
 */
export function FloatDialog({ reach, onClose }: { reach: ReachRecord; onClose: () => void }) {
  const system = useSettings((settings) => settings.system);
  const form = useEntryForm(schemaIn(system), { width: "", bed: "0.06", places: [blank, blank, blank] });
  const places = useFieldArray({ control: form.control, name: "places" });
  const { save, fault } = useSave(onClose);
  const entries = useWatch({ control: form.control }) as Entries;
  const outcome = useMemo(() => measure(entries, system), [entries, system]);
  const keep = (gauging: FloatGauging) =>
    save(
      () =>
        addReading(database(), {
          station: null,
          reach: reach.id,
          at: new Date(clockNow()).toISOString(),
          kind: "discharge",
          value: gauging.discharge,
          error: gauging.error,
          how: `timed floats at ${gauging.panels.length} places`,
        }),
      `${showText(gauging.discharge, "discharge", system)} at ${reach.reach.name}, saved.`,
    );
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={`Flow at ${reach.reach.name}`}
      about="Choose a straight, even stretch. Measure the wet width. At several places across, measure the depth and time a float over a known distance, two or three times. Wade only where it is safe."
    >
      <div className="grid gap-4">
        <div className="grid grid-cols-2 gap-3">
          <FormField form={form} name="width" label="Wet width" />
          <FormSelect form={form} name="bed" label="Bottom" choices={BEDS} />
        </div>
        <ol className="grid gap-3">
          {places.fields.map(({ id }, k) => (
            <li
              key={id}
              className="grid grid-cols-2 items-end gap-2 border-t border-line pt-3 sm:grid-cols-[1fr_1fr_1fr_1.4fr_auto]"
            >
              <FormField form={form} name={`places.${k}.distance`} label={`${k + 1}. From the edge`} />
              <FormField form={form} name={`places.${k}.depth`} label="Depth" />
              <FormField form={form} name={`places.${k}.run`} label="Run" />
              <FormField form={form} name={`places.${k}.seconds`} label="Seconds, each pass" placeholder="14.2 13.8" />
              <button
                type="button"
                aria-label={`Remove place ${k + 1}`}
                disabled={places.fields.length <= 2}
                onClick={() => places.remove(k)}
                className="grid size-11 place-items-center rounded-md hover:bg-deep disabled:opacity-40"
              >
                <Trash2 size={18} aria-hidden />
              </button>
            </li>
          ))}
        </ol>
        <Button onClick={() => places.append(blank)}>
          <Plus size={18} aria-hidden />
          Add a place
        </Button>
        <OutcomeWords outcome={outcome} system={system} />
        {fault && <NotKept fault={fault} />}
        <Button
          tone="next"
          disabled={outcome.kind !== "done"}
          onClick={() => outcome.kind === "done" && act(() => keep(outcome.gauging))}
        >
          Save reading
        </Button>
      </div>
    </Dialog>
  );
}

function OutcomeWords({ outcome, system }: { outcome: Outcome; system: UnitSystem }) {
  return (
    <div aria-live="polite">
      {outcome.kind === "unfinished" && <p className="text-soft">{outcome.words}</p>}
      {outcome.kind === "fault" && <FaultNote message={outcome.words} />}
      {outcome.kind === "done" && (
        <p className="text-lg">
          <strong>{showText(outcome.gauging.discharge, "discharge", system)}</strong>, within about ±
          {figureText(outcome.gauging.error * 100, 0)} %. Mean speed{" "}
          {showText(outcome.gauging.meanSpeed, "speed", system)} over {showText(outcome.gauging.area, "area", system)}.{" "}
          <span className="text-sm text-soft">
            Surface speed is reduced to the mean by bed roughness. Mid-section method (ISO 748).
          </span>
        </p>
      )}
    </div>
  );
}
