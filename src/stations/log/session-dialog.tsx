"use client";
import { useWaterClocks } from "../../state/water-clocks";
import { z } from "zod";
import type { Session } from "../../core/book/records";
import { act } from "../../state/act";
import { clockNow } from "../../state/clock";
import { useFishes } from "../../state/use-fishes";
import { useSave } from "../../state/use-save";
import { differing } from "../../store/change";
import { database } from "../../store/database";
import { logCatch, patchSession, type SessionCorrected } from "../../store/sessions";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { FormField, FormSelect, useEntryForm } from "../../widgets/form";
import { endAfter, momentEntry, numberEntry, textEntry } from "../../words/entry";
import { dayAndTime, localMoment } from "../../words/river";
import { correctedWords } from "../../words/session";
import { CLOUD_CHOICES, skyOfChoices, UNSAID, WIND_CHOICES } from "../../words/sky";
import { EntryForm } from "../entry-form";
import { SessionParts } from "./session-parts";

const schemaOf = (start: number, end: number, zone: string | undefined) =>
  z
    .object({
      start: momentEntry(start, zone),
      end: momentEntry(end, zone),
      species: z.string(),
      rods: numberEntry({ low: 1, high: 6, beyond: "Enter 1 to 6 rods." }),
      notes: textEntry(2000),
      cloud: z.string(),
      wind: z.string(),
    })
    .transform((said) => ({ ...said, end: endAfter(said.start, said.end, zone) }))
    .check(({ value, issues }) => {
      const wrong =
        value.end < value.start
          ? "The end must not be before the start."
          : value.end > clockNow()
            ? "The end is in the future."
            : undefined;
      if (wrong) issues.push({ code: "custom", message: wrong, path: ["end"], input: value });
      if (!Number.isInteger(value.rods))
        issues.push({ code: "custom", message: "Enter a whole number of rods.", path: ["rods"], input: value });
    });

/** Everything of a past session, put right; one that was forgotten is closed where it ended. */
export function SessionDialog(props: { session: Session; onClose: () => void }) {
  const zone = useWaterClocks().ofReach(props.session.reach);
  // Its fields are of one clock from first to last.
  return <SessionForm key={zone} {...props} zone={zone} />;
}

function SessionForm({ session, zone, onClose }: { session: Session; zone: string | undefined; onClose: () => void }) {
  const { list } = useFishes();
  const [start, end] = [Date.parse(session.start), session.end === null ? clockNow() : Date.parse(session.end)];
  const entries = {
    start: localMoment(start, zone),
    end: localMoment(end, zone),
    species: session.species,
    rods: String(session.rods),
    notes: session.notes,
    cloud: session.sky?.cloud ?? UNSAID,
    wind: session.sky?.wind ?? UNSAID,
  };
  const schema = schemaOf(start, end, zone);
  const form = useEntryForm(schema, entries);
  const { save, fault } = useSave(onClose);
  const keep = form.handleSubmit((said) => {
    const { cloud, wind, ...changed } = differing(schema.parse(entries), said);
    let corrected: SessionCorrected | undefined;
    return save(
      async () => {
        corrected = await patchSession(database(), session, {
          ...changed,
          ...((cloud !== undefined || wind !== undefined) && { sky: skyOfChoices(said.cloud, said.wind) }),
          // A session that runs is ended by what is said here, touched or not.
          ...(session.end === null && { end: said.end }),
        });
        return corrected.undo;
      },
      () => correctedWords(corrected!),
    );
  });
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={`Session of ${dayAndTime(session.start, undefined, zone)}`}
      about="If you change the times, flow, trend, clarity and temperature are taken from the gauge again."
    >
      <EntryForm
        onSubmit={keep}
        fault={fault}
        keep="Save"
        more={
          <Button
            onClick={() =>
              act(() =>
                save(
                  async () => (await logCatch(database(), session, {}, end)).undo,
                  "Fish added. Press it to add details.",
                ),
              )
            }
          >
            Add a fish
          </Button>
        }
      >
        <div className="grid gap-3 sm:grid-cols-2">
          <FormField form={form} name="start" label="From" type="datetime-local" />
          <FormField form={form} name="end" label="To" type="datetime-local" />
          <FormSelect
            form={form}
            name="species"
            label="After"
            choices={list.map((one) => ({ value: one.id, label: one.name }))}
          />
          <FormField form={form} name="rods" label="Rods" inputMode="numeric" />
          <FormSelect form={form} name="cloud" label="Sky" choices={CLOUD_CHOICES} />
          <FormSelect form={form} name="wind" label="Wind" choices={WIND_CHOICES} />
          <FormField form={form} name="notes" label="Notes" maxLength={2000} className="sm:col-span-2" />
        </div>
      </EntryForm>
      <SessionParts session={session} zone={zone} />
    </Dialog>
  );
}
