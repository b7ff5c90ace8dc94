"use client";
import { useLiveAnswer } from "../live-answer";
import { useCallback, useMemo } from "react";
import type { Lie } from "../../core/fish/read";
import type { RigAdvice } from "../../core/rig/advice";
import type { RigRequest } from "../../core/rig/request";
import type { TackleItem } from "../../core/rig/tackle-item";
import type { Way } from "../../core/rig/ways";
import { timeFor, type Timing } from "../../core/tactics/time";
import { type Method } from "../../core/tactics/methods";
import { methodsFor } from "../../core/tactics/fished-with";
import type { Retrieve } from "../../core/tactics/retrieve-kinds";
import type { Approach } from "../../scenario/approach";
import type { Numbered } from "../../scenario/lie-identity";
import { type OwnTackle, rigRequest } from "../../scenario/rig";
import type { Ways } from "../../scenario/ways";
import { type WaysRequest, waysRequest } from "../../scenario/ways-request";
import type { Stage } from "../query";
import { settledReading, useApproach, useWays } from "./use-approach";
import { useRig } from "./use-rig";
import type { ScenarioView } from "./use-scenario";
import { type Settings, useSettings } from "../settings";
import { database } from "../../store/database";

/** Everything that the Rig station shows of the chosen lie. */
export interface Rigging {
  box: TackleItem[] | undefined;
  approach: Stage<Approach>;
  ways: Stage<Ways>;
  /** The way that was chosen, or the first. */
  way: Way | undefined;
  /** Its rig; without a cast where none can be made. */
  advice: RigAdvice | undefined;
  /** What was asked of it. */
  asked: RigRequest | undefined;
  rig: Stage<RigAdvice>;
  /** How long the lie is given with a method; with the one that is shown where none is named. */
  timing: (method?: Method | null, retrieve?: Retrieve) => Timing | undefined;
}

/** The box as it is now; undefined until the book has told. */
const useTackleBox = (): TackleItem[] | undefined =>
  useLiveAnswer(
    async () =>
      (await database().tackle.toArray())
        .filter((item) => item.deleted !== true)
        .sort((a, b) => (a.kind === b.kind ? (a.grams ?? 0) - (b.grams ?? 0) : 0)),
    [],
  );

/** What the angler says of the water and of how it is fished. */
function saidBy(settings: Settings): Omit<OwnTackle, "tackle" | "box"> {
  const { tough, short, liveBait, tandem, colours, letDown, shotting, wind, snags, weed, prey, preyLength } = settings;
  const { teeth, choices, learned } = settings;
  return {
    choices,
    learned,
    style: {
      tough,
      short,
      liveBait,
      tandem,
      school: colours,
      fall: letDown,
      ...(shotting !== "auto" && { shotting }),
    },
    seen: {
      wind,
      ...(snags !== "auto" && { snags }),
      ...(weed && { weed }),
      ...(teeth && { teeth }),
      prey,
      ...(preyLength !== null && { preyLength }),
    },
  };
}

export function useRigging(view: ScenarioView, lie: Numbered<Lie> | undefined): Rigging {
  const settings = useSettings();
  const box = useTackleBox();
  const approach = useApproach(view);
  const { conditions, fish, living, request } = view;
  const phase = living.way?.phase;
  const own = useMemo(() => box && { box, ...saidBy(settings) }, [box, settings]);
  const { method: wanted, school, style, feeding } = settings;
  const methods = methodsFor(fish.base);
  const method = methods.find((one) => one === wanted);
  const found = approach.value;
  const ask = useMemo((): WaysRequest | undefined => {
    if (!own || !found || !lie) return undefined;
    const about = { lie, reading: request, base: fish.base };
    return waysRequest(found, { ...about, conditions, phase, school, own, liked: method ? [method] : [], style });
  }, [own, found, lie, request, conditions, fish.base, phase, school, method, style]);
  const reading = settledReading(view);
  const ways = useWays(reading, ask);
  const way = chosenWay(ways.value?.ways ?? [], method, school);
  // Where no cast can be made the rig is worked out for the lie alone.
  const alone = lie && ways.value !== undefined && !way && reading && own;
  const single = method ?? methods[0]!;
  const lone = alone
    ? rigRequest(
        reading.of.field,
        lie,
        conditions,
        fish.base,
        { method: single, phase, features: request.features },
        own,
      )
    : undefined;
  const rig = useRig(lone);
  const advice = way?.advice ?? rig.value;
  const timing = useCallback(
    (one?: Method | null, retrieve?: Retrieve) => {
      const fished = one ?? advice?.method ?? single;
      const rigged = advice?.method === fished ? advice : ways.value?.ways.find((of) => of.method === fished)?.advice;
      return (
        lie &&
        timeFor(lie, {
          visibleDepth: request.visibleDepth,
          temperature: request.temperature,
          style,
          feeding,
          species: request.species,
          base: fish.base,
          method: fished,
          retrieve: retrieve ?? rigged?.retrieveKind,
          lasts: rigged?.lure.lasts,
        })
      );
    },
    [lie, request, style, feeding, fish.base, advice, ways.value, single],
  );
  return { box, approach, ways, way, advice, asked: way?.asked ?? lone, rig, timing };
}

/** The way of the method that was chosen, from the side that is followed where there are two; the first otherwise. */
function chosenWay(ways: readonly Way[], method: Method | undefined, school: string): Way | undefined {
  const own = ways.filter((way) => way.method === method);
  return own.find((way) => way.school === school) ?? own[0] ?? ways[0];
}
