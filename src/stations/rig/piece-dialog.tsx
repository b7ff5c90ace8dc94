"use client";
import { useState } from "react";
import { TACKLE_KINDS, type TackleItem, type TackleKind } from "../../core/rig/tackle-item";
import { act } from "../../state/act";
import { useSettings } from "../../state/settings";
import { useSave } from "../../state/use-save";
import { database } from "../../store/database";
import { addPiece, changePiece, removePiece } from "../../store/tackle";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { FormField, FormSelect, useEntryForm } from "../../widgets/form";
import { capital } from "../../words/text";
import { baitName } from "../../words/baits";
import { KIND_NAMES, MEASURE_NAMES } from "../../words/tackle";
import { EntryForm } from "../entry-form";
import { DROPPED, measuresOf, METALS, pieceEntries, pieceSchema, WORDED } from "./piece-entries";

/** A piece of tackle: put into the box, changed, or taken out. */
export function PieceDialog({ item, onClose }: { item: TackleItem | undefined; onClose: () => void }) {
  const system = useSettings((settings) => settings.system);
  const [kind, setKind] = useState<TackleKind>(item?.kind ?? "head");
  const form = useEntryForm(pieceSchema(system, item), pieceEntries(item, kind, system));
  const { save, fault } = useSave(onClose);
  const keep = form.handleSubmit((draft) =>
    save(
      () => (item ? changePiece(database(), item, draft) : addPiece(database(), draft)),
      `${capital(draft.name)} added to the box.`,
    ),
  );
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={item ? `Edit ${item.name}` : "Add tackle"}
      about="Any unit will do: 1/8 oz, 3.5 g, 12 ft, 0.2 mm."
    >
      <EntryForm
        onSubmit={keep}
        fault={fault}
        keep="Save"
        more={
          item && (
            <Button
              onClick={() =>
                act(() => save(() => removePiece(database(), item.id), `${capital(item.name)} deleted from the box.`))
              }
            >
              Delete
            </Button>
          )
        }
      >
        <div className="grid gap-3 sm:grid-cols-2">
          <FormSelect
            form={form}
            name="kind"
            label="Kind"
            choices={TACKLE_KINDS.map((value) => ({ value, label: KIND_NAMES[value] }))}
            onPick={(value) => setKind(value as TackleKind)}
          />
          <FormField form={form} name="name" label="Name" maxLength={60} />
          {measuresOf(kind).map((name) => (
            <FormField key={name} form={form} name={name} label={MEASURE_NAMES[name]} />
          ))}
          {WORDED.filter(({ kinds }) => kinds.includes(kind)).map(({ name, label, values }) => (
            <FormSelect
              key={name}
              form={form}
              name={name}
              label={label}
              choices={values.map((value) => ({ value, label: name === "bait" ? baitName(value) : value }))}
            />
          ))}
          <FormField form={form} name="count" label="How many (optional)" inputMode="numeric" />
        </div>
        {DROPPED.includes(kind) && (
          <fieldset className="grid gap-3 border-t border-line pt-3 sm:grid-cols-2">
            <legend className="text-sm text-soft">Time one drop to set its sink rate</legend>
            <FormField form={form} name="dropGrams" label={kind === "body" ? "With a head of" : "Its weight"} />
            <FormSelect
              form={form}
              name="dropMetal"
              label="Material"
              choices={METALS.map((value) => ({ value, label: value }))}
            />
            <FormField form={form} name="dropDepth" label="It fell" />
            <FormField form={form} name="dropSeconds" label="In seconds" inputMode="decimal" />
          </fieldset>
        )}
      </EntryForm>
    </Dialog>
  );
}
