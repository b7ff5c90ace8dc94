import { COMMON_PRACTICE, sourced } from "../quantity/provenance";
import type { ClarityClass } from "./clarity";

export type ForecastLimb = "rising" | "falling" | "steady";

/** A forecast that moves by less than this, 1/h, stands: about 5 % a day down, 25 % a day up. */
const MOVES = sourced({ falling: -0.002, rising: 0.01 }, "1/h", COMMON_PRACTICE);

/** Which way a river goes by its rate of change, d ln Q/dt in 1/h. */
export const limbOf = ({ ratePerHour }: { ratePerHour: number }): ForecastLimb =>
  ratePerHour < MOVES.value.falling ? "falling" : ratePerHour > MOVES.value.rising ? "rising" : "steady";

/** The level coming down and some colour still in: neither alone is it. */
export const isPrime = (limb: ForecastLimb | null, clarity: ClarityClass | null): boolean =>
  limb === "falling" && (clarity === "coloured" || clarity === "green");
