"use client";
import { useState } from "react";
import type { ReachRecord, StationRecord, WaterRecord } from "../../core/book/records";
import type { FishesWell } from "../../core/gauge/band";
import { useSettings } from "../../state/settings";
import { useSave } from "../../state/use-save";
import { database } from "../../store/database";
import { keepWater } from "../../store/gauges";
import { FormArea, FormField, useEntryForm } from "../../widgets/form";
import { Dialog } from "../../widgets/dialog";
import { EntryForm } from "../entry-form";
import { BandEditor } from "./band-editor";
import { knowledgeOf, PAIRS_HEADER, ratingWords, waterEntries, waterSchema } from "./water-entries";

/**
 * What the angler knows of a water beyond its gauge: height, dam, full pool, tide, rating, and where it fishes well.
 */
export function WaterDialog({
  station,
  water,
  reach,
  onClose,
}: {
  station: StationRecord;
  water: WaterRecord;
  reach: ReachRecord | undefined;
  onClose: () => void;
}) {
  const system = useSettings((settings) => settings.system);
  const form = useEntryForm(waterSchema(system), waterEntries(station, water, reach, system));
  const { dirtyFields } = form.formState;
  const [bands, setBands] = useState<FishesWell[] | undefined>();
  const { save, fault, busy } = useSave(onClose);
  const keep = form.handleSubmit((values) => {
    const known = knowledgeOf(values, new Set(Object.keys(dirtyFields)), bands);
    return save(() => keepWater(database(), station.id, reach?.id, known), `Settings of ${station.name} saved.`);
  });
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={`Water settings: ${station.name}`}
      about="All fields are optional."
    >
      <EntryForm onSubmit={keep} fault={fault} busy={busy} keep="Save">
        <div className="grid gap-3 sm:grid-cols-2">
          <FormField
            form={form}
            name="latitude"
            label="Latitude of the gauge"
            inputMode="decimal"
            hint="For the light"
          />
          <FormField form={form} name="longitude" label="Longitude" inputMode="decimal" hint="West below 0" />
          <FormField form={form} name="altitude" label="Altitude" hint="For oxygen at saturation" />
          <FormField
            form={form}
            name="damNote"
            label="Dam upstream: how it releases"
            maxLength={500}
            hint={`Shown as a caution, such as “siren, then up ${system === "us" ? "3 ft" : "1 m"} in ten minutes”`}
          />
          <FormField form={form} name="fullPool" label="Full pool, on the gauge’s datum" hint="Reservoirs only" />
          <FormField form={form} name="oneIn" label="Shore slope, one in" inputMode="decimal" hint="Such as 10" />
        </div>
        <BandEditor bands={bands ?? water.bands} system={system} onChange={setBands} />
        <FormArea
          form={form}
          name="pairs"
          label="Rating: measured stage and discharge, one pair a line"
          placeholder={`${PAIRS_HEADER[system]}\n${system === "us" ? "1.38, 67" : "0.42, 1.9"}`}
          hint={ratingWords(form.watch("pairs"), system)}
        />
        {reach && (
          <div className="grid gap-3 sm:grid-cols-2">
            <FormField
              form={form}
              name="areaRatio"
              label={`Catchment of ${reach.reach.name} over the gauge’s`}
              inputMode="decimal"
              hint="Such as 0.4. Leave empty if the gauge is on the reach"
            />
            <FormField
              form={form}
              name="lag"
              label="Hours from the gauge to the reach"
              inputMode="decimal"
              hint="Below 0 if the reach is upstream"
            />
            <FormField
              form={form}
              name="distance"
              label="Or the distance along the river to it"
              hint={`Such as ${system === "us" ? "20000 ft" : "6000 m"}`}
            />
            <FormField
              form={form}
              name="speed"
              label="Mean speed of the water"
              hint="A rise travels at 5/3 of it (kinematic wave)"
            />
          </div>
        )}
        <FormArea
          form={form}
          name="tide"
          label="Tide: constituents, one a line"
          placeholder={system === "us" ? "M2 3.94 145\nS2 1.31 190" : "M2 1.20 145\nS2 0.40 190"}
          hint={`Name, amplitude in ${system === "us" ? "feet" : "metres"}, phase in degrees against UTC. Not for navigation.`}
        />
      </EntryForm>
    </Dialog>
  );
}
