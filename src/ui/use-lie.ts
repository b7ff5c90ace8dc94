"use client";
import type { Lie } from "../core/lies/read";
import { type River, useRiver } from "./river";
import { useSettings } from "./settings";
import { type FieldState, useField } from "./use-field";
import { type Look, useReading } from "./use-reading";

/** What is taken where the gauge does not say. */
const MIDDLING = { visibleDepth: 1, temperature: 12, flow: 5 };

export interface LieView {
  river: River;
  flow: number;
  /** The flow is the river's own, now. */
  isNow: boolean;
  look: Look;
  field: FieldState;
  reading: ReturnType<typeof useReading>["reading"];
  lie: Lie | undefined;
}

/** Reach, flow, field, reading and chosen lie: what the Reach and Rig stations share. */
export function useLieView(): LieView {
  const river = useRiver();
  const { flow: chosen, species, lie: rank, light: wantedLight } = useSettings();
  const flow = chosen ?? river.now?.discharge ?? MIDDLING.flow;
  const look: Look = { species, visibleDepth: river.now?.visibleDepth ?? MIDDLING.visibleDepth, temperature: river.now?.waterTemperature ?? MIDDLING.temperature, light: wantedLight !== "auto" ? wantedLight : river.light === "night" ? "day" : river.light };
  // Until the gauge has been read its flow is not known: nothing is solved for a guess.
  const known = river.ready && (chosen !== null || river.station === undefined || river.gauge !== undefined);
  const field = useField(river.reach?.reach, known ? flow : undefined);
  const { reading } = useReading(field.field, river.reach?.reach, look);
  return { river, flow, isNow: chosen === null && river.now?.discharge != null, look, field, reading, lie: reading?.lies.find((one) => one.rank === rank) ?? reading?.lies[0] };
}
