"use client";
import { useWaterClocks } from "../../state/water-clocks";
import { useState } from "react";
import { type UseFormReturn, useWatch } from "react-hook-form";
import { fishWeights } from "../../core/book/weights";
import type { Catch } from "../../core/book/records";
import { act } from "../../state/act";
import { useSettings } from "../../state/settings";
import { useFishes } from "../../state/use-fishes";
import { useSave } from "../../state/use-save";
import { differing } from "../../store/change";
import { database } from "../../store/database";
import { type CatchDetails, patchCatch, removeCatch } from "../../store/sessions";
import { isOutside } from "../../core/book/clashes";
import { Ask, EntryForm } from "../entry-form";
import { FormField, FormSelect, useEntryForm } from "../../widgets/form";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { figureText, showText, type UnitSystem } from "../../words/quantity";
import { dayAndTime, stateWords } from "../../words/river";
import { Photos } from "./photos";
import { CATCH_CHOICES, type CatchEntries, catchEntries, catchSchemaFor, OUTCOMES } from "./catch-entries";

/** Every detail of a fish, entered when there is time, and corrected. */
export function CatchDialog(props: { fish: Catch; onClose: () => void }) {
  const zone = useWaterClocks().ofSession(props.fish.session);
  // Its fields are of one clock from first to last.
  return <CatchForm key={zone} {...props} zone={zone} />;
}

function CatchForm({ fish, zone, onClose }: { fish: Catch; zone: string | undefined; onClose: () => void }) {
  const system = useSettings((settings) => settings.system);
  const { list, of, nameOf } = useFishes();
  const schema = catchSchemaFor(system, Date.parse(fish.at), zone);
  const form = useEntryForm(schema, catchEntries(fish, system, zone));
  const { save, fault } = useSave(onClose);
  const { river } = fish;
  const [outside, setOutside] = useState<number | undefined>();
  const keep = form.handleSubmit(async (fields) => {
    const session = await database().sessions.get(fish.session);
    if (session && isOutside(fields.at, session) && outside !== fields.at) return setOutside(fields.at);
    return save(
      () => patchCatch(database(), fish, differing(schema.parse(catchEntries(fish, system, zone)), fields)),
      "Fish saved.",
    );
  });
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={`${nameOf(fish.species)}, ${dayAndTime(fish.at, undefined, zone)}`}
      about={river ? `From the gauge: ${stateWords(river, system)}.` : "No gauge reading at that time."}
    >
      <EntryForm
        onSubmit={keep}
        fault={fault}
        keep={outside === undefined ? "Save" : "Save anyway"}
        more={
          <Button onClick={() => act(() => save(() => removeCatch(database(), fish.id), "Fish deleted."))}>
            Delete this fish
          </Button>
        }
      >
        {outside !== undefined && <Ask text="That time is outside the session of this fish. Save it anyway?" />}
        <div className="grid gap-3 sm:grid-cols-2">
          <FormField form={form} name="length" label="Length" hint={`Such as ${system === "us" ? "14 in" : "36 cm"}`} />
          <FormField form={form} name="lure" label="Lure or bait" maxLength={120} />
          <FormField form={form} name="colour" label="Colour" maxLength={40} />
          <FormField form={form} name="piece" label="Bait piece" maxLength={60} />
          <FormField form={form} name="lie" label="Spot" maxLength={120} />
          <FormField form={form} name="depth" label="Depth fished" />
          <FormField form={form} name="cast" label="Cast number" inputMode="numeric" />
          <FormField form={form} name="angle" label="Cast angle, degrees from upstream" inputMode="numeric" />
          <FormField form={form} name="angler" label="Angler" hint="Leave empty for yourself" maxLength={60} />
          <FormField form={form} name="weight" label="Weight" />
          <FormSelect
            form={form}
            name="weighed"
            label="Weight was"
            choices={["weighed", "guessed"].map((value) => ({ value, label: value }))}
          />
          <FormField form={form} name="guess" label="Guessed before weighing" />
          <FormField form={form} name="girth" label="Girth" />
          <FormSelect form={form} name="outcome" label="Outcome" choices={OUTCOMES} />
          {CATCH_CHOICES.map(({ name, label, choices }) => (
            <FormSelect key={name} form={form} name={name} label={label} choices={choices} />
          ))}
          <FormSelect
            form={form}
            name="species"
            label="Fish"
            choices={list.map((one) => ({ value: one.id, label: one.name }))}
          />
          <FormField form={form} name="at" label="Time" type="datetime-local" />
          <FormField form={form} name="notes" label="Notes" maxLength={2000} className="sm:col-span-2" />
        </div>
        <Weights form={form} schema={schema} baseOf={(id) => of(id ?? fish.species).base} system={system} />
      </EntryForm>
      <Photos fish={fish.id} zone={zone} />
    </Dialog>
  );
}

/** Told anew as it is typed, without the fields being drawn anew. */
function Weights({
  form,
  schema,
  baseOf,
  system,
}: {
  form: UseFormReturn<CatchEntries, unknown, CatchDetails & { at: number }>;
  schema: ReturnType<typeof catchSchemaFor>;
  baseOf: (species: string | undefined) => string;
  system: UnitSystem;
}) {
  const typed = useWatch({ control: form.control });
  const now = schema.safeParse(typed);
  return (
    <p role="status" className="text-soft">
      {now.success && weightWords(now.data, baseOf(now.data.species), system)}
    </p>
  );
}

/** How it stands to a fish of its kind, and what length and girth make of it. */
function weightWords(fish: CatchDetails, base: string, system: UnitSystem): string {
  if (!fish.length) return "Enter a length to see its standard weight.";
  const { standardWeight, relativeWeight, girthWeight } = fishWeights({
    species: base,
    length: fish.length,
    lengthKind: fish.lengthKind,
    weight: fish.weight,
    girth: fish.girth,
  });
  const parts = [
    standardWeight === null
      ? "There is no published standard weight for this species."
      : `Standard weight at this length: ${showText(standardWeight, "fishMass", system)}.`,
    relativeWeight === null
      ? undefined
      : `This one is ${figureText(relativeWeight, 0)} % of it${fish.weighed ? "" : ", by your guess"}.`,
    fish.guess && fish.weight && fish.weighed ? guessWords(fish.guess, fish.weight) : undefined,
    girthWeight === null ? undefined : `By length and girth: ${showText(girthWeight, "fishMass", system)}.`,
  ];
  return parts.filter((part) => part !== undefined).join(" ");
}

/** The guess held against the scale. */
const guessWords = (guess: number, weight: number): string => {
  const off = Math.round((guess / weight - 1) * 100);
  return off === 0
    ? "Your guess was right."
    : `Your guess was ${Math.abs(off)} % ${off > 0 ? "over" : "under"} the scale.`;
};
