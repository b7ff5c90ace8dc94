"use client";
import { useState } from "react";
import { z } from "zod";
import { useWatch } from "react-hook-form";
import { OBSERVATIONS, type ObservationKind, type EffortInterval } from "../../core/book/bank-records";
import { clockNow } from "../../state/clock";
import type { Bank } from "../../state/use-bank";
import { useSave } from "../../state/use-save";
import { soundedNow } from "../../state/use-sounder";
import { observe } from "../../store/bank";
import { database } from "../../store/database";
import { Dialog } from "../../widgets/dialog";
import { FormArea, FormField, FormSelect, useEntryForm } from "../../widgets/form";
import { momentEntry, numberEntry, optional, textEntry } from "../../words/entry";
import { localMoment } from "../../words/river";
import { OBSERVATION_WORDS } from "../../words/session";
import { capital } from "../../words/text";
import { EntryForm } from "../entry-form";

/** What is noted by hand; the others note themselves. */
const KINDS = [
  "seen",
  "bait-fish",
  "under-stones",
  "others",
  "mark",
  "bite",
  "follow",
] as const satisfies readonly ObservationKind[];

const whole = optional(numberEntry({ low: 0, high: 100_000, beyond: "Enter 0 to 100 000." }));
const schemaAt = (now: number) =>
  z.object({
    kind: z.enum(OBSERVATIONS),
    at: momentEntry(now),
    count: whole,
    withFish: whole,
    notes: textEntry(2000),
  });

/**
 * An observation of its own: fish seen, bait fish, what was under the stones, what others caught, a place to find
 * again.
 */
export function NoteDialog({
  bank,
  rod,
  casts,
  onClose,
}: {
  bank: Bank;
  rod: EffortInterval | undefined;
  casts: number;
  onClose: () => void;
}) {
  const [now] = useState(clockNow);
  const form = useEntryForm(schemaAt(now), {
    kind: "seen",
    at: localMoment(now),
    count: "",
    withFish: "",
    notes: "",
  });
  const { save, fault } = useSave(onClose);
  const kind = useWatch({ control: form.control, name: "kind" });
  const keep = form.handleSubmit(({ kind, at, count, withFish, notes }) => {
    const sounded = soundedNow();
    return save(
      () =>
        observe(
          database(),
          bank.session,
          kind,
          {
            stretch: rod?.id ?? null,
            lie: rod?.lie ?? "",
            place: rod?.place ?? null,
            notes,
            ...(count !== null
              ? { count: Math.round(count) }
              : (kind === "bite" || kind === "follow") && { count: casts }),
            ...(withFish !== null && { withFish: Math.round(withFish) }),
            ...(sounded && { sounded }),
          },
          at,
        ),
      "Note saved.",
    );
  });
  return (
    <Dialog open onOpenChange={(to) => !to && onClose()} title="Add a note">
      <EntryForm onSubmit={keep} fault={fault} keep="Save">
        <div className="grid gap-3 sm:grid-cols-2">
          <FormSelect
            form={form}
            name="kind"
            label="Kind of note"
            choices={KINDS.map((value) => ({ value, label: capital(OBSERVATION_WORDS[value]) }))}
          />
          <FormField form={form} name="at" label="Time" type="datetime-local" />
          {kind !== "under-stones" && kind !== "mark" && (
            <FormField
              form={form}
              name="count"
              label={kind === "others" ? "Boats or anglers seen" : "How many"}
              inputMode="numeric"
            />
          )}
          {kind === "others" && <FormField form={form} name="withFish" label="With fish" inputMode="numeric" />}
        </div>
        <FormArea
          form={form}
          name="notes"
          label={kind === "mark" ? "What is there" : "What was seen"}
          className="mt-3"
        />
      </EntryForm>
    </Dialog>
  );
}
