"use client";
import { habitsOf } from "../../core/fish/species-habits";
import { useLiveAnswer } from "../live-answer";
import { useMemo } from "react";
import type { Lie } from "../../core/fish/read";
import type { RigAdvice } from "../../core/rig/advice";
import type { TackleItem } from "../../core/rig/tackle-item";
import type { Way } from "../../core/rig/ways";
import { METHODS_FOR } from "../../core/tactics/methods";
import type { Method } from "../../core/tactics/methods";
import type { Approach } from "../../scenario/approach";
import type { Numbered } from "../../scenario/lie-identity";
import { type OwnTackle, rigRequest } from "../../scenario/rig";
import { type Ways, type WaysRequest, waysRequest } from "../../scenario/ways";
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
  rig: Stage<RigAdvice>;
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
function saidBy(settings: Settings): Pick<OwnTackle, "style" | "seen"> {
  const { tough, short, liveBait, tandem, colours, letDown, shotting, wind, snags, weed, prey, preyLength } = settings;
  return {
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
  const { method: wanted, school } = settings;
  const methods = METHODS_FOR[habitsOf(fish.base).family];
  const method = methods.find((one) => one === wanted);
  const found = approach.value;
  const ask = useMemo((): WaysRequest | undefined => {
    if (!own || !found || !lie) return undefined;
    const about = { lie, reading: request, base: fish.base };
    return waysRequest(found, { ...about, conditions, phase, school, own, liked: method ? [method] : [] });
  }, [own, found, lie, request, conditions, fish.base, phase, school, method]);
  const reading = settledReading(view);
  const ways = useWays(reading, ask);
  const way = chosenWay(ways.value?.ways ?? [], method, school);
  // Where no cast can be made the rig is worked out for the lie alone.
  const alone = lie && ways.value !== undefined && !way && reading && own;
  const single = method ?? methods[0]!;
  const rig = useRig(
    alone
      ? rigRequest(
          reading.of.field,
          lie,
          conditions,
          fish.base,
          { method: single, phase, features: request.features },
          own,
        )
      : undefined,
  );
  return { box, approach, ways, way, advice: way?.advice ?? rig.value, rig };
}

/** The way of the method that was chosen, from the side that is followed where there are two; the first otherwise. */
function chosenWay(ways: readonly Way[], method: Method | undefined, school: string): Way | undefined {
  const own = ways.filter((way) => way.method === method);
  return own.find((way) => way.school === school) ?? own[0] ?? ways[0];
}
