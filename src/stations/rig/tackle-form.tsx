"use client";
import type { UseFormReturn } from "react-hook-form";
import type { OwnTackle } from "../../scenario/rig";
import { SHOTTINGS } from "../../core/rig/shot";
import { FormField, FormSelect } from "../../widgets/form";
import { Panel } from "../../widgets/panel";
import { AUTO, METALS, type TackleEntries } from "./tackle";

/** The angler's own tackle. */
export function TackleForm({ form }: { form: UseFormReturn<TackleEntries, unknown, OwnTackle> }) {
  return (
    <Panel title="Your tackle" className="mt-5">
      <div className="grid grid-cols-2 items-start gap-3 sm:grid-cols-5">
        <FormField form={form} name="capacity" label="Float carries" placeholder={AUTO} />
        <FormField form={form} name="line" label="Line" />
        <FormField form={form} name="leader" label="Leader" />
        <FormSelect
          form={form}
          name="metal"
          label="Shot of"
          choices={METALS.map((value) => ({ value, label: value }))}
        />
        <FormSelect
          form={form}
          name="shotting"
          label="Shotting"
          choices={[AUTO, ...SHOTTINGS].map((value) => ({ value, label: value }))}
        />
      </div>
    </Panel>
  );
}
