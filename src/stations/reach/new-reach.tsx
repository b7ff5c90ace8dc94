"use client";
import Link from "next/link";
import type { UseFormReturn } from "react-hook-form";
import { z } from "zod";
import type { StationRecord } from "../../core/book/records";
import { readReach } from "../../core/flow/reach";
import type { Reach, Template } from "../../core/flow/reach-schema";
import { TEMPLATES } from "../../core/flow/template-waters";
import { act } from "../../state/act";
import { useSettings } from "../../state/settings";
import { useSave } from "../../state/use-save";
import { database } from "../../store/database";
import { newId } from "../../store/identity";
import { addReach, removeReach } from "../../store/reaches";
import { PickFile } from "../../widgets/file-field";
import { EntryForm } from "../entry-form";
import { FormField, FormSelect, useEntryForm } from "../../widgets/form";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { numberEntry, quantityEntry, textEntry } from "../../words/entry";
import { entryText, entryUnit, type UnitSystem } from "../../words/quantity";
import { BedSketch } from "./bed-sketch";
import { gaugeChoices, NONE } from "./gauge-choices";
import { startingFeatures } from "./starting-features";
import { fallLabel, MEASURES } from "./template-measures";
import { WATERS } from "./waters";

/** A reach to begin with, m. Common practice, no source. */
const START = { length: 120, width: 20, poolDepth: 1.4, wiggle: 3 };

const schemaIn = (system: UnitSystem) => {
  const distance = quantityEntry("length", entryUnit("distance", system));
  return z.object({
    name: textEntry(120),
    water: z.enum(TEMPLATES),
    length: distance,
    width: distance,
    poolDepth: quantityEntry("length", entryUnit("depth", system)),
    wiggle: distance,
    slope: numberEntry({ low: 0, open: true, high: 50, beyond: "Enter a number above 0, up to 50." }),
    stones: z.string().transform(Number),
    jam: z.enum([NONE, "left", "right"]),
    station: z.string(),
  });
};
type Entries = z.output<ReturnType<typeof schemaIn>>;

/** The reach that the entries describe. */
function reachOf(entries: Entries): Reach & { bed: Template } {
  const { length, width, poolDepth, wiggle } = entries;
  const slope = entries.slope / 1000;
  const bed = {
    kind: "template",
    template: entries.water,
    length,
    width,
    poolDepth,
    slope,
    wiggle,
    cell: 0.5,
  } as const;
  return {
    schema: "low-heron/reach@1",
    id: newId(),
    name: entries.name || "My reach",
    bed,
    roughness: 0.035,
    downstream: { kind: "normal", slope },
    features: startingFeatures(bed, entries.stones, entries.jam === NONE ? undefined : entries.jam),
  };
}

interface NewReachProps {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  stations: readonly StationRecord[];
  onSoundings: () => void;
}

/** A new reach: a kind of water shaped by a few measures, or a reach file with its own bed. */
export function NewReach(props: NewReachProps) {
  return (
    <Dialog
      open={props.open}
      onOpenChange={props.onOpenChange}
      title="Add a reach"
      about="Choose a kind of water and give a few measures. Add and move stones, logs and walls on the plan afterwards."
    >
      <Making {...props} />
    </Dialog>
  );
}

function Making({ onOpenChange, stations, onSoundings }: NewReachProps) {
  const { system, set } = useSettings();
  const form = useEntryForm(schemaIn(system), {
    name: "",
    water: "riffle-run-pool",
    length: entryText(START.length, "distance", system),
    width: entryText(START.width, "distance", system),
    poolDepth: entryText(START.poolDepth, "depth", system),
    wiggle: entryText(START.wiggle, "distance", system),
    slope: "3",
    stones: "3",
    jam: "left",
    station: stations[0]?.id ?? NONE,
  });
  const { save, fault } = useSave(() => onOpenChange(false));
  const keep = (make: () => Promise<Reach> | Reach, station: string) => {
    let name = "";
    return save(
      async () => {
        const record = await addReach(database(), await make(), station === NONE ? null : station);
        name = record.reach.name;
        set({ reach: record.id, station: null, flow: null, lie: null });
        return async () => {
          await removeReach(database(), record.id);
        };
      },
      () => `${name} saved.`,
    );
  };
  const submit = form.handleSubmit((entries) => keep(() => reachOf(entries), entries.station));
  return (
    <EntryForm
      onSubmit={submit}
      fault={fault}
      keep="Add reach"
      more={
        <span className="flex flex-1 flex-wrap gap-2">
          <PickFile
            label="Reach file"
            accept=".json"
            onFile={(file) => {
              const station = form.getValues("station");
              act(() => keep(async () => readReach(await file.text(), file.name), station));
            }}
          >
            Open a reach file instead
          </PickFile>
          <Button onClick={onSoundings}>From soundings</Button>
          <Link
            href="/reach/draw"
            onClick={() => onOpenChange(false)}
            className="inline-flex min-h-11 items-center rounded-md border border-edge px-4 font-semibold hover:bg-deep"
          >
            Draw on a picture
          </Link>
          <Link
            href="/reach/film"
            onClick={() => onOpenChange(false)}
            className="inline-flex min-h-11 items-center rounded-md border border-edge px-4 font-semibold hover:bg-deep"
          >
            Film the water
          </Link>
        </span>
      }
    >
      <Measures form={form} stations={stations} />
    </EntryForm>
  );
}

function Measures({
  form,
  stations,
}: {
  form: UseFormReturn<z.input<ReturnType<typeof schemaIn>>, unknown, Entries>;
  stations: readonly StationRecord[];
}) {
  const system = useSettings((settings) => settings.system);
  const typed = schemaIn(system).safeParse(form.watch());
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <FormField form={form} name="name" label="Name" className="sm:col-span-2" maxLength={120} />
      <FormSelect
        form={form}
        name="water"
        label="Kind of water"
        className="sm:col-span-2"
        choices={TEMPLATES.map((value) => ({ value, label: WATERS[value] }))}
      />
      {typed.success && (
        <div className="sm:col-span-2">
          <BedSketch reach={reachOf(typed.data)} />
        </div>
      )}
      {(Object.keys(MEASURES) as (keyof typeof MEASURES)[]).map((key) => (
        <FormField key={key} form={form} name={key} label={MEASURES[key]} />
      ))}
      <FormField
        form={form}
        name="slope"
        label={fallLabel(system)}
        inputMode="decimal"
        hint="1 lazy, 3 usual, 8 steep"
      />
      <FormSelect
        form={form}
        name="stones"
        label="Large stones"
        choices={["0", "1", "2", "3", "4", "5"].map((value) => ({ value, label: value }))}
      />
      <FormSelect
        form={form}
        name="jam"
        label="Log jam"
        choices={[
          { value: NONE, label: "None" },
          { value: "left", label: "On the left bank" },
          { value: "right", label: "On the right bank" },
        ]}
      />
      <FormSelect form={form} name="station" label="Gauge" choices={gaugeChoices(stations)} />
    </div>
  );
}
