"use client";
import { useLiveAnswer } from "../live-answer";
import type { Field } from "../../core/flow/grid";
import type { Reach } from "../../core/flow/reach-schema";
import { bedKey } from "../../scenario/field";
import { database } from "../../store/database";
import { keptField, solvedFlows } from "../../store/fields";

/** Flows this many times smaller and larger are looked for. */
const APART = 2.5;
const NONE: readonly Field[] = [];

/** Fields that are solved already at a smaller and a larger flow on the same bed: for the water's edge there. */
export function useEdges(reach: Reach | undefined, flow: number, wanted: boolean): readonly Field[] {
  const bed = reach && wanted ? bedKey(reach) : undefined;
  const found = useLiveAnswer(async () => {
    if (!bed) return NONE;
    const solved = await solvedFlows(database(), bed);
    const nearest = (target: number, within: (q: number) => boolean) =>
      solved
        .filter((one) => within(one.discharge))
        .sort((a, b) => Math.abs(Math.log(a.discharge / target)) - Math.abs(Math.log(b.discharge / target)))[0];
    const pair = [nearest(flow / APART, (q) => q < flow / 1.3), nearest(flow * APART, (q) => q > flow * 1.3)];
    const fields = await Promise.all(pair.map((one) => one && keptField(database(), bed, one.discharge, one.cell)));
    return fields.filter((field): field is Field => field !== undefined);
  }, [bed, flow]);
  return bed ? (found ?? NONE) : NONE;
}
