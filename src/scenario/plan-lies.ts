import { isShelter } from "../core/fish/judgement";
import type { Lie } from "../core/fish/read";
import type { Species } from "../core/fish/species-schema";
import type { Reach } from "../core/flow/reach-schema";
import { clarityClass } from "../core/gauge/clarity";
import { type ForecastPoint, levelAt, withStart } from "../core/gauge/forecast";
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
export const lieQuality = (
  { discharge, visibleDepth }: PlanWater,
  lies: readonly Pick<Lie, "kind" | "drift" | "score">[],
): LieQuality => ({
  discharge,
  visibleDepth,
  score:
    fishedLies(lies)
      .slice(0, VISITED)
      .reduce((sum, { score }) => sum + score, 0) / VISITED,
});

/** Of lies looked at in some waters, those in the one nearest by ratio of flow and clarity; undefined without any. */
export function nearestWater<T extends PlanWater>(looked: readonly T[], then: PlanWater): T | undefined {
  const apart = (one: T) =>
    Math.abs(Math.log(one.discharge / then.discharge)) +
    (one.visibleDepth && then.visibleDepth ? Math.abs(Math.log(one.visibleDepth / then.visibleDepth)) : 0);
  return [...looked].sort((a, b) => apart(a) - apart(b))[0];
}

/** Two flows nearer than this by ratio show the same lies. Own choice. */
const SAME = 1.15;

/** A water that a reach is looked at in: how much of it, m3/s, and how far one sees, m; null where nothing says. */
export type PlanWater = Pick<LieQuality, "discharge" | "visibleDepth">;

/**
 * The waters in which a reach is looked at: now, and how far the middle of the forecast goes either way until then,
 * each as clear as it is by that time.
 * @param seenNow how far one sees now, m
 */
export function planWaters(
  outlook: Pick<Outlook, "flow" | "visibleDepth"> | null,
  to: number,
  seenNow: number | null = null,
): PlanWater[] {
  if (!outlook?.flow) return [];
  const { visibleDepth } = outlook;
  const { from } = outlook.flow;
  const depthAt = (at: number) =>
    (at === from ? seenNow : null) ?? (visibleDepth && levelAt(visibleDepth, at, "median")) ?? null;
  // A dry bed, and one that the tide runs up, have no water that could be read.
  const path = withStart(outlook.flow).filter(({ time, median }) => time <= to && median > 0);
  const waterAt = ({ time, median }: ForecastPoint): PlanWater => ({
    discharge: roundFlow(median),
    visibleDepth: depthAt(time),
  });
  const [first, last] = [path[0], path.at(-1)];
  if (!first || !last) return [];
  const least = path.reduce((low, one) => (one.median < low.median ? one : low));
  const most = path.reduce((high, one) => (one.median > high.median ? one : high));
  const [low, high] = [waterAt(least), waterAt(most)];
  if (high.discharge / low.discharge >= SAME) return [low, high];
  const [now, then] = [waterAt(first), { ...waterAt(last), discharge: roundFlow(first.median) }];
  return isSameClarity(now, then) ? [now] : [now, then];
}

const isSameClarity = ({ visibleDepth: one }: PlanWater, { visibleDepth: other }: PlanWater): boolean =>
  one === null || other === null || clarityClass(one) === clarityClass(other);

/** The water of a reach that a plan wants read, and how. */
interface LiesAsked extends PlanWater {
  request: ReadingRequest;
}

/** What a plan asks of a reach for a fish: its lies by day, as the fish lives at `at`, in each water that may come. */
export function liesAsked(
  reach: Reach,
  { now, outlook, place }: Pick<ReachOutlook, "now" | "outlook" | "place">,
  species: Species,
  { at, to, likings }: { at: number; to: number; likings?: ReadingRequest["likings"] },
): LiesAsked[] {
  const conditions = conditionsOf(now ?? undefined, at, place, { discharge: null, light: "day" });
  const living = livingFish(species, "auto", conditions, place?.latitude).species;
  const seenNow = now?.visibleDepth ?? null;
  return planWaters(outlook, to, seenNow).map((water) => {
    // Ahead to a decimetre: a finer one would have the water read anew with each reading of the gauge.
    const seen = water.visibleDepth && Math.max(0.1, Math.round(10 * water.visibleDepth) / 10);
    const then = seen && water.visibleDepth !== seenNow ? { ...conditions, visibleDepth: seen } : conditions;
    return { ...water, request: readingRequest(living, then, reach.features, likings) };
  });
}

/** What a plan takes up of a reach for one fish, besides its river. */
interface ForFish {
  rules: PlanReach["rules"];
  /** Undefined: not known yet, or nothing. */
  log: ReachLog | undefined;
  lies: readonly (PlanWater & { lies: readonly Pick<Lie, "kind" | "drift" | "score">[] })[];
  travel: number | null;
}

const NO_LOG: ReachLog = { log: [], usualRate: null, known: null };

/** A reach as the plan has it: the one place where its parts come together. */
export const reachInPlan = ({ now: _, ...river }: ReachOutlook, { rules, log, lies, travel }: ForFish): PlanReach => ({
  ...river,
  rules,
  ...(log ?? NO_LOG),
  lies: lies.map((one) => lieQuality(one, one.lies)),
  travel,
});
