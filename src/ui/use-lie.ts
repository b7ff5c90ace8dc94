"use client";
import { useMemo } from "react";
import type { Lie } from "../core/fish/read";
import { fishedFor, inSeason, turningOf, wayIn, wayOf } from "../core/fish/season";
import type { SeasonalWay } from "../core/fish/species";
import { MIDDLING } from "./middling";
import { type River, useRiver } from "./river";
import { useSettings } from "./settings";
import { type Fish, useFishes } from "./use-fishes";
import { type FieldState, useField } from "./use-field";
import { type Look, useReading } from "./use-reading";

export interface LieView {
  river: River;
  flow: number;
  /** The flow is the river's own, now. */
  isNow: boolean;
  look: Look;
  /** The fish looked for, and how it lives at this time of its year; undefined: as in the rest of it. */
  fish: Fish;
  way: SeasonalWay | undefined;
  field: FieldState;
  reading: ReturnType<typeof useReading>["reading"];
  lie: Lie | undefined;
}

/** Reach, flow, field, reading and chosen lie: what the Reach and Rig stations share. */
export function useLieView(): LieView {
  const river = useRiver();
  const { flow: chosen, species, lie: rank, light: wantedLight, season } = useSettings();
  const fishes = useFishes();
  const fish = fishes.of(species);
  const flow = chosen ?? river.now?.discharge ?? MIDDLING.flow;
  const temperature = river.now?.waterTemperature ?? MIDDLING.temperature;
  const way =
    season === "usual"
      ? undefined
      : season === "auto"
        ? wayOf(fish.species, temperature, river.place && turningOf(river.minute, river.place.latitude))
        : wayIn(fish.species, season);
  const living = useMemo(
    () => (season === "auto" ? fishedFor(fish.species, way) : inSeason(fish.species, way)),
    [fish, way, season],
  );
  const look: Look = {
    species: living,
    visibleDepth: river.now?.visibleDepth ?? MIDDLING.visibleDepth,
    temperature,
    light: wantedLight !== "auto" ? wantedLight : river.light === "night" ? "day" : river.light,
  };
  // Until the gauge has been read its flow is not known: nothing is solved for a guess.
  const known = river.ready && (chosen !== null || river.station === undefined || river.gauge !== undefined);
  const field = useField(river.reach?.reach, known ? flow : undefined);
  const { reading } = useReading(fishes.ready ? field.field : undefined, river.reach?.reach, look);
  return {
    river,
    flow,
    isNow: chosen === null && river.now?.discharge != null,
    look,
    fish,
    way,
    field,
    reading,
    lie: reading?.lies.find((one) => one.rank === rank) ?? reading?.lies[0],
  };
}
