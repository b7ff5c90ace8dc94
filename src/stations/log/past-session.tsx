"use client";
import { useWaterClocks, type WaterClocks } from "../../state/water-clocks";
import { choicesOf } from "../../words/text";
import { z } from "zod";
import { HOUR } from "../../core/gauge/series";
import { clockNow } from "../../state/clock";
import { useSettings } from "../../state/settings";
import { useSave } from "../../state/use-save";
import type { River } from "../../state/use-river";
import { database } from "../../store/database";
import { addPastSession } from "../../store/sessions";
import { useState } from "react";
import { overlapping } from "../../core/book/clashes";
import { Ask, EntryForm } from "../entry-form";
import { FormField, FormSelect, useEntryForm } from "../../widgets/form";
import { Dialog } from "../../widgets/dialog";
import { endAfter, momentEntry } from "../../words/entry";
import { dayAndTime, localMoment } from "../../words/river";

/** Its times are those of the clock of the reach that is chosen. */
const schemaFor = ({ ofReach }: WaterClocks) =>
  z
    .object({ start: z.string(), end: z.string(), reach: z.string() })
    .transform(({ reach, ...said }, context) => {
      const zone = ofReach(reach);
      const read = (name: "start" | "end") => {
        const { data, error } = momentEntry(undefined, zone).safeParse(said[name]);
        if (error) context.addIssue({ code: "custom", message: error.issues[0]!.message, path: [name] });
        return data ?? NaN;
      };
      const [start, end] = [read("start"), read("end")];
      return Number.isNaN(start + end) ? z.NEVER : { reach, start, end: endAfter(start, end, zone) };
    })
    .check(({ value, issues }) => {
      const { start, end } = value;
      const wrong =
        end <= start
          ? "The end must come after the start."
          : end > clockNow()
            ? "The end is in the future."
            : end - start > 48 * HOUR
              ? "Longer than two days. Log each day as its own session."
              : undefined;
      if (wrong) issues.push({ code: "custom", message: wrong, path: ["end"], input: value });
    });

/** A session already over, with its true times: a blank counts as much as a fish. */
export function PastSession(props: { river: River; onClose: () => void }) {
  const clocks = useWaterClocks();
  const { river } = props;
  const here = river.reach?.id ?? river.reaches[0]?.id ?? "";
  // Its fields are of one clock from first to last.
  return <PastForm key={clocks.ofReach(here)} {...props} here={here} clocks={clocks} />;
}

function PastForm({
  river,
  here,
  clocks,
  onClose,
}: {
  river: River;
  here: string;
  clocks: WaterClocks;
  onClose: () => void;
}) {
  const species = useSettings((settings) => settings.species);
  const now = clockNow();
  const form = useEntryForm(schemaFor(clocks), {
    start: localMoment(now - 3 * HOUR, clocks.ofReach(here)),
    end: localMoment(now - HOUR, clocks.ofReach(here)),
    reach: here,
  });
  const { save, fault } = useSave(onClose);
  const [clash, setClash] = useState<{ of: string; text: string } | undefined>();
  const keep = form.handleSubmit(async ({ reach, start, end }) => {
    const [other] = overlapping(await database().sessions.toArray(), { start, end });
    const of = `${start} ${end}`;
    if (other && clash?.of !== of)
      return setClash({
        of,
        text: `This overlaps your session of ${dayAndTime(other.start, now, clocks.ofReach(other.reach))}. Save it anyway?`,
      });
    return save(() => addPastSession(database(), { reach, species, rods: 1, notes: "", start, end }), "Session saved.");
  });
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title="Log a past session"
      about="Flow, trend, clarity and temperature come from the gauge."
    >
      <EntryForm onSubmit={keep} fault={fault} keep={clash ? "Save anyway" : "Save session"}>
        {clash && <Ask text={clash.text} />}
        <div className="grid gap-3 sm:grid-cols-2">
          <FormField form={form} name="start" label="From" type="datetime-local" />
          <FormField form={form} name="end" label="To" type="datetime-local" />
          <FormSelect
            form={form}
            name="reach"
            label="Reach"
            choices={choicesOf(
              river.reaches,
              (one) => one.id,
              (one) => one.reach.name,
            )}
          />
        </div>
      </EntryForm>
    </Dialog>
  );
}
