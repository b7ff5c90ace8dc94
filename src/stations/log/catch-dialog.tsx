"use client";
import { z } from "zod";
import type { Catch } from "../../core/book/records";
import { act } from "../../state/act";
import { useSettings } from "../../state/settings";
import { useFishes } from "../../state/use-fishes";
import { useSave } from "../../state/use-save";
import { database } from "../../store/database";
import { patchCatch, removeCatch } from "../../store/sessions";
import { EntryForm } from "../entry-form";
import { FormField, useEntryForm } from "../../widgets/form";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { optional, quantityEntry, textEntry } from "../../words/entry";
import { entryText, entryUnit, rangeText, type UnitSystem } from "../../words/quantity";
import { dayAndTime, stateWords } from "../../words/river";

const schemaIn = (system: UnitSystem) =>
  z.object({
    length: optional(
      quantityEntry("length", entryUnit("fishLength", system), {
        low: 0,
        open: true,
        high: 3.99,
        beyond: rangeText(0, 3.99, "fishLength", system),
      }),
    ),
    lie: textEntry(120),
    lure: textEntry(120),
    notes: textEntry(2000),
  });

/** The rest of a catch, filled in when there is time. */
export function CatchDialog({ fish, onClose }: { fish: Catch; onClose: () => void }) {
  const system = useSettings((settings) => settings.system);
  const { nameOf } = useFishes();
  const form = useEntryForm(schemaIn(system), {
    length: fish.length === null ? "" : entryText(fish.length, "fishLength", system),
    lie: fish.lie,
    lure: fish.lure,
    notes: fish.notes,
  });
  const { save, fault } = useSave(onClose);
  const { river } = fish;
  const keep = form.handleSubmit((fields) => save(() => patchCatch(database(), fish.id, fields), "The catch is kept."));
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={`${nameOf(fish.species)}, ${dayAndTime(fish.at)}`}
      about={river ? `From the gauge: ${stateWords(river, system)}.` : "No gauge reading at that time."}
    >
      <EntryForm
        onSubmit={keep}
        fault={fault}
        keep="Keep"
        more={
          <Button
            onClick={() => act(() => save(() => removeCatch(database(), fish.id), "The catch is out of the book."))}
          >
            Remove this catch
          </Button>
        }
      >
        <div className="grid gap-3 sm:grid-cols-2">
          <FormField form={form} name="length" label="Length" hint={`Such as ${system === "us" ? "14 in" : "36 cm"}`} />
          <FormField form={form} name="lure" label="Lure or bait" maxLength={120} />
          <FormField form={form} name="lie" label="Where it took" maxLength={120} className="sm:col-span-2" />
          <FormField form={form} name="notes" label="Notes" maxLength={2000} className="sm:col-span-2" />
        </div>
      </EntryForm>
    </Dialog>
  );
}
