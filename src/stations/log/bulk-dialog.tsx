"use client";
import { z } from "zod";
import { act } from "../../state/act";
import { useFishes } from "../../state/use-fishes";
import { useSave } from "../../state/use-save";
import { database } from "../../store/database";
import { patchCatches, removeCatches } from "../../store/sessions";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { FormField, FormSelect, useEntryForm } from "../../widgets/form";
import { textEntry } from "../../words/entry";
import { count } from "../../words/text";
import { EntryForm } from "../entry-form";

const AS_IT_IS = "as-it-is";
const schema = z.object({ species: z.string(), lie: textEntry(120), lure: textEntry(120), angler: textEntry(60) });

/** Many fish put right at once: what is left empty stays as it is. */
export function BulkDialog({ ids, onClose }: { ids: readonly string[]; onClose: () => void }) {
  const { list } = useFishes();
  const form = useEntryForm(schema, { species: AS_IT_IS, lie: "", lure: "", angler: "" });
  const { save, fault } = useSave(onClose);
  const many = count(ids.length, "fish", "fish");
  const keep = form.handleSubmit(({ species, lie, lure, angler }) =>
    save(
      () =>
        patchCatches(database(), ids, {
          ...(species !== AS_IT_IS && { species }),
          ...(lie && { lie }),
          ...(lure && { lure }),
          ...(angler && { angler }),
        }),
      `${many} updated.`,
    ),
  );
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={`Edit ${many} together`}
      about="Empty fields stay unchanged."
    >
      <EntryForm
        onSubmit={keep}
        fault={fault}
        keep="Save"
        more={
          <Button onClick={() => act(() => save(() => removeCatches(database(), ids), `${many} deleted.`))}>
            Remove {many}
          </Button>
        }
      >
        <div className="grid gap-3 sm:grid-cols-2">
          <FormSelect
            form={form}
            name="species"
            label="Fish"
            choices={[
              { value: AS_IT_IS, label: "unchanged" },
              ...list.map((one) => ({ value: one.id, label: one.name })),
            ]}
          />
          <FormField form={form} name="lie" label="Spot" maxLength={120} />
          <FormField form={form} name="lure" label="Lure or bait" maxLength={120} />
          <FormField form={form} name="angler" label="Angler" maxLength={60} />
        </div>
      </EntryForm>
    </Dialog>
  );
}
