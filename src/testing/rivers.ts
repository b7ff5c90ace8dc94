import { type Series, seriesFromColumns } from "../core/gauge/series";

/**
 * Rivers of every regime, made up hour by hour for measuring forecasts; nothing of the demo's gauge is in them, its
 * random numbers neither, so that no model can have learnt its generator.
 */
export const REGIMES_MADE = [
  "rain",
  "flashy",
  "groundwater",
  "snow",
  "released",
  "tidal",
  "lake",
  "lowland",
  "drying",
] as const;
export type RegimeMade = (typeof REGIMES_MADE)[number];

export interface MadeRiver {
  discharge: Series;
  /** mm in each hour of the record. */
  rain: Float64Array;
}

const HOUR = 3_600_000;
const START = Date.UTC(2021, 2, 1);
const YEAR = 365.25 * 24;

/** Uniform and normal numbers of a seed: a linear congruence (Park & Miller 1988), Box & Muller 1958. */
function drawn(seed: number) {
  let state = (seed * 7919 + 104_729) % 2_147_483_647;
  const uniform = () => {
    state = (state * 48_271) % 2_147_483_647;
    return state / 2_147_483_647;
  };
  const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
  return { uniform, normal };
}
type Drawn = ReturnType<typeof drawn>;

/** Rain, mm an hour: storms as rectangular pulses that come at random (Rodriguez-Iturbe et al. 1987). */
function rainOf(hours: number, { uniform }: Drawn, { storms = 95, depth = 9, hoursOf = 9 } = {}): Float64Array {
  const rain = new Float64Array(hours);
  const chance = storms / YEAR;
  for (let k = 0; k < hours; k++) {
    if (uniform() > chance) continue;
    const total = -depth * Math.log(uniform());
    const length = 1 + Math.floor(-hoursOf * Math.log(uniform()));
    for (let h = 0; h < length && k + h < hours; h++) rain[k + h]! += (total / length) * (0.5 + uniform());
  }
  return rain;
}

/** Share of the year gone at an hour of the record, from midwinter. */
const season = (k: number): number => ((k + 59 * 24) % YEAR) / YEAR;
const warmth = (k: number): number => 0.5 - 0.5 * Math.cos(2 * Math.PI * (season(k) - 0.05));
const hourOfDay = (k: number): number => k % 24;

/** A catchment: wet soil that sheds more, a quick and a slow store, a storage that is not linear. m3/s. */
function catchment(rain: Float64Array, { quick = 9, slow = 900, area = 120, share = 0.5 } = {}): Float64Array {
  let [soil, fast, ground] = [60, 0, 40];
  const most = 140;
  return rain.map((fallen, k) => {
    const shed = fallen * (soil / most) ** 2;
    soil = Math.max(1, Math.min(most, soil + fallen - shed - 0.16 * warmth(k) * (soil / most)));
    fast += share * shed;
    ground += (1 - share) * shed + 0.012 * (soil / most) ** 3;
    const [out, base] = [fast / quick, (ground / slow) * (ground / 60) ** 0.5];
    fast -= out;
    ground -= base;
    return ((out + base) * area) / 3.6;
  });
}

const MADE: Record<RegimeMade, (hours: number, of: Drawn) => { q: Float64Array; rain: Float64Array }> = {
  rain: (hours, of) => {
    const rain = rainOf(hours, of);
    return { rain, q: catchment(rain, { quick: 22 }).map((q) => q + 0.3) };
  },
  flashy: (hours, of) => {
    const rain = rainOf(hours, of, { storms: 60, depth: 16, hoursOf: 5 });
    return { rain, q: catchment(rain, { quick: 5, slow: 500, share: 0.8, area: 40 }).map((q) => q + 0.05) };
  },
  groundwater: (hours, of) => {
    const rain = rainOf(hours, of);
    return { rain, q: catchment(rain, { quick: 30, slow: 4000, share: 0.04, area: 90 }).map((q) => q + 0.8) };
  },
  snow: (hours, of) => {
    const rain = rainOf(hours, of, { storms: 40 });
    let [pack, store, mild] = [0, 4, 0];
    const q = rain.map((fallen, k) => {
      mild += -0.012 * mild + 0.25 * of.normal();
      const air = -9 + 24 * warmth(k) + mild + 5 * Math.sin((2 * Math.PI * (hourOfDay(k) - 9)) / 24);
      const falls = air < 1;
      if (falls) pack += 2.2 * fallen;
      const melt = Math.min(pack, Math.max(0, 0.16 * air));
      pack -= melt;
      store += melt + (falls ? 0 : 0.4 * fallen);
      const out = store / 16;
      store -= out;
      return 1.2 + (out * 200) / 3.6;
    });
    return { rain, q };
  },
  released: (hours, of) => {
    const rain = rainOf(hours, of);
    const side = catchment(rain, { area: 15 });
    let [running, at] = [false, 4];
    const q = side.map((inflow, k) => {
      const weekday = Math.floor(k / 24) % 7 < 5;
      const hour = hourOfDay(k);
      // Begun each morning of the week and each evening; now and then left out, or an hour late.
      if (hour === 7 && weekday) running = of.uniform() < 0.93;
      if (hour === 17) running = of.uniform() < 0.9;
      if (hour === 12 || hour === 21) running = false;
      at += 0.75 * ((running ? 28 : 4) - at);
      return at + 0.3 * inflow;
    });
    return { rain, q };
  },
  tidal: (hours, of) => {
    const rain = rainOf(hours, of);
    const river = catchment(rain, { area: 300 });
    const tide = (k: number) =>
      32 * Math.cos((2 * Math.PI * k) / 12.4206) +
      9 * Math.cos((2 * Math.PI * k) / 12 + 1) +
      4 * Math.cos((2 * Math.PI * k) / 25.8193 + 2);
    return { rain, q: river.map((q, k) => q + 10 + tide(k)) };
  },
  lake: (hours, of) => {
    const rain = rainOf(hours, of);
    const inflow = catchment(rain, { area: 160 });
    let level = 0.5;
    const q = inflow.map((come) => {
      const out = 18 * Math.max(0.02, level) ** 1.5;
      level += ((come - out) * 3600) / 9e6;
      return out;
    });
    return { rain, q };
  },
  lowland: (hours, of) => {
    const rain = rainOf(hours, of, { storms: 110 });
    let [a, b] = [10, 10];
    const q = catchment(rain, { quick: 30, slow: 1500, area: 900 }).map((come) => {
      a += (come - a) / 30;
      b += (a - b) / 40;
      return b + 2;
    });
    return { rain, q };
  },
  drying: (hours, of) => {
    const rain = rainOf(hours, of, { storms: 45, depth: 11 }).map((fallen, k) => fallen * (1.15 - warmth(k)));
    return { rain, q: catchment(rain, { quick: 12, slow: 260, area: 25 }).map((q) => (q < 0.02 ? 0 : q - 0.02)) };
  },
};

/** A river of a regime: so many years of hours, as a gauge rounds them, with gaps as gauges have them. */
export function madeRiver(regime: RegimeMade, seed: number, years = 3): MadeRiver {
  const of = drawn(seed * 31 + REGIMES_MADE.indexOf(regime));
  const hours = Math.round(years * YEAR);
  const { q, rain } = MADE[regime](hours, of);
  let out = 0;
  const read = q.map((value) => {
    if (out === 0 && of.uniform() < 1 / 4000) out = 1 + Math.floor(30 * of.uniform());
    if (out > 0) {
      out--;
      return NaN;
    }
    return Number((value * (1 + 0.006 * of.normal())).toPrecision(3));
  });
  const times = Array.from(read, (_, k) => START + k * HOUR);
  return { discharge: seriesFromColumns("discharge", times, Array.from(read)), rain };
}
