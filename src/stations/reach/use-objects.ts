"use client";
import { useMemo, useState } from "react";
import type { ReachRecord } from "../../core/book/records";
import { faultOf } from "../../core/errors";
import { layReach } from "../../core/flow/lay";
import { checkReach, type Feature } from "../../core/flow/reach";
import { database } from "../../store/database";
import { saveFeatures } from "../../store/river";
import { say } from "../../ui/toasts";

/** Changing the objects on a reach's bed: each change is kept at once, told when it cannot be, and undone by one press. */
export interface ObjectEditor {
  features: readonly Feature[];
  chosen: number | undefined;
  choose: (index: number | undefined) => void;
  /** Keeps a changed feature. */
  change: (index: number, feature: Feature) => void;
  add: (feature: Feature) => void;
  remove: (index: number) => void;
  undo: (() => void) | undefined;
  fault: string | undefined;
}

/** Steps that can be taken back. */
const MOST_STEPS = 50;

export function useObjects(record: ReachRecord | undefined): ObjectEditor | undefined {
  const [chosen, choose] = useState<number | undefined>();
  const [fault, setFault] = useState<string | undefined>();
  const [past, setPast] = useState<{ of: string; steps: (readonly Feature[])[] }>({ of: "", steps: [] });
  return useMemo(() => {
    if (!record) return undefined;
    const { reach, id } = record;
    const features = reach.features ?? [];
    const steps = past.of === id ? past.steps : [];
    const keep = (next: readonly Feature[], said?: string) => {
      try {
        layReach(checkReach({ ...reach, features: [...next] })); // what cannot be laid is told and not kept
      } catch (error) {
        setFault(faultOf(error).message);
        return;
      }
      setFault(undefined);
      setPast({ of: id, steps: [...steps, features].slice(-MOST_STEPS) });
      void saveFeatures(database(), id, [...next]);
      if (said) say(said, { label: "Undo", run: () => { setPast({ of: id, steps }); void saveFeatures(database(), id, [...features]); } });
    };
    return {
      features, chosen: chosen !== undefined && chosen < features.length ? chosen : undefined, choose, fault,
      change: (index, feature) => keep(features.map((one, k) => (k === index ? feature : one))),
      add: (feature) => {
        keep([...features, feature]);
        choose(features.length);
      },
      remove: (index) => {
        choose(undefined);
        keep(features.filter((_, k) => k !== index), `The ${features[index]!.name ?? features[index]!.kind} is off the bed.`);
      },
      undo: steps.length === 0 ? undefined : () => {
        setPast({ of: id, steps: steps.slice(0, -1) });
        setFault(undefined);
        void saveFeatures(database(), id, [...steps.at(-1)!]);
      },
    };
  }, [record, chosen, fault, past]);
}
