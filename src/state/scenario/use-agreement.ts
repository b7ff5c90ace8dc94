"use client";
import { useMemo } from "react";
import type { Catch } from "../../core/book/records";
import { type Agreement, agreementOf, type PlacedFish } from "../../core/fish/agreement";
import { bracket } from "../../core/flow/precomputed";
import type { Reach } from "../../core/flow/reach-schema";
import { lightAt } from "../../core/gauge/light";
import { positionOf } from "../../scenario/approach";
import { USUAL } from "../../scenario/conditions";
import { bedKey, cellOf, contentOf } from "../../scenario/field";
import { livingFish } from "../../scenario/fish";
import { keyOf } from "../../scenario/key";
import { readingRequest } from "../../scenario/reading";
import { reader } from "../../workers/clients";
import { answered } from "../kept-answers";
import { useStage, valueOf } from "../query";
import type { Fish } from "../use-fishes";
import { fieldBetween } from "./kept-fields";
import type { Precomputed } from "./use-precomputed";

export interface FishAgainstModel {
  /** By catch id, as far as they are worked out. */
  placed: ReadonlyMap<string, PlacedFish>;
  agreement: Agreement | undefined;
  /** Placed fish about whose flow nothing is precomputed yet. */
  waiting: number;
  /** Placed fish that cannot be held against the model: the flow of their day is not known, or beyond those solved. */
  beyond: number;
}

/** Fish are held against the model once for each pair of solved flows about that of their day. */
const heldAgainst = new Map<string, PlacedFish>();
const MOST_HELD = 2000;

const NONE: ReadonlyMap<string, PlacedFish> = new Map();

/** One fish against the model of its own day; undefined where its flow is not solved about. */
async function place(reach: Reach, fish: Catch, { species }: Fish): Promise<PlacedFish | undefined> {
  const { river } = fish;
  const field = river?.discharge ? await fieldBetween(bedKey(reach), river.discharge, cellOf(reach)) : undefined;
  if (!field || !fish.place) return undefined;
  const position = positionOf(reach);
  const at = Date.parse(fish.at);
  const conditions = {
    discharge: field.discharge,
    visibleDepth: river?.visibleDepth ?? USUAL.visibleDepth,
    temperature: river?.waterTemperature ?? USUAL.temperature,
    light: position ? lightAt(at, position.latitude, position.longitude) : ("day" as const),
    at,
  };
  const living = livingFish(species, "auto", conditions, position?.latitude);
  const request = readingRequest(living.species, conditions, reach.features);
  const { x, y } = fish.place;
  return answered("placed", keyOf(bedKey(reach), contentOf(field), request, x, y), async () =>
    valueOf(await reader.ask(async (api) => api.placed(field, request, x, y))),
  );
}

/**
 * Catches with a place, each held against what the model gives at the flow, clarity, temperature, season and light of
 * its own day.
 */
export function useAgreement(
  reach: Reach | undefined,
  catches: readonly Catch[],
  fishOf: (id: string) => Fish,
  { flows }: Precomputed,
): FishAgainstModel {
  // Many fish have long keys: they are made anew only when something in them has changed.
  const asked = useMemo(() => {
    const solved = flows.filter((one) => one.solved).map((one) => one.discharge);
    if (!reach || solved.length < 2) return [];
    return catches
      .filter((one) => one.place)
      .map((one) => {
        const between = one.river?.discharge ? bracket(solved, one.river.discharge) : null;
        const key = keyOf(bedKey(reach), reach.features, one.id, one.updatedAt, fishOf(one.species).species, between);
        return { one, key };
      });
  }, [reach, catches, fishOf, flows]);
  const marked = catches.filter((one) => one.place);
  const question = useMemo(
    () =>
      keyOf(
        "agreement",
        asked.map(({ key }) => key),
      ),
    [asked],
  );
  const stage = useStage("agreement", asked.length > 0 && question, async (signal) => {
    const placed = new Map<string, PlacedFish>();
    for (const { one, key } of asked) {
      signal.throwIfAborted();
      const found = heldAgainst.get(key) ?? (await place(reach!, one, fishOf(one.species)));
      if (!found) continue;
      if (heldAgainst.size > MOST_HELD) heldAgainst.clear();
      heldAgainst.set(key, found);
      placed.set(one.id, found);
    }
    return placed;
  });
  const placed = stage.value ?? NONE;
  const left = marked.filter((one) => !placed.has(one.id));
  const within = flows.map((one) => one.discharge);
  const reached = (one: Catch) => one.river?.discharge != null && bracket(within, one.river.discharge) !== undefined;
  return {
    placed,
    agreement: agreementOf([...placed.values()]),
    waiting: left.filter(reached).length,
    beyond: left.filter((one) => !reached(one)).length,
  };
}
