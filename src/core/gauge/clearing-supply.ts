import { quantile } from "simple-statistics";

/**
 * Sediment whose supply is used up (Van Sickle & Beschta 1983, Water Resour. Res. 19, 768): after a rise a river clears
 * at a rate of its own, whatever its flow does. First order in ln T, to the clear water of its record.
 */
export interface Supply {
  /** How much this counts beside the curve by flow, 0..1: by what both erred on the record's falls. */
  share: number;
  /** Of ln T above that of clear water so much is left after a step. */
  left: number;
  /** ln T of clear water. */
  clear: number;
  /** Scatter of both together, as a share of the curve's alone. */
  scatter: number;
}

/** A step of a record, and what the curve by flow makes of it. */
export interface CurvePoint {
  /** Number of the step; of two in a row these differ by 1. */
  k: number;
  /** ln T as read, and by the curve at this flow. */
  y: number;
  curve: number;
  rising: boolean;
}

/** Leads that both are tried at, steps of six hours: one, two and three days. */
const LEADS = [4, 8, 12];
/** Fewest cases on the falls of a record. Common practice, no source. */
const LEAST_CASES = 60;
/** Steps in which half of it is gone, and shares of the falls that are clear water: tried one by one. Own choice. */
const HALVES = [1, 1.5, 2, 3, 4, 6, 8, 12, 16, 24, 40];
const CLEAR = [0.02, 0.05, 0.1, 0.2];
/** Under this share it is not worth its name. Own choice. */
const LEAST_SHARE = 0.1;

interface Case {
  lead: number;
  from: number;
  came: number;
  /** By the curve, with what is left of today's departure from it. */
  curve: number;
}

/**
 * The decay that fits the falls of a record best, and how much it counts; null where it adds nothing.
 * @param memory how much of a departure from the curve is left after a step
 */
export function fitSupply(points: readonly CurvePoint[], memory: number): Supply | null {
  const cases = casesOf(points, memory);
  if (cases.length < LEAST_CASES) return null;
  const falls = points.filter(({ rising }) => !rising).map(({ y }) => y);
  const tried = CLEAR.flatMap((q) => {
    const clear = quantile(falls, q);
    return HALVES.map((half) => {
      const left = 0.5 ** (1 / half);
      return { clear, left, error: meanSquare(cases, (one) => decayed(one.from, clear, left ** one.lead)) };
    });
  });
  const { clear, left } = tried.reduce((best, one) => (one.error < best.error ? one : best));
  // The share of the two by least squares.
  let [both, own] = [0, 0];
  for (const one of cases) {
    const apart = decayed(one.from, clear, left ** one.lead) - one.curve;
    both += (one.came - one.curve) * apart;
    own += apart * apart;
  }
  const share = own > 0 ? Math.min(1, Math.max(0, both / own)) : 0;
  if (share < LEAST_SHARE) return null;
  const together = meanSquare(
    cases,
    (one) => (1 - share) * one.curve + share * decayed(one.from, clear, left ** one.lead),
  );
  const alone = meanSquare(cases, (one) => one.curve);
  return { share, left, clear, scatter: alone > 0 ? Math.min(1, Math.sqrt(together / alone)) : 1 };
}

/** What is left of ln T above that of clear water. */
export const decayed = (from: number, clear: number, left: number): number => clear + (from - clear) * left;

const meanSquare = (cases: readonly Case[], forecast: (one: Case) => number): number =>
  cases.reduce((sum, one) => sum + (one.came - forecast(one)) ** 2, 0) / cases.length;

/** Each step of a fall with those some leads later, where the river has not risen in between. */
function casesOf(points: readonly CurvePoint[], memory: number): Case[] {
  const cases: Case[] = [];
  for (let n = 0; n < points.length; n++) {
    const from = points[n]!;
    for (let lead = 1; lead <= LEADS.at(-1)!; lead++) {
      const then = points[n + lead];
      if (!then || then.rising || then.k !== from.k + lead) break;
      if (!LEADS.includes(lead)) continue;
      cases.push({ lead, from: from.y, came: then.y, curve: then.curve + (from.y - from.curve) * memory ** lead });
    }
  }
  return cases;
}
