import type { Bank } from "../book/bank-records";
import type { Species } from "../fish/species-schema";
import { leaveTheWater, weatherCautions } from "../gauge/cautions";
import { DAY } from "../gauge/series";
import {
  acrossToRight,
  BEAUFORT,
  type Cloud,
  CLOUD_SHARE,
  meanWind,
  NO_WEATHER,
  type Weather,
  weatherAt,
  type WeatherHour,
  type Wind,
  WIND_SPEED,
} from "../gauge/weather";
import { COMMON_PRACTICE, sourced } from "../quantity/provenance";
import type { FactorOf } from "./factor";

/** One bank of the two. */
export const SIDES = ["left", "right"] as const satisfies readonly Bank[];
export type Side = (typeof SIDES)[number];

/** The air over a reach, and how it lies to the wind. */
export interface Exposure {
  weather: Weather | null;
  /** The way its x runs, degrees; null where nobody said. */
  bearing: number | null;
  /** Banks with growth that hangs over the water. */
  trees: readonly Side[];
}

/** Sky and wind as the angler expects them, in place of a forecast's; null: as forecast. */
export interface ExpectedSky {
  cloud: Cloud | null;
  wind: Wind | null;
}

/** The weather of an hour: as forecast, but for what the angler expects of it; null where nothing is said. */
export function weatherThen(weather: Weather | null, sky: ExpectedSky | undefined, at: number): WeatherHour | null {
  const forecast = weather && weatherAt(weather, at);
  if (!sky || (sky.cloud === null && sky.wind === null)) return forecast;
  return {
    ...(forecast ?? { time: at, ...NO_WEATHER }),
    ...(sky.cloud && { cloud: CLOUD_SHARE.value[sky.cloud] }),
    ...(sky.wind && { wind: WIND_SPEED.value[sky.wind], gust: null }),
  };
}

/** A wind blows across a reach from this share of it on: within 70 degrees of square. */
const ACROSS = 0.35;

/** The bank that a wind comes over, or goes to; null where it blows along the reach, or nobody knows. */
function bankOf(windFrom: number | null, bearing: number | null, which: "from" | "to"): Side | null {
  if (windFrom === null || bearing === null) return null;
  const across = acrossToRight(windFrom, bearing);
  if (Math.abs(across) < ACROSS) return null;
  return across > 0 === (which === "from") ? "left" : "right";
}

/**
 * From a fresh wind on light heads are felt less and less and a boat drifts off; behind trees half of it is left. At
 * the end of the scale nobody is sent (weatherBar).
 */
const WIND = sourced({ least: 0.6, lee: 0.5 }, "share", COMMON_PRACTICE);

export function windFactor(
  hour: WeatherHour | null,
  { bearing, trees }: Omit<Exposure, "weather">,
): FactorOf<"wind">[] {
  const { wind, windFrom } = hour ?? NO_WEATHER;
  if (wind === null || wind < BEAUFORT.fresh) return [];
  const bank = bankOf(windFrom, bearing, "from");
  const lee = bank !== null && trees.includes(bank);
  const felt = lee ? wind * WIND.value.lee : wind;
  const share = Math.min(1, Math.max(0, (felt - BEAUFORT.fresh) / (BEAUFORT.strong - BEAUFORT.fresh)));
  return [{ what: "wind", is: lee ? `lee-${bank}` : "open", factor: 1 - share * (1 - WIND.value.least) }];
}

/** A wind that has stood on a bank for so long, at least so strong, gathers bait there. */
const ON_BANK = sourced({ days: 2, speed: 3, factor: 1.05 }, "day, m/s, share", COMMON_PRACTICE);

/** Bait gathers where the wind has blown for days, and what eats it follows. */
export function baitFactor(at: number, { weather, bearing }: Exposure, species: Species): FactorOf<"bait">[] {
  if (species.model !== "ambush" || !weather || bearing === null) return [];
  const mean = meanWind(weather, at - ON_BANK.value.days * DAY, at);
  if (!mean || mean.speed < ON_BANK.value.speed) return [];
  const bank = bankOf(mean.windFrom, bearing, "to");
  return bank ? [{ what: "bait", is: bank, factor: ON_BANK.value.factor }] : [];
}

/** Why the air keeps everybody from the water, by the cautions that do so now (cautions.ts). */
const AIR_BARS = { storm: "thunder", wind: "white-caps" } as const;

/** Nobody is sent out under forecast thunder, nor into wind or gusts of white caps. */
export function weatherBar(hour: WeatherHour | null): "thunder" | "white-caps" | undefined {
  const air = weatherCautions(hour).find((one) => leaveTheWater([one]));
  return air && AIR_BARS[air.kind as keyof typeof AIR_BARS];
}
