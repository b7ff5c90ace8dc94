import { effortOf } from "../core/book/effort";
import { flowBands, ratesBy } from "../core/book/rates";
import type { Observation, Stretch } from "../core/book/bank-records";
import { knownPlace } from "../core/book/places";
import type { Catch, ReachRecord, Session, StationRecord, WaterRecord } from "../core/book/records";
import { isShelter } from "../core/fish/judgement";
import type { Lie } from "../core/fish/read";
import { placeOf } from "../core/flow/features";
import { reachSize } from "../core/flow/rasterise";
import { centreline } from "../core/flow/template";
import type { Outlook } from "../core/gauge/outlook";
import type { GaugeNow } from "../core/gauge/summary";
import { DAY } from "../core/gauge/series";
import type { Weather } from "../core/gauge/weather";
import type { LieQuality, PlanReach, Relief } from "../core/plan/plan";
import { type Bank, BANKS } from "../core/plan/weather-factors";
import { roundFlow } from "./field";

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
  const path = [discharge, ...points.filter((point) => point.time <= to).map((point) => point.median)];
  const flows = [Math.min(...path), Math.max(...path)].map(roundFlow);
  return flows[1]! / flows[0]! < SAME ? [roundFlow(discharge)] : flows;
}

/** Fewer fish than this in so long: new to the season, or to the fish. Common practice, no source. */
const NEW = { fish: 3, within: 60 * DAY };

/**
 * Where on a reach to learn the bite; null once it is learnt, where nothing is known, or where another reach is
 * better.
 */
function knownOn(reach: string, species: string, book: Parameters<typeof logOf>[2], now: number): string | null {
  const lately = book.catches.filter(
    (one) =>
      !one.deleted &&
      one.lost === undefined &&
      one.species === species &&
      Date.parse(one.at) <= now &&
      Date.parse(one.at) > now - NEW.within,
  );
  if (lately.length >= NEW.fish) return null;
  const place = knownPlace(book.sessions, book.catches, book.observations, species);
  return place?.reach === reach ? place.lie : null;
}

/** What of a reach eases the heat: what grows or hangs over it, banks that are cut under, water that joins it. */
const reliefOf = ({ bed, features }: ReachRecord["reach"]): Relief[] => [
  ...(bed.kind === "template" && bed.template === "tributary-mouth" ? (["inflow"] as const) : []),
  ...(features?.some(({ kind }) => kind === "overhang" || kind === "undercut") ? (["shade"] as const) : []),
];

/** Banks over whose water something hangs: trees, against the wind. */
function treesOf(reach: ReachRecord["reach"]): Bank[] {
  const roofs = (reach.features ?? []).filter(({ kind }) => kind === "overhang");
  if (roofs.length === 0) return [];
  const [, breadth] = reachSize(reach);
  return BANKS.filter((bank) =>
    roofs.some((roof) => {
      const [x, y] = placeOf(roof);
      const middle = reach.bed.kind === "template" ? centreline(reach.bed, x) : breadth / 2;
      return y < middle === (bank === "left");
    }),
  );
}

/** Catch rates by flow on one reach for one fish, and the usual one over everything that was fished for it. */
export function logOf(
  reach: string,
  species: string,
  book: {
    sessions: readonly Session[];
    catches: readonly Catch[];
    stretches: readonly Stretch[];
    observations: readonly Observation[];
  },
  now: number,
): Pick<PlanReach, "log" | "usualRate" | "known"> {
  const all = effortOf(book.sessions, book.catches, now, species, book.stretches);
  const here = all.filter((effort) => effort.reach === reach);
  const { classes } = ratesBy(here, flowBands(here), (effort) => effort.river?.discharge ?? null);
  const hours = all.reduce((sum, effort) => sum + effort.hours, 0);
  const fish = all.reduce((sum, effort) => sum + effort.catches.length, 0);
  return {
    log: classes.flatMap(({ key, low, high, hours: own, rate, interval }) =>
      key === "unknown" || rate === null || interval === null ? [] : [{ low, high, hours: own, rate, interval }],
    ),
    usualRate: hours > 0 ? (fish + 0.5) / (hours + 1) : null,
    known: knownOn(reach, species, book, now),
  };
}

/** A reach of the book as a plan sees it, but for its lies and how far it is. */
export function planReach(
  { id, reach }: ReachRecord,
  {
    station,
    water,
    weather,
  }: { station: StationRecord | undefined; water: WaterRecord | undefined; weather: Weather | null },
  outlook: Outlook | null,
  now: Pick<GaugeNow, "ratePerHour"> | undefined,
): Omit<PlanReach, "rules" | "log" | "usualRate" | "known" | "lies" | "travel"> {
  const [latitude, longitude] = [reach.latitude ?? station?.latitude, reach.longitude ?? station?.longitude];
  return {
    id,
    name: reach.name,
    place: latitude == null || longitude == null ? undefined : { latitude, longitude },
    outlook,
    // A gauge's bands are of its spots; those that name another reach are not this one's.
    bands: (water?.bands ?? []).filter(({ spot }) => spot.toLowerCase().startsWith(reach.name.toLowerCase())),
    constituents: water?.constituents ?? [],
    relief: reliefOf(reach),
    ratePerHour: now?.ratePerHour ?? null,
    weather,
    bearing: reach.bearing ?? null,
    trees: treesOf(reach),
    damNote: water?.damNote.trim() ?? "",
  };
}
