"use client";
import { useMemo, useState } from "react";
import type { ReachRecord } from "../../core/book/records";
import { faultOf } from "../../core/quantity/fault";
import { layReach } from "../../core/flow/lay";
import { checkReach, type Feature, type Reach, type Template, type WaterReading } from "../../core/flow/reach";
import { reshaped } from "../../core/flow/reshape";
import { database } from "../../store/database";
import { saveReach } from "../../store/river";
import { say } from "../../ui/toasts";

/**
 * Changing a reach's bed and the objects on it: each change is kept at once, told when it cannot be, and undone by one
 * press.
 */
export interface ObjectEditor {
  features: readonly Feature[];
  chosen: number | undefined;
  choose: (index: number | undefined) => void;
  /** Keeps a changed feature. */
  change: (index: number, feature: Feature) => void;
  add: (feature: Feature) => void;
  remove: (index: number) => void;
  /** The measures of a reach made from a template, and how they are changed; undefined for other beds. */
  template: Template | undefined;
  reshape: (change: Partial<Omit<Template, "kind">>) => void;
  readings: readonly WaterReading[];
  keepReadings: (readings: readonly WaterReading[], said?: string) => void;
  /** Keeps a reach as fitted. */
  take: (fitted: Reach, said: string) => void;
  reach: Reach;
  undo: (() => void) | undefined;
  fault: string | undefined;
}

/** Steps that can be taken back. */
const MOST_STEPS = 50;

export function useObjects(record: ReachRecord | undefined): ObjectEditor | undefined {
  const [chosen, choose] = useState<number | undefined>();
  const [fault, setFault] = useState<string | undefined>();
  const [past, setPast] = useState<{ of: string; steps: readonly Reach[] }>({ of: "", steps: [] });
  return useMemo(() => {
    if (!record) return undefined;
    const { reach, id } = record;
    const features = reach.features ?? [];
    const steps = past.of === id ? past.steps : [];
    const keep = (make: () => Reach, said?: string) => {
      let next: Reach;
      try {
        next = checkReach(make());
        layReach(next); // what cannot be laid is told and not kept
      } catch (error) {
        setFault(faultOf(error).message);
        return;
      }
      setFault(undefined);
      setPast({ of: id, steps: [...steps, reach].slice(-MOST_STEPS) });
      void saveReach(database(), next);
      if (said)
        say(said, {
          label: "Undo",
          run: () => {
            setPast({ of: id, steps });
            void saveReach(database(), reach);
          },
        });
    };
    const keepFeatures = (next: readonly Feature[], said?: string) =>
      keep(() => ({ ...reach, features: [...next] }), said);
    return {
      features,
      chosen: chosen !== undefined && chosen < features.length ? chosen : undefined,
      choose,
      fault,
      template: reach.bed.kind === "template" ? reach.bed : undefined,
      change: (index, feature) => keepFeatures(features.map((one, k) => (k === index ? feature : one))),
      add: (feature) => {
        keepFeatures([...features, feature]);
        choose(features.length);
      },
      remove: (index) => {
        choose(undefined);
        keepFeatures(
          features.filter((_, k) => k !== index),
          `The ${features[index]!.name ?? features[index]!.kind} is off the bed.`,
        );
      },
      reach,
      readings: reach.readings ?? [],
      keepReadings: (readings, said) => keep(() => ({ ...reach, readings: [...readings] }), said),
      take: (fitted, said) => keep(() => fitted, said),
      reshape: (change) => keep(() => reshaped(reach, change)),
      undo:
        steps.length === 0
          ? undefined
          : () => {
              setPast({ of: id, steps: steps.slice(0, -1) });
              setFault(undefined);
              void saveReach(database(), steps.at(-1)!);
            },
    };
  }, [record, chosen, fault, past]);
}
