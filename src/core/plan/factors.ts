import type { Species } from "../fish/species-schema";
import { isFastRise } from "../gauge/cautions";
import { type ClarityClass, clarityClass } from "../gauge/clarity";
import { isPrime, limbOf } from "../gauge/limb";
import type { TideState } from "../gauge/tide-state";
import { isTooWarm, WARMTH, type WarmthClass, warmthIn, type WarmthRange } from "../gauge/warmth";
import { cloudClass } from "../gauge/weather";
import { COMMON_PRACTICE, sourced } from "../quantity/provenance";
import { weatherBar } from "./weather-factors";
import type { ConditionCode, FactorOf } from "./factor";
import type { PlanHour } from "./hours";

/** Why nobody is sent there then. */
export type Bar = "rising-fast" | "too-warm" | "closed" | "thunder" | "white-caps";

const RIVER = sourced({ prime: 1.5, falling: 1.1, steady: 1, rising: 0.7 }, "share", COMMON_PRACTICE);
const CLARITY = sourced<Record<ClarityClass, number>>(
  { muddy: 0.35, coloured: 0.95, green: 1.05, clear: 1, "gin-clear": 0.85 },
  "share",
  COMMON_PRACTICE,
);
const WARM = sourced({ "very-cold": 0.35, slow: 0.6, cool: 0.85, good: 1, warm: 0.75 }, "share", COMMON_PRACTICE);

/** Where a fish feeds freely, degC: trout and salmon by the trade's markers, others by their own curves. */
export const warmthRange = (species: Species): WarmthRange =>
  species.model === "ambush"
    ? {
        slow: species.suitability.turn[0],
        good: [species.suitability.turn[1], 0.85 * species.restAbove],
        stop: species.restAbove,
      }
    : WARMTH.value["trout-and-salmon"];

/**
 * Hours by temperature: cold water wakes when the sun is on it, mild water is best at first and last light, and what is
 * shy of light bites in the dark; under an overcast sky fish of clear water come up and in, and no sun is on the water.
 * Sun's height in degrees.
 */
const LIGHT = sourced(
  {
    cold: { sun: 1.2, day: 0.8, twilight: 0.5, night: 0.2 },
    mild: { edge: 1.25, day: 1, dull: 1.1, bright: 0.85, night: 0.35, "shy-night": 1.2 },
  },
  "share",
  COMMON_PRACTICE,
);
/** The sun is on the water from this height, stands high over it from that, and is low under a third, degrees. */
const SUN = sourced({ on: 12, bright: 45, low: 14 }, "degrees", COMMON_PRACTICE);
/** A fish that shuns light so much feeds by night. */
const SHY = sourced(0.5, "share", COMMON_PRACTICE);
const TIDE = sourced({ flooding: 1, ebbing: 1, slack: 0.7 }, "share", COMMON_PRACTICE);
const HIGH = sourced(0.5, "share", COMMON_PRACTICE);

function lightFactor(
  hour: PlanHour,
  warmth: WarmthClass | null,
  clarity: ClarityClass | null,
  species: Species,
): FactorOf<"light">[] {
  const { light, sun } = hour;
  const cloud = hour.weather?.cloud ?? null;
  const overcast = cloud !== null && cloudClass(cloud) === "overcast";
  if (light === null || sun === null) return [];
  const cold = warmth === "very-cold" || warmth === "slow";
  const of = (is: ConditionCode<"light">, factor: number): FactorOf<"light">[] => [{ what: "light", is, factor }];
  if (cold) {
    const is = light === "day" && sun >= SUN.value.on && !overcast ? "sun" : light;
    return of(`cold-${is}`, LIGHT.value.cold[is]);
  }
  const shy = species.model === "ambush" && species.shy >= SHY.value;
  if (light === "night")
    return shy ? of("shy-night", LIGHT.value.mild["shy-night"]) : of("night", LIGHT.value.mild.night);
  if (light === "twilight" || sun <= SUN.value.low) return of("edge", LIGHT.value.mild.edge);
  const clear = clarity === "clear" || clarity === "gin-clear";
  const is = clear && overcast ? "dull" : clear && sun >= SUN.value.bright ? "bright" : "day";
  return of(is, LIGHT.value.mild[is]);
}

/** Why nobody is sent there at that hour; undefined: nothing in the water's own state, or the air's, bars it. */
export function barOf(hour: PlanHour, species: Species): Bar | undefined {
  if (isFastRise(hour.ratePerHour)) return "rising-fast";
  const { temperature } = hour;
  const weather = weatherBar(hour.weather);
  if (weather) return weather;
  return temperature !== null && isTooWarm(species, temperature) ? "too-warm" : undefined;
}

/** An hour that is rated for a fish. */
export interface HourRated {
  hour: PlanHour;
  species: Species;
  tide: TideState["flow"] | null;
  /** Higher than the season hardly ever is. */
  veryHigh: boolean;
}

const clarityOf = ({ visibleDepth }: PlanHour): ClarityClass | null =>
  visibleDepth === null ? null : clarityClass(visibleDepth);
const warmthOf = ({ hour: { temperature }, species }: HourRated): WarmthClass | null =>
  temperature === null ? null : warmthIn(temperature, warmthRange(species));

/** The conditions of the water, the light and the tide; those of a reach and its log are in plan.ts. */
export const WATER_CONDITIONS = {
  river: ({ hour }: HourRated) => {
    const limb = limbOf(hour);
    const is = isPrime(limb, clarityOf(hour)) ? "prime" : limb;
    return [{ what: "river", is, factor: RIVER.value[is] } as const];
  },
  clarity: ({ hour }: HourRated) => {
    const is = clarityOf(hour);
    return is ? [{ what: "clarity", is, factor: CLARITY.value[is] } as const] : [];
  },
  warmth: (at: HourRated) => {
    const is = warmthOf(at);
    return is && is !== "too-warm" ? [{ what: "warmth", is, factor: WARM.value[is] } as const] : [];
  },
  light: (at: HourRated) => lightFactor(at.hour, warmthOf(at), clarityOf(at.hour), at.species),
  tide: ({ tide }: HourRated) => (tide ? [{ what: "tide", is: tide, factor: TIDE.value[tide] } as const] : []),
  season: ({ veryHigh }: HourRated) =>
    veryHigh ? [{ what: "season", is: "very-high", factor: HIGH.value } as const] : [],
};
