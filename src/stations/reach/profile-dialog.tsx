"use client";
import { useState } from "react";
import { act } from "../../state/act";
import { useSettings } from "../../state/settings";
import type { Fish } from "../../state/use-fishes";
import { useSave } from "../../state/use-save";
import { database } from "../../store/database";
import { newId } from "../../store/identity";
import { keepProfile, removeProfile } from "../../store/profiles";
import { EntryForm } from "../entry-form";
import { FormField, useEntryForm } from "../../widgets/form";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { Source } from "../../widgets/figure";
import { entriesOf, entryLabel, entryTextOf, fieldName, profileSchemaFor } from "./profile-entries";

/** Copies a fish and changes it, or changes an own profile: every figure that the models use. */
export function ProfileDialog({ fish, onClose }: { fish: Fish; onClose: () => void }) {
  const { system, set } = useSettings();
  const entries = entriesOf(fish.species);
  const [id] = useState(() => fish.profile?.id ?? newId());
  const form = useEntryForm(
    profileSchemaFor(fish.species, { id, source: `Your own profile, based on ${fish.name}` }, system),
    Object.fromEntries(
      entries.map((entry) => [
        fieldName(entry),
        entry.path === "name"
          ? fish.profile
            ? fish.name
            : `${fish.name}, mine`
          : entryTextOf(fish.species, entry, system),
      ]),
    ),
  );
  const { save, fault } = useSave(onClose);
  const keep = form.handleSubmit((species) =>
    save(
      async () => {
        const undo = await keepProfile(database(), fish.base, species as Fish["species"]);
        set({ species: id });
        return undo;
      },
      `“${String((species as Fish["species"]).name)}” saved.`,
      () => !fish.profile && set({ species: fish.base }),
    ),
  );
  const remove = () =>
    save(
      async () => {
        const undo = await removeProfile(database(), id);
        set({ species: fish.base });
        return undo;
      },
      `“${fish.name}” deleted.`,
      () => set({ species: id }),
    );
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={fish.profile ? `Edit “${fish.name}”` : `Copy ${fish.name.toLowerCase()} and change it`}
      about={fish.profile ? "Your own profile." : "The built-in profile stays unchanged."}
    >
      <EntryForm
        onSubmit={keep}
        fault={fault}
        keep="Save"
        more={fish.profile && <Button onClick={() => act(remove)}>Delete this profile</Button>}
      >
        <p className="flex items-center gap-1 text-sm text-soft">
          Its figures <Source of="Its figures">{`${fish.species.source}.`}</Source>
        </p>
        <div className="grid gap-3 sm:grid-cols-2">
          {entries.map((entry) => (
            <FormField
              key={entry.path}
              form={form}
              name={fieldName(entry)}
              label={entryLabel(entry, system)}
              hint={entry.hint}
              inputMode={entry.kind === "number" ? "decimal" : undefined}
              maxLength={entry.kind === "text" ? 60 : 400}
              className={entry.kind === "curve" ? "sm:col-span-2" : ""}
            />
          ))}
        </div>
      </EntryForm>
    </Dialog>
  );
}
