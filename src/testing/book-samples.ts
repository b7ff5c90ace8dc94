import { HOUR } from "../core/gauge/series";
import type { Observation, RuleRecord, EffortInterval } from "../core/book/bank-records";
import type { Effort } from "../core/book/effort";
import type { Catch, RiverState, SeriesRecord, Session } from "../core/book/records";
import { asRecorded, datedAt } from "../core/book/series-join";

/** Plain records for tests. */

const AT = "2026-05-01T00:00:00.000Z";

export const sampleSession = (id: string, change: Partial<Session> = {}): Session => ({
  schema: "low-heron/session@1",
  id,
  updatedAt: AT,
  reach: "reach",
  start: AT,
  end: null,
  rods: 1,
  species: "brown-trout",
  notes: "",
  river: null,
  ...change,
});

export const sampleCatch = (id: string, session: string, change: Partial<Catch> = {}): Catch => ({
  schema: "low-heron/catch@1",
  id,
  updatedAt: AT,
  session,
  at: AT,
  species: "brown-trout",
  length: null,
  lie: "",
  lure: "",
  notes: "",
  river: null,
  ...change,
});

/** A stage record of so many hours after an instant, ms, that came in at a stamp; null is a gap. */
export const sampleSeries =
  (from: number) =>
  (
    readings: readonly (readonly [hour: number, value: number | null])[],
    stamp: string,
    change: Partial<SeriesRecord> = {},
  ): SeriesRecord => ({
    schema: "low-heron/series@2",
    id: "g-stage",
    station: "g",
    parameter: "stage",
    unit: "m",
    updatedAt: stamp,
    ...asRecorded(
      datedAt(
        stamp,
        Float64Array.from(readings, ([hour]) => from + hour * HOUR),
        Float64Array.from(readings, ([, value]) => value ?? NaN),
      ),
    ),
    ...change,
  });

/** The river of which only this is known. */
export const sampleRiver = (change: Partial<RiverState>): RiverState => ({
  at: AT,
  discharge: null,
  stage: null,
  waterTemperature: null,
  visibleDepth: null,
  exceedance: null,
  trend: null,
  ...change,
});

/** Hours under one state of the river, with so many fish. */
export const sampleEffort = (
  session: string,
  hours: number,
  river: Effort["river"],
  fish: number,
  change: Partial<Effort> = {},
): Effort => ({
  session,
  reach: "reach",
  start: Date.parse(AT),
  end: Date.parse(AT) + hours * HOUR,
  river,
  hours,
  catches: Array.from({ length: fish }, (_, k) => sampleCatch(`${session}-${k}`, session)),
  ...change,
});

export const sampleStretch = (id: string, change: Partial<EffortInterval> = {}): EffortInterval => ({
  schema: "low-heron/stretch@1",
  id,
  updatedAt: AT,
  session: "s",
  rod: 1,
  angler: "",
  start: AT,
  end: null,
  lie: "",
  place: null,
  method: null,
  lure: "",
  colour: "",
  piece: "",
  depth: null,
  fixed: false,
  river: null,
  casts: [],
  ...change,
});

export const sampleObservation = (id: string, change: Partial<Observation> = {}): Observation => ({
  schema: "low-heron/observation@1",
  id,
  updatedAt: AT,
  session: "s",
  stretch: null,
  at: AT,
  kind: "bite",
  notes: "",
  angler: "",
  lie: "",
  place: null,
  ...change,
});

export const sampleRule = (id: string, change: Partial<RuleRecord> = {}): RuleRecord => ({
  schema: "low-heron/rule@1",
  id,
  updatedAt: AT,
  reach: null,
  bank: "both",
  species: "brown-trout",
  hooks: "",
  bait: "",
  notes: "",
  entered: AT,
  expires: null,
  ...change,
});

/** A record from an instant, ms, on: what reads all of it takes its time over years. */
export const recordSince = (from: number, { times, values, marks, ...rest }: SeriesRecord): SeriesRecord => {
  const first = times.findIndex((time) => time > from);
  return { ...rest, times: times.slice(first), values: values.slice(first), marks: marks.slice(first) };
};
