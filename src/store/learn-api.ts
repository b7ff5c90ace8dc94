import { surroundingsOf } from "../core/book/surroundings";
import { type Surroundings, fishedIn, ratesIn } from "../core/book/classes";
import { RATE_KINDS, type RateKind, type RateScale, SI_SCALE } from "../core/book/rate-terms";
import { type Effort, effortOf } from "../core/book/effort";
import { learnPreference, type Preference, type Trial, tryPreference } from "../core/book/preference";
import { compareRates, type Comparison, type Rates } from "../core/book/rates";
import { type Signal, signalsOf } from "../core/book/signals";
import { type SmoothPoint, smoothRate } from "../core/book/smooth-rate";
import { type Answer, answerLater } from "../core/quantity/answer";
import { isZone, localDate } from "../core/quantity/local-time";
import type { ReachRecord, StationRecord } from "../core/book/records";
import { stream } from "../core/quantity/seeded";
import { type Hindcast, hindcasts } from "../core/gauge/hindcast";
import { seriesOf } from "../core/gauge/summary";
import { logOf, type ReachLog, type ReachOutlook, reachOutlook } from "../scenario/plan";
import { database } from "./database";
import { gaugeAtReach } from "./river";

/** What is asked of the log: one reach or all, one kind of fish or all. */
export interface LearnScope {
  reach: string | null;
  species: string | null;
  scale: RateScale;
  /** What still runs counts to here, ms. */
  now: number;
}

/** A class of a property. */
export interface RateClass {
  kind: RateKind;
  key: string;
}

/** One side of a comparison: fishing that meets all of some conditions. */
export type Side = readonly RateClass[];

/** The same log gives the same answer. */
const SEED = 1;

/** Clocks of the waters: each reach's by the zone of its gauge, this device's where there is none. */
const clocksOf = (reaches: readonly ReachRecord[], stations: readonly StationRecord[]): Surroundings["clockOf"] => {
  const zoneOf = new Map(stations.map((one) => [one.id, one.zone]));
  const zones = new Map(reaches.map((one) => [one.id, zoneOf.get(one.station ?? "") ?? ""]));
  const own = new Intl.DateTimeFormat().resolvedOptions().timeZone || "UTC";
  return (at, reach) => {
    const zone = zones.get(reach) ?? "";
    const local = localDate(at, isZone(zone) ? zone : own);
    return { hour: local.getUTCHours() + local.getUTCMinutes() / 60, month: local.getUTCMonth() };
  };
};

/** The fishing that is asked about, and what is known of its waters. */
async function fishing({ reach, species, now }: LearnScope) {
  const db = database();
  const [sessions, catches, stretches, reaches, stations, waters, pressures] = await db.transaction(
    "r",
    [db.sessions, db.catches, db.stretches, db.reaches, db.stations, db.waters, db.series],
    async () => [
      await db.sessions.toArray(),
      await db.catches.toArray(),
      await db.stretches.toArray(),
      await db.reaches.toArray(),
      await db.stations.toArray(),
      await db.waters.toArray(),
      await db.series.filter((one) => one.parameter === "airPressure" && !one.deleted).toArray(),
    ],
  );
  const here = sessions.filter((session) => reach === null || session.reach === reach);
  return {
    efforts: effortOf(here, catches, now, species ?? undefined, stretches),
    around: surroundingsOf(
      { reaches, stations, waters },
      new Map(pressures.map((one) => [one.station, one])),
      clocksOf(reaches, stations),
    ),
  };
}

async function planned(minute: number): Promise<ReachOutlook[]> {
  const db = database();
  const reaches = (await db.reaches.toArray()).filter((one) => !one.deleted);
  const found: ReachOutlook[] = [];
  for (const reach of reaches) {
    const gauge = await gaugeAtReach(db, reach);
    const of = reach.station;
    const [station, water] = of ? [await db.stations.get(of), await db.waters.get(of)] : [];
    found.push(reachOutlook(reach, { gauge, station, water }, minute));
  }
  return found;
}

/** Sessions whose forecast is looked back at. */
const MOST_OUTCOMES = 20;

/** What was learnt of the places that fish like, and whether it ranks better than the model. */
export interface Learnt {
  preference: Preference;
  trial: Trial | null;
}

/** What the log has to say: worked out off the page, on the whole of it. */
export const learnApi = {
  rates: (kind: RateKind, scope: LearnScope): Promise<Answer<Rates>> =>
    answerLater(async () => {
      const { efforts, around } = await fishing(scope);
      return ratesIn(kind, efforts, scope.scale, around);
    }),
  signals: (scope: LearnScope): Promise<Answer<Signal[]>> =>
    answerLater(async () => {
      const { efforts, around } = await fishing(scope);
      return signalsOf(RATE_KINDS, efforts, scope.scale, around, stream(SEED));
    }),
  smooth: (scope: LearnScope): Promise<Answer<SmoothPoint[]>> =>
    answerLater(async () => smoothRate((await fishing(scope)).efforts, stream(SEED))),
  /** What the fish of a river (all reaches on one gauge) say of their places, from an instant on. */
  preference: (species: string, station: string | null, from: string | null): Promise<Answer<Learnt>> =>
    answerLater(async () => {
      const { efforts } = await fishing({ reach: null, species, scale: SI_SCALE, now: 0 });
      const here = new Set(
        (await database().reaches.toArray()).filter((one) => one.station === station).map((one) => one.id),
      );
      const since = from === null ? -Infinity : Date.parse(from);
      const own = efforts.filter((one) => here.has(one.reach) && one.start >= since);
      return { preference: learnPreference(own), trial: tryPreference(own) };
    }),
  /** What was said a day before of the hours at which sessions on a reach began, newest first, and what came. */
  outcomes: (reach: string): Promise<Answer<Hindcast[]>> =>
    answerLater(async () => {
      const db = database();
      const gauge = await gaugeAtReach(db, await db.reaches.get(reach));
      const discharge = gauge && seriesOf(gauge, "discharge");
      if (!discharge) return [];
      const sessions = (await db.sessions.where("reach").equals(reach).toArray()).filter((one) => !one.deleted);
      const starts = sessions.map((one) => Date.parse(one.start)).sort((a, b) => b - a);
      return hindcasts(discharge, starts.slice(0, MOST_OUTCOMES));
    }),
  planned: (minute: number): Promise<Answer<ReachOutlook[]>> => answerLater(async () => planned(minute)),
  /** Rates by flow of every reach for one fish. */
  logs: (species: string, now: number): Promise<Answer<Record<string, ReachLog>>> =>
    answerLater(async () => {
      const db = database();
      const [reaches, sessions, catches, stretches, observations] = await Promise.all([
        db.reaches.toCollection().primaryKeys(),
        db.sessions.toArray(),
        db.catches.toArray(),
        db.stretches.toArray(),
        db.observations.toArray(),
      ]);
      return Object.fromEntries(
        reaches.map((reach) => [reach, logOf(reach, species, { sessions, catches, stretches, observations }, now)]),
      );
    }),
  compare: (one: Side, other: Side, scope: LearnScope): Promise<Answer<Comparison | null>> =>
    answerLater(async () => {
      const { efforts, around } = await fishing(scope);
      const side = (conditions: Side) =>
        conditions.reduce<Effort[]>((left, { kind, key }) => fishedIn(kind, key, left, scope.scale, around), efforts);
      return compareRates(side(one), side(other));
    }),
};

export type LearnApi = typeof learnApi;
