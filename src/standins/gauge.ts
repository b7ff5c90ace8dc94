import { HOUR } from "../core/gauge/series";
import { hash01, smoothNoise } from "../core/quantity/seeded";

/**
 * A made-up gauge: rain falls, the catchment answers and recedes, the water colours on the rise and clears, warms and
 * cools.
 * Hourly, seeded, and the same for the same instant. A stand-in for demo and tests; nothing in it is a real river.
 */
const SEED = 7;
/** The first hour of the made-up record. */
export const RECORD_START = Date.UTC(2023, 9, 1);
/** Catchment, km2. */
const AREA = 480;
/** Rating of the made-up section: Q = C (h - h0)^b. */
export const RATING = { C: 14, h0: 0.12, b: 1.9 };

export interface GaugeHour {
  time: number;
  /** m3/s */
  discharge: number;
  /** m */
  stage: number;
  /** degC */
  waterTemperature: number;
  /** NTU */
  turbidity: number;
  /** hPa */
  airPressure: number;
  /** mm since the hour before. */
  rain: number;
}

export const yearFraction = (time: number): number => {
  const year = new Date(time).getUTCFullYear();
  return (time - Date.UTC(year, 0, 1)) / (Date.UTC(year + 1, 0, 1) - Date.UTC(year, 0, 1));
};

/** Rain of an hour, mm: a storm every four days or so, wetter in winter. */
export function rainAt(time: number): number {
  const day = Math.floor(time / (24 * HOUR));
  const winter = 0.5 + 0.5 * Math.cos(2 * Math.PI * (yearFraction(time) - 0.04));
  let depth = 0;
  // A storm may have begun today or on either of the two days before.
  for (let back = 0; back <= 2; back++) {
    const start = day - back;
    if (hash01(SEED, start) > 0.2 + 0.12 * winter) continue;
    const begin = start * 24 + 20 * hash01(SEED + 1, start);
    const length = 5 + 22 * hash01(SEED + 2, start);
    const since = time / HOUR - begin;
    if (since < 0 || since > length) continue;
    const total = -Math.log(1 - 0.98 * hash01(SEED + 3, start)) * (5 + 6 * winter);
    depth += (total / length) * (Math.PI / 2) * Math.sin((Math.PI * since) / length);
  }
  return depth;
}

/** The last hour that the made-up record can have. */
export const RECORD_END = RECORD_START + 20 * 366 * 24 * HOUR;

/** Hours made so far, from the record's first on: each hangs on those before it, so that they are made once. */
const made: GaugeHour[] = [];
const hours = simulated();

/** All hours from `from` to `to` (ms) that lie within the record. */
export function simulateGauge(from: number, to: number): GaugeHour[] {
  const last = Math.floor((Math.min(to, RECORD_END) - RECORD_START) / HOUR);
  while (made.length <= last) made.push(hours.next().value);
  return made.slice(Math.max(0, Math.ceil((from - RECORD_START) / HOUR)), Math.max(0, last + 1));
}

/** The record, hour by hour, without end. */
function* simulated(): Generator<GaugeHour, never> {
  // Three stores, mm: quick runoff, soil drainage, ground water; and sediment left to move, 0..1.
  let [quick, soil, ground, sediment, wetness] = [0, 4, 60, 1, 0.5];
  let before = 3;
  for (let time = RECORD_START; ; time += HOUR) {
    const season = yearFraction(time);
    const thirst = 0.035 + 0.075 * Math.max(0, Math.sin((Math.PI * (season - 0.15)) / 0.7));
    const fallen = rainAt(time);
    wetness = Math.min(1, Math.max(0.05, wetness + fallen / 55 - thirst * wetness * 0.06));
    const runoff = fallen * 0.34 * wetness ** 1.5;
    quick += runoff;
    soil += fallen * 0.42 * wetness;
    ground += fallen * 0.26;
    const [q1, q2, q3] = [quick / 15, soil / 75, ground / 1400];
    quick -= q1;
    soil -= q2;
    ground -= q3;
    // mm/h over the catchment to m3/s.
    const discharge = Math.max(0.5, ((q1 + q2 + q3) * AREA) / 3.6);
    const rise = Math.max(0, Math.log(discharge / before));
    before = discharge;
    const moved = Math.min(sediment, rise * 0.5);
    sediment = Math.min(1, sediment - moved + 0.0025);
    const warmth = 10.2 - 6.6 * Math.cos(2 * Math.PI * (season - 0.06)) + 1.6 * smoothNoise(SEED + 5, time / HOUR, 96);
    const swing =
      (0.5 + 0.9 * Math.max(0, Math.sin((Math.PI * (season - 0.1)) / 0.8))) *
      Math.min(1, 6 / discharge) *
      Math.sin((2 * Math.PI * (time / HOUR - 10.5)) / 24);
    const colour =
      1.6 +
      0.55 *
        discharge ** 1.05 *
        (1 + 2.2 * Math.min(1, rise * 18) * (0.4 + sediment)) *
        (0.75 + 0.5 * hash01(SEED + 6, Math.floor(time / HOUR / 9)));
    const glass =
      1012 +
      11 * smoothNoise(SEED + 8, time / HOUR, 70) +
      7 * smoothNoise(SEED + 9, time / HOUR, 260) -
      5 * Math.min(1, fallen);
    const noise = 1 + 0.006 * (2 * hash01(SEED + 7, time / HOUR) - 1);
    yield {
      time,
      discharge: round(discharge * noise, 2),
      stage: round(RATING.h0 + (discharge / RATING.C) ** (1 / RATING.b), 3),
      waterTemperature: round(Math.max(0.1, warmth + swing), 1),
      turbidity: round(colour, 1),
      airPressure: round(glass, 1),
      rain: round(fallen, 1),
    };
  }
}

const round = (value: number, digits: number): number => Number(value.toFixed(digits));

/** When its flow sensor was out, as sensors are: from, and for how many hours. */
const OUTAGES: readonly (readonly [number, number])[] = [
  [Date.UTC(2024, 1, 9, 18), 30],
  [Date.UTC(2024, 10, 20, 3), 12],
  [Date.UTC(2025, 6, 14, 9), 8],
  [Date.UTC(2025, 11, 23), 30],
  [Date.UTC(2026, 0, 27), 30],
  [Date.UTC(2026, 3, 5, 18), 20],
];

/** The hours as the CSV that the stand-in serves. */
export function gaugeCsv(from: number, to: number): string {
  const lines = ["time,discharge (m3/s),stage (m),water temperature (C),turbidity (NTU),air pressure (hPa),rain (mm)"];
  for (const hour of simulateGauge(from, to)) {
    const out = OUTAGES.some(([from, hours]) => hour.time >= from && hour.time < from + hours * HOUR);
    lines.push(
      [
        new Date(hour.time).toISOString(),
        out ? "Eqp" : hour.discharge,
        out ? "Eqp" : hour.stage,
        hour.waterTemperature,
        hour.turbidity,
        hour.airPressure,
        hour.rain,
      ].join(","),
    );
  }
  return `${lines.join("\n")}\n`;
}
