"use client";
import { NotKept } from "../not-kept";
import { useState } from "react";
import type { UseFormReturn } from "react-hook-form";
import { z } from "zod";
import type { StationRecord } from "../../core/book/records";
import type { Survey, SurveyOptions } from "../../core/flow/survey";
import type { Reach } from "../../core/flow/reach-schema";
import type { SoundingsFile } from "../../core/formats/soundings-text";
import { demoSounding, DEMO_SOUNDING } from "../../demo/sounding";
import { DEMO_HOUR } from "../../demo/hour";
import { keyOf } from "../../scenario/key";
import { act } from "../../state/act";
import { useSettings } from "../../state/settings";
import { useSave } from "../../state/use-save";
import { database } from "../../store/database";
import { newId } from "../../store/identity";
import { addReach, removeReach } from "../../store/reaches";
import { FileField } from "../../widgets/file-field";
import { FormField, FormSelect, useEntryForm } from "../../widgets/form";
import { Button } from "../../widgets/button";
import { Dialog } from "../../widgets/dialog";
import { FaultNote } from "../../widgets/fault-note";
import { numberEntry, optional, quantityEntry, textEntry } from "../../words/entry";
import { faultText } from "../../words/messages";
import { entryText, entryUnit, figureText, rangeText, showText, type UnitSystem } from "../../words/quantity";
import { gaugeChoices, NONE } from "./gauge-choices";
import { SurveyReport } from "./survey-report";
import { useSoundingsFile, useSurvey } from "./use-survey";
import { fallLabel } from "./template-measures";

const schemaIn = (system: UnitSystem) =>
  z.object({
    name: textEntry(120),
    slope: numberEntry({ low: 0, open: true, high: 50, beyond: "Enter a number above 0, up to 50." }),
    draft: optional(
      quantityEntry("length", entryUnit("depth", system), {
        low: 0,
        high: 5,
        beyond: rangeText(0, 5, "depth", system),
      }),
    ),
    heading: optional(numberEntry({ low: 0, high: 360, beyond: "Enter degrees from north, 0 to 360." })),
    edge: optional(
      quantityEntry("length", entryUnit("distance", system), {
        low: 0,
        open: true,
        beyond: "Enter a distance above 0.",
      }),
    ),
    station: z.string(),
  });

type Entries = z.output<ReturnType<typeof schemaIn>>;

/** How the file is laid out by what was entered; undefined while that makes no sense. */
const optionsOf = (entries: Entries | undefined, keepOutliers: boolean): Omit<SurveyOptions, "stage"> | undefined =>
  entries && {
    waterSurfaceSlope: entries.slope / 1000,
    heading: entries.heading ?? undefined,
    transducerDraft: entries.draft ?? 0,
    maximumEdge: entries.edge ?? undefined,
    keepOutliers,
  };

interface SoundingsProps {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  stations: readonly StationRecord[];
}

/**
 * A reach from soundings: the file is read and laid out in a worker, shown with its gaps and outliers, and kept only
 * when the angler says so.
 */
export function SoundingsDialog(props: SoundingsProps) {
  return (
    <Dialog
      open={props.open}
      onOpenChange={props.onOpenChange}
      title="A reach from soundings"
      about="A CSV, GPX or GeoJSON file of positions with depths, or a sounder’s NMEA 0183 log. Nothing is saved until you confirm."
    >
      <Surveying {...props} />
    </Dialog>
  );
}

function Surveying({ onOpenChange, stations }: SoundingsProps) {
  const { system, set } = useSettings();
  const { file, fault, busy, open } = useSoundingsFile();
  const schema = schemaIn(system);
  const form = useEntryForm(schema, {
    name: "",
    slope: "3",
    draft: "",
    heading: "",
    edge: "",
    station: stations[0]?.id ?? NONE,
  });
  const [keepOutliers, setKeepOutliers] = useState(false);
  const options = optionsOf(schema.safeParse(form.watch()).data, keepOutliers);
  // While a field is being written the survey by the last good ones stays in sight.
  const [tried, setTried] = useState<Omit<SurveyOptions, "stage"> | undefined>();
  if (options && keyOf(options) !== (tried && keyOf(tried))) setTried(options);
  const station = form.watch("station");
  const survey = useSurvey(file, tried, station === NONE ? null : station);
  const { save, fault: notKept } = useSave(() => onOpenChange(false));

  const take = async (chosen: File) => {
    if ((await open(chosen)) && !form.getValues("name")) form.setValue("name", chosen.name.replace(/\.[^.]+$/, ""));
  };
  const madeUp = async () => {
    await take(new File([demoSounding(DEMO_HOUR)], DEMO_SOUNDING.name));
    form.setValue("slope", figureText(DEMO_SOUNDING.waterSurfaceSlope * 1000, 1));
    form.setValue("draft", entryText(DEMO_SOUNDING.transducerDraft, "depth", system));
  };
  const keep = form.handleSubmit(({ name, slope }) => {
    if (!survey.value || survey.earlier || !file) return undefined;
    const reach: Reach = {
      schema: "low-heron/reach@1",
      id: newId(),
      name: name || "My reach",
      bed: survey.value.bed,
      roughness: 0.035,
      downstream: { kind: "normal", slope: slope / 1000 },
      ...placeOf(file.read),
    };
    return save(async () => {
      await addReach(database(), reach, station === NONE ? null : station);
      set({ reach: reach.id, station: null, flow: null, lie: null });
      return () => removeReach(database(), reach.id).then(() => undefined);
    }, `${reach.name} saved.`);
  });

  const told = fault ?? survey.fault;
  return (
    <form noValidate className="grid gap-4" onSubmit={(event) => act(() => keep(event))}>
      <div>
        <FileField
          label="File"
          accept=".csv,.txt,.gpx,.json,.geojson,.nmea,.log"
          disabled={busy}
          onFiles={([chosen]) => act(() => take(chosen!))}
        />
        {!file && (
          <button
            type="button"
            className="mt-1 min-h-11 text-left underline"
            disabled={busy}
            onClick={() => act(madeUp)}
          >
            Try a demo sounder log
          </button>
        )}
      </div>
      {busy && <p role="status">Reading …</p>}
      {told && <FaultNote message={faultText(told, system)} todo="Nothing changed. Fix the file or choose another." />}
      {file && (
        <SurveyFields
          form={form}
          survey={survey.value}
          geographic={file.read.frame !== "reach"}
          stations={stations}
          system={system}
        />
      )}
      {file && survey.value && (
        <>
          <SurveyReport
            survey={survey.value}
            file={file.read}
            system={system}
            keepOutliers={keepOutliers}
            onKeepOutliers={setKeepOutliers}
          />
          {notKept && <NotKept fault={notKept} />}
          <Button tone="next" type="submit" disabled={survey.earlier || !options}>
            Add this reach
          </Button>
        </>
      )}
    </form>
  );
}

/** What has to be said of soundings that they do not say themselves. */
function SurveyFields({
  form,
  survey,
  geographic,
  stations,
  system,
}: {
  form: UseFormReturn<z.input<ReturnType<typeof schemaIn>>, unknown, Entries>;
  survey: Survey | undefined;
  geographic: boolean;
  stations: readonly StationRecord[];
  system: UnitSystem;
}) {
  const heading = survey?.heading;
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <FormField form={form} name="name" label="Name" maxLength={120} className="sm:col-span-2" />
      <FormField
        form={form}
        name="slope"
        label={fallLabel(system)}
        inputMode="decimal"
        hint="1 lazy, 3 usual, 8 steep"
      />
      <FormField form={form} name="draft" label="Transducer depth" hint="0 if depths are from the surface" />
      {geographic && (
        <div>
          <FormField
            form={form}
            name="heading"
            label="River flows towards, degrees from north"
            inputMode="decimal"
            hint={heading === undefined ? undefined : `set to ${figureText(heading, 0)}°`}
          />
          {heading !== undefined && (
            <button
              type="button"
              className="min-h-11 text-sm underline"
              onClick={() => form.setValue("heading", ((heading + 180) % 360).toFixed(0))}
            >
              Reverse flow direction
            </button>
          )}
        </div>
      )}
      <FormField
        form={form}
        name="edge"
        label="Join soundings up to"
        hint={
          survey ? `${showText(survey.maximumEdge, "distance", system)}; longer joins may cut across bends` : undefined
        }
      />
      <FormSelect form={form} name="station" label="Gauge" choices={gaugeChoices(stations)} />
    </div>
  );
}

/** Where a survey lies, for the light. */
function placeOf(read: SoundingsFile): { latitude?: number; longitude?: number } {
  const first = read.frame === "geographic" ? read.soundings[0] : undefined;
  return first ? { latitude: Number(first.b.toFixed(4)), longitude: Number(first.a.toFixed(4)) } : {};
}
