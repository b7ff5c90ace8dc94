import { effortOf } from "../core/book/effort";
import { flowBands, ratesBy } from "../core/book/rates";
import type { Observation, EffortInterval } from "../core/book/bank-records";
import { knownPlace } from "../core/book/places";
import type { Catch, ReachRecord, Session, StationRecord, WaterRecord } from "../core/book/records";
import { placeOf } from "../core/flow/features";
import { reachSize } from "../core/flow/rasterise";
import { centreline } from "../core/flow/template";
import { isRisingFast } from "../core/gauge/cautions";
import { outlookOf } from "../core/gauge/outlook";
import { type GaugeNow, gaugeNow, type GaugeRecord, lastInstant, ownWaterAt } from "../core/gauge/summary";
import { DAY } from "../core/gauge/series";
import { tideTurns } from "../core/gauge/tide";
import { isZone } from "../core/quantity/local-time";
import type { PlanReach, Relief } from "../core/plan/plan-reach";
import { type Side, SIDES } from "../core/plan/weather-factors";

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
function treesOf(reach: ReachRecord["reach"]): Side[] {
  const roofs = (reach.features ?? []).filter(({ kind }) => kind === "overhang");
  if (roofs.length === 0) return [];
  const [, breadth] = reachSize(reach);
  return SIDES.filter((bank) =>
    roofs.some((roof) => {
      const [x, y] = placeOf(roof);
      const middle = reach.bed.kind === "template" ? centreline(reach.bed, x) : breadth / 2;
      return y < middle === (bank === "left");
    }),
  );
}

/** What the log says of a reach for one fish. */
export type ReachLog = Pick<PlanReach, "log" | "usualRate" | "known">;

/** Catch rates by flow on one reach for one fish, and the usual one over everything that was fished for it. */
export function logOf(
  reach: string,
  species: string,
  book: {
    sessions: readonly Session[];
    catches: readonly Catch[];
    stretches: readonly EffortInterval[];
    observations: readonly Observation[];
  },
  now: number,
): ReachLog {
  const all = effortOf(book.sessions, book.catches, now, species, book.stretches);
  const here = all.filter((effort) => effort.reach === reach);
  const { classes } = ratesBy(here, flowBands(here), (effort) => effort.river?.discharge ?? null);
  const hours = all.reduce((sum, effort) => sum + effort.hours, 0);
  const fish = all.reduce((sum, effort) => sum + effort.catches.length, 0);
  return {
    log: classes.flatMap(({ key, low, high, hours: own, events, rate, interval }) =>
      key === "unknown" || rate === null || interval === null
        ? []
        : [{ low, high, hours: own, events, rate, interval }],
    ),
    usualRate: hours > 0 ? (fish + 0.5) / (hours + 1) : null,
    known: knownOn(reach, species, book, now),
  };
}

/** Tides are told so long before the last reading and after it, ms: past all that a forecast says. */
const TURNS = { before: 2 * DAY, after: 16 * DAY };

/** What a gauge says by an instant, ms: its state then, and what that leads to. */
function lastWord(gauge: GaugeRecord | undefined, at: number): Pick<ReachOutlook, "now" | "outlook"> {
  const last = gauge ? lastInstant(gauge) : null;
  if (!gauge || last === null) return { now: null, outlook: null };
  const read = Math.min(last, at);
  return { now: gaugeNow(gauge, read), outlook: outlookOf(gauge, read) };
}

/** A reach as a plan sees it, but for what is asked per fish; and its gauge's last word. */
export type ReachOutlook = Omit<PlanReach, "rules" | "log" | "usualRate" | "known" | "lies" | "travel"> & {
  now: GaugeNow | null;
};

/** Where a reach lies, degrees; its gauge's place where nobody said, undefined where that has none either. */
function placeOfReach(reach: ReachRecord["reach"], station: StationRecord | undefined): PlanReach["place"] {
  const [latitude, longitude] = [reach.latitude ?? station?.latitude, reach.longitude ?? station?.longitude];
  return latitude == null || longitude == null ? undefined : { latitude, longitude };
}

/**
 * A reach at an instant, ms, by its gauge's record at the reach: nothing that was read later is known. `water` is that
 * of its gauge.
 */
export function reachOutlook(
  { id, reach }: ReachRecord,
  {
    gauge,
    station,
    water,
  }: {
    gauge: GaugeRecord | undefined;
    station: StationRecord | undefined;
    water: WaterRecord | undefined;
  },
  at: number,
): ReachOutlook {
  const { now, outlook } = lastWord(gauge, at);
  const known = water?.deleted ? undefined : water;
  return {
    id,
    name: reach.name,
    place: placeOfReach(reach, station),
    outlook,
    own: gauge ? ownWaterAt(gauge, at) : null,
    now,
    // A gauge's bands are of its spots; those that name another reach are not this one's.
    bands: (known?.bands ?? []).filter(({ spot }) => spot.toLowerCase().startsWith(reach.name.toLowerCase())),
    turns: outlook ? tideTurns(known?.constituents ?? [], outlook.at - TURNS.before, outlook.at + TURNS.after) : [],
    relief: reliefOf(reach),
    risingFast: now !== null && isRisingFast(now),
    zone: station && isZone(station.zone) ? station.zone : null,
    weather: gauge?.weather ?? null,
    bearing: reach.bearing ?? null,
    trees: treesOf(reach),
    damNote: known?.damNote.trim() ?? "",
  };
}
