"use client";
import { fetched } from "../../core/quantity/fetched";
import { useEffect, useMemo, useState } from "react";
import type { FieldReading, ReachRecord } from "../../core/book/records";
import { identified, type Identified } from "../../core/flow/feature-ids";
import { moved } from "../../core/flow/features";
import { reachSize } from "../../core/flow/rasterise";
import type { reshaped } from "../../core/flow/reshape";
import type { Feature, Reach, Template, WaterReading } from "../../core/flow/reach-schema";
import { act, type Unkept, unkept } from "../../state/act";
import { say } from "../../state/notices";
import { dropDraft, setDraft } from "../../state/scenario/shaping";
import { useDraftOf } from "../../state/scenario/use-live";
import { takeReading } from "../../state/take-reading";
import type { ReachFit } from "../../core/flow/fit-reach";
import type { Undo } from "../../store/change";
import { database } from "../../store/database";
import { count } from "../../words/text";
import {
  addFeature,
  addWaterReadings,
  moveFeature,
  patchFeature,
  patchReach,
  removeFeature,
  removeWaterReading,
  reshapeReach,
  takeFittedBed,
} from "../../store/reaches";

/**
 * Changing a reach's bed and the objects on it: each change is a command on what the reach is by then, kept at once,
 * told when it cannot be, and taken back by one press.
 */
export interface BedEditor {
  reach: Reach;
  features: readonly Identified[];
  /** The objects where the hand has them: what was let go of stays there until it is kept, or could not be. */
  held: readonly Identified[];
  /** Id of the chosen object. */
  chosen: string | undefined;
  choose: (id: string | undefined) => void;
  /** Moves an object by so much, m. */
  move: (id: string, by: readonly [number, number]) => void;
  /** Shows the flow over the bed as it would be with an object moved so far, or with other measures; keeps nothing. */
  preview: (change: { id: string; by: readonly [number, number] } | Partial<Omit<Template, "kind">>) => void;
  /** The hand let go where it began: nothing is to be shown but what is. */
  endPreview: () => void;
  /** Sets measures or the name of an object. */
  change: (id: string, fields: Readonly<Record<string, unknown>>) => void;
  add: (feature: Feature) => void;
  remove: (id: string) => void;
  /** The measures of a reach made from a template, and how they are changed; undefined for other beds. */
  template: Template | undefined;
  /** The id of a reach that was drawn on a picture: its drawing can be changed. */
  drawn: string | undefined;
  reshape: (measures: Partial<Omit<Template, "kind">>) => void;
  readings: readonly WaterReading[];
  addReading: (reading: WaterReading) => void;
  /** Adds surface speeds that a film showed. */
  addFilmed: (readings: readonly WaterReading[]) => void;
  /** Keeps what was read of the water at a place. */
  addOwn: (place: readonly [number, number], reading: OwnReading) => void;
  removeReading: (reading: WaterReading) => void;
  /** Keeps roughness and outlet as fitted. */
  take: (fit: Pick<ReachFit, "fitted" | "reach">) => void;
  undo: (() => void) | undefined;
  fault: Unkept | undefined;
}

/** What is read of the water at a place, and not of its bed; the mark of a level, and the flow then, m3/s. */
export type OwnReading = Pick<FieldReading, "kind" | "value" | "mark" | "flow">;

/** Steps that can be taken back. */
const MOST_STEPS = 50;

interface Steps {
  of: string;
  undos: readonly Undo[];
}

/** Commands of one reach with their undo steps. */
function useSteps(id: string | undefined) {
  const [steps, setSteps] = useState<Steps>({ of: "", undos: [] });
  const [fault, setFault] = useState<{ of: string; unkept: Unkept } | undefined>();
  const undos = steps.of === id ? steps.undos : [];
  const drop = (undo: Undo) => setSteps((now) => ({ ...now, undos: now.undos.filter((one) => one !== undo) }));
  const tryTo = async (command: () => Promise<Undo>, done?: string): Promise<void> => {
    if (id === undefined) return;
    try {
      const undo = await command();
      setFault(undefined);
      setSteps((now) => ({ of: id, undos: [...(now.of === id ? now.undos : []), undo].slice(-MOST_STEPS) }));
      if (done === undefined) return;
      const back = () => {
        drop(undo);
        act(undo);
      };
      say(done, { label: "Undo", run: back });
    } catch (error) {
      dropDraft();
      setFault({ of: id, unkept: unkept(error, () => tryTo(command, done)) });
    }
  };
  const keep = (command: () => Promise<Undo>, done?: string) => act(() => tryTo(command, done));
  const last = undos.at(-1);
  const undo =
    last &&
    (() => {
      drop(last);
      setFault(undefined);
      // A step that could not be taken back can still be.
      const restore = (error: unknown) => {
        setSteps((now) => ({ ...now, undos: [...now.undos, last] }));
        throw error;
      };
      act(() => last().catch(restore));
    });
  return { keep, undo, fault: fault?.of === id ? fault?.unkept : undefined };
}

/** A reach as it would be after a change; undefined where it would be none. */
function previewed(
  reach: Reach,
  features: readonly Identified[],
  change: Parameters<BedEditor["preview"]>[0],
): Reach | undefined {
  if (!("by" in change)) {
    try {
      return reshape?.(reach, change);
    } catch {
      return undefined;
    }
  }
  const size = reachSize(reach);
  return {
    ...reach,
    features: features.map((own) => (own.id === change.id ? { ...own, ...moved(own, ...change.by, size) } : own)),
  };
}

/** Measures are tried against the schema of a reach, which comes when a bed is first shaped; until then no preview. */
let reshape: typeof reshaped | undefined;
export async function readyShaping(): Promise<void> {
  reshape = (await fetched(import("../../core/flow/reshape"))).reshaped;
}

export function useBedEditor(record: ReachRecord | undefined): BedEditor | undefined {
  const [chosen, choose] = useState<string | undefined>();
  const { keep, undo, fault } = useSteps(record?.id);
  // Nothing stays under a hand that has left.
  useEffect(() => dropDraft, []);
  const features = useMemo(() => identified(record?.reach.features ?? []), [record]);
  const draft = useDraftOf(record?.reach);
  if (!record) return undefined;
  const { reach, id } = record;
  return {
    reach,
    features,
    held: draft ? identified(draft.features ?? []) : features,
    chosen: features.some((one) => one.id === chosen) ? chosen : undefined,
    choose,
    preview: (change) => {
      const next = previewed(reach, features, change);
      if (next) setDraft({ reach: next, over: reach });
    },
    endPreview: dropDraft,
    move: (feature, by) => keep(() => moveFeature(database(), id, feature, by)),
    change: (feature, fields) => keep(() => patchFeature(database(), id, feature, fields)),
    add: (feature) =>
      keep(async () => {
        const added = await addFeature(database(), id, feature);
        choose(added.id);
        return added.undo;
      }),
    remove: (feature) => {
      const gone = features.find((one) => one.id === feature);
      choose(undefined);
      keep(() => removeFeature(database(), id, feature), `The ${gone?.name ?? gone?.kind ?? "object"} was removed.`);
    },
    drawn: record.traced && id,
    template: reach.bed.kind === "template" ? reach.bed : undefined,
    reshape: (measures) => keep(() => reshapeReach(database(), id, measures)),
    readings: reach.readings ?? [],
    addReading: (reading) =>
      record.traced && reading.kind === "depth"
        ? keep(async () => {
            const { layDepth } = await fetched(import("../../state/lay-depth"));
            return layDepth(record, reading);
          }, "Depth added to the drawing, and the bed updated.")
        : keep(
            () => addWaterReadings(database(), id, [reading]),
            "Reading saved. Fit the bed to it under “Edit the bed”.",
          ),
    addFilmed: (readings) =>
      keep(
        () => addWaterReadings(database(), id, readings),
        `${count(readings.length, "speed reading")} added. Fit the bed to them under “Edit the bed”.`,
      ),
    addOwn: ([x, y], reading) =>
      keep(
        () =>
          takeReading({
            station: null,
            reach: id,
            place: { x: Number(x.toFixed(1)), y: Number(y.toFixed(1)) },
            ...reading,
          }),
        "Reading saved. It counts for this reach.",
      ),
    removeReading: (reading) => keep(() => removeWaterReading(database(), id, reading), "Reading deleted."),
    take: ({ fitted, reach: fit }) =>
      keep(
        () =>
          fitted.includes("bed")
            ? takeFittedBed(database(), id, reach.bed, fit)
            : patchReach(database(), id, { roughness: fit.roughness, downstream: fit.downstream }),
        "Bed updated with the fit.",
      ),
    undo,
    fault,
  };
}
