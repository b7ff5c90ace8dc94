"use client";
import { z } from "zod";
import { BANKS, EVERY_FISH, type RuleRecord } from "../../core/book/bank-records";
import { act } from "../../state/act";
import { clockNow } from "../../state/clock";
import { useSettings } from "../../state/settings";
import { useFishes } from "../../state/use-fishes";
import type { River } from "../../state/use-river";
import { useSave } from "../../state/use-save";
import { database } from "../../store/database";
import { addRule, changeRule, removeRule, type RuleDraft } from "../../store/rules";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { FormArea, FormField, FormSelect, useEntryForm } from "../../widgets/form";
import { numberEntry, optional, textEntry } from "../../words/entry";
import { entryText, type UnitSystem } from "../../words/quantity";
import { choicesOf } from "../../words/text";
import { sizeEntry } from "./catch-entries";
import { EntryForm } from "../entry-form";

const EVERY_WATER = "every";
const YES_NO = [
  { value: "no", label: "no" },
  { value: "yes", label: "yes" },
];
const DAY = /^(\d{4}-)?(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;
const dayEntry = z
  .string()
  .trim()
  .refine((text) => text === "" || DAY.test(text), "Enter a date such as 04-15 or 2026-04-15.");

const schemaFor = (system: UnitSystem) => {
  const length = sizeEntry("fishLength", "length", 3.99, system);
  const whole = (high: number) => optional(numberEntry({ low: 0, high, beyond: `From 0 to ${high}.` }));
  return z
    .object({
      reach: z.string(),
      bank: z.enum(BANKS),
      species: z.string(),
      openFrom: dayEntry,
      openTo: dayEntry,
      minLength: length,
      maxLength: length,
      slotFrom: length,
      slotTo: length,
      bag: whole(1000),
      possession: whole(1000),
      clippedOnly: z.enum(["yes", "no"]),
      rods: optional(numberEntry({ low: 1, high: 6, beyond: "From 1 to 6." })),
      hooks: textEntry(200),
      bait: textEntry(200),
      notes: textEntry(2000),
      expires: z.string().refine((text) => text === "" || /^\d{4}-\d{2}-\d{2}$/.test(text), "A date."),
    })
    .check(({ value, issues }) => {
      const pair = (a: unknown, b: unknown, path: string) => {
        if (Boolean(a) !== Boolean(b))
          issues.push({ code: "custom", message: "Enter both or neither.", path: [path], input: value });
      };
      pair(value.openFrom, value.openTo, "openTo");
      pair(value.slotFrom, value.slotTo, "slotTo");
    })
    .transform((entry): Omit<RuleDraft, "entered"> => ({
      reach: entry.reach === EVERY_WATER ? null : entry.reach,
      bank: entry.bank,
      species: entry.species,
      open: entry.openFrom ? { from: entry.openFrom, to: entry.openTo } : undefined,
      minLength: entry.minLength ?? undefined,
      maxLength: entry.maxLength ?? undefined,
      slot: entry.slotFrom && entry.slotTo ? { from: entry.slotFrom, to: entry.slotTo } : undefined,
      bag: entry.bag === null ? undefined : Math.round(entry.bag),
      possession: entry.possession === null ? undefined : Math.round(entry.possession),
      clippedOnly: entry.clippedOnly === "yes" || undefined,
      rods: entry.rods === null ? undefined : Math.round(entry.rods),
      hooks: entry.hooks,
      bait: entry.bait,
      notes: entry.notes,
      expires: entry.expires || null,
    }));
};

/** A rule with nothing entered. */
const blank = (river: River, species: string): Omit<RuleRecord, "schema" | "id" | "updatedAt"> => ({
  reach: river.reach?.id ?? null,
  bank: "both",
  species,
  hooks: "",
  bait: "",
  notes: "",
  entered: "",
  expires: null,
});

function entriesOf(rule: Omit<RuleRecord, "schema" | "id" | "updatedAt">, system: UnitSystem) {
  const long = (metres: number | undefined) => (metres === undefined ? "" : entryText(metres, "fishLength", system));
  const whole = (n: number | undefined) => (n === undefined ? "" : String(n));
  const { open, slot } = rule;
  return {
    reach: rule.reach ?? EVERY_WATER,
    bank: rule.bank,
    species: rule.species,
    openFrom: open?.from ?? "",
    openTo: open?.to ?? "",
    minLength: long(rule.minLength),
    maxLength: long(rule.maxLength),
    slotFrom: long(slot?.from),
    slotTo: long(slot?.to),
    bag: whole(rule.bag),
    possession: whole(rule.possession),
    clippedOnly: rule.clippedOnly ? ("yes" as const) : ("no" as const),
    rods: whole(rule.rods),
    hooks: rule.hooks,
    bait: rule.bait,
    notes: rule.notes,
    expires: rule.expires ?? "",
  };
}

/** A rule as it stands on the notice of a water; kept again, it counts as read today. */
export function RuleDialog({
  rule,
  river,
  onClose,
}: {
  rule: RuleRecord | undefined;
  river: River;
  onClose: () => void;
}) {
  const { system, species } = useSettings();
  const { list } = useFishes();
  const form = useEntryForm(schemaFor(system), entriesOf(rule ?? blank(river, species), system));
  const { save, fault } = useSave(onClose);
  const keep = form.handleSubmit((draft) => {
    const whole = { ...draft, entered: new Date(clockNow()).toISOString() };
    return save(() => (rule ? changeRule(database(), rule, whole) : addRule(database(), whole)), "Rule saved.");
  });
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={rule ? "Edit rule" : "Add a rule"}
      about="Copy it from the notice or licence. Empty fields aren’t checked."
    >
      <EntryForm
        onSubmit={keep}
        fault={fault}
        keep="Save"
        more={
          rule && (
            <Button onClick={() => act(() => save(() => removeRule(database(), rule.id), "Rule deleted."))}>
              Delete
            </Button>
          )
        }
      >
        <div className="grid gap-3 sm:grid-cols-2">
          <FormSelect
            form={form}
            name="reach"
            label="Water"
            choices={[
              { value: EVERY_WATER, label: "all waters" },
              ...choicesOf(
                river.reaches,
                (one) => one.id,
                (one) => one.reach.name,
              ),
            ]}
          />
          <FormSelect
            form={form}
            name="bank"
            label="Bank"
            choices={BANKS.map((value) => ({ value, label: value === "both" ? "both banks" : `${value} bank` }))}
          />
          <FormSelect
            form={form}
            name="species"
            label="Fish"
            choices={[
              { value: EVERY_FISH, label: "all fish" },
              ...list.map((one) => ({ value: one.id, label: one.name })),
            ]}
          />
          <FormSelect form={form} name="clippedOnly" label="Keep clipped fish only" choices={YES_NO} />
          <FormField form={form} name="openFrom" label="Season from" hint="Such as 03-15" />
          <FormField form={form} name="openTo" label="Season to" hint="Such as 10-31" />
          <FormField form={form} name="minLength" label="Minimum length" />
          <FormField form={form} name="maxLength" label="Maximum length" />
          <FormField form={form} name="slotFrom" label="Protected from" />
          <FormField form={form} name="slotTo" label="Protected to" />
          <FormField form={form} name="bag" label="Daily bag limit" inputMode="numeric" />
          <FormField form={form} name="possession" label="Possession limit" inputMode="numeric" />
          <FormField form={form} name="rods" label="Maximum rods" inputMode="numeric" />
          <FormField form={form} name="expires" label="Valid until" type="date" />
          <FormField form={form} name="hooks" label="Hooks" maxLength={200} />
          <FormField form={form} name="bait" label="Bait" maxLength={200} />
        </div>
        <FormArea form={form} name="notes" label="Notes" className="mt-3" />
      </EntryForm>
    </Dialog>
  );
}
