import { linearRegression } from "simple-statistics";
import { VISIBLE_DEPTH_FIT } from "./clarity";

/** The angler's own reading beside the gauge's: NTU and visible depth, m, at one time. */
export interface ClarityPair {
  turbidity: number;
  visibleDepth: number;
}

export interface ClarityFit {
  /** visible depth = a NTU^b, m. */
  a: number;
  b: number;
  /** Pairs it stands on; 0 is the default, from memory. */
  pairs: number;
  /** Scatter of ln depth about the fit; null where it cannot be told. */
  scatter: number | null;
}

export const DEFAULT_CLARITY_FIT: ClarityFit = { ...VISIBLE_DEPTH_FIT.value, pairs: 0, scatter: null };

/**
 * Pairs that refit the conversion, and spread of ln NTU under which only its level moves and not its slope. Common
 * practice, no source.
 */
const LEAST_PAIRS = 3;
const LEAST_SPREAD = 0.7;
/**
 * Slopes outside these are not water's. From memory (published Secchi and black-disc slopes lie from about -0.5 to -1).
 */
const SLOPES = [-1.2, -0.4] as const;

/** The conversion refitted from the angler's own pairs, on logs; the default while there are under three. */
export function fitClarity(pairs: readonly ClarityPair[]): ClarityFit {
  const own = pairs.filter(({ turbidity, visibleDepth }) => turbidity > 0 && visibleDepth > 0);
  if (own.length < LEAST_PAIRS) return DEFAULT_CLARITY_FIT;
  const points = own.map(({ turbidity, visibleDepth }) => [Math.log(turbidity), Math.log(visibleDepth)]);
  const xs = points.map(([x]) => x!);
  const free = Math.max(...xs) - Math.min(...xs) >= LEAST_SPREAD;
  const slope = free ? linearRegression(points).m : NaN;
  const b = slope >= SLOPES[0] && slope <= SLOPES[1] ? slope : DEFAULT_CLARITY_FIT.b;
  const level = points.reduce((sum, [x, y]) => sum + y! - b * x!, 0) / points.length;
  const squares = points.reduce((sum, [x, y]) => sum + (y! - level - b * x!) ** 2, 0);
  return { a: Math.exp(level), b, pairs: own.length, scatter: Math.sqrt(squares / Math.max(1, own.length - 2)) };
}
