import { isShelter } from "../core/fish/judgement";
import type { Lie } from "../core/fish/read";
import type { Species } from "../core/fish/species-schema";
import type { Reach } from "../core/flow/reach-schema";
import type { Outlook } from "../core/gauge/outlook";
import type { LieQuality, PlanReach } from "../core/plan/plan-reach";
import { conditionsOf } from "./conditions";
import { roundFlow } from "./field";
import { livingFish } from "./fish";
import type { ReachLog, ReachOutlook } from "./plan";
import { readingRequest, type ReadingRequest } from "./reading";

/** Lies that an angler works through in a visit: a reach is as good as these. */
const VISITED = 3;

/** The lies of a reading that are fished for, best first. */
export const fishedLies = <T extends Pick<Lie, "kind" | "drift">>(lies: readonly T[]): T[] =>
  lies.filter((lie) => !isShelter(lie));

/**
 * How good a reach is at a flow: the mean score of its best lies, where it has fewer as if the rest were worth
 * nothing.
 */
export const lieQuality = (discharge: number, lies: readonly Pick<Lie, "kind" | "drift" | "score">[]): LieQuality => ({
  discharge,
  score:
    fishedLies(lies)
      .slice(0, VISITED)
      .reduce((sum, { score }) => sum + score, 0) / VISITED,
});

/** Of lies looked at by flow, those at the flow nearest by ratio; undefined where none was. */
export const nearestFlow = <T extends { discharge: number }>(looked: readonly T[], discharge: number): T | undefined =>
  [...looked].sort(
    (a, b) => Math.abs(Math.log(a.discharge / discharge)) - Math.abs(Math.log(b.discharge / discharge)),
  )[0];

/** Two flows nearer than this by ratio show the same lies. Own choice. */
const SAME = 1.15;

/**
 * The flows at which a reach is looked at: now, and how far the middle of the forecast goes either way until then,
 * m3/s.
 */
export function planFlows(outlook: Pick<Outlook, "flow"> | null, to: number): number[] {
  if (!outlook?.flow) return [];
  const { discharge, points } = outlook.flow;
  // A dry bed, and one that the tide runs up, have no water that could be read.
  const path = [discharge, ...points.filter((point) => point.time <= to).map((point) => point.median)].filter(
    (flow) => flow > 0,
  );
  if (path.length === 0) return [];
  const flows = [Math.min(...path), Math.max(...path)].map(roundFlow);
  return flows[1]! / flows[0]! < SAME ? [roundFlow(path[0]!)] : flows;
}

/** The water of a reach that a plan wants read: at each flow, how. */
interface LiesAsked {
  discharge: number;
  request: ReadingRequest;
}

/** What a plan asks of a reach for a fish: its lies by day, as the fish lives at `at`, at each flow that may come. */
export function liesAsked(
  reach: Reach,
  { now, outlook, place }: Pick<ReachOutlook, "now" | "outlook" | "place">,
  species: Species,
  { at, to, likings }: { at: number; to: number; likings?: ReadingRequest["likings"] },
): LiesAsked[] {
  const conditions = conditionsOf(now ?? undefined, at, place, { discharge: null, light: "day" });
  const living = livingFish(species, "auto", conditions, place?.latitude).species;
  const request = readingRequest(living, conditions, reach.features, likings);
  return planFlows(outlook, to).map((discharge) => ({ discharge, request }));
}

/** What a plan takes up of a reach for one fish, besides its river. */
interface ForFish {
  rules: PlanReach["rules"];
  /** Undefined: not known yet, or nothing. */
  log: ReachLog | undefined;
  lies: readonly { discharge: number; lies: readonly Pick<Lie, "kind" | "drift" | "score">[] }[];
  travel: number | null;
}

const NO_LOG: ReachLog = { log: [], usualRate: null, known: null };

/** A reach as the plan has it: the one place where its parts come together. */
export const reachInPlan = ({ now: _, ...river }: ReachOutlook, { rules, log, lies, travel }: ForFish): PlanReach => ({
  ...river,
  rules,
  ...(log ?? NO_LOG),
  lies: lies.map((one) => lieQuality(one.discharge, one.lies)),
  travel,
});
