import { linearRegression } from "simple-statistics";
import { HOUR, readingAt, type Series } from "./series";

/**
 * How an ungauged reach takes its flow from a gauge: Q_reach(t) = Q_gauge(t - lag) (A_reach/A_gauge)^n, or refitted
 * factor and power.
 */
export interface Transfer {
  /** A_reach / A_gauge. */
  areaRatio: number;
  /** h; the water reaches the reach this long after the gauge (negative: before). */
  lag: number;
}

export interface TransferFit {
  /** Q_reach = factor Q_gauge^power, m3/s. */
  factor: number;
  power: number;
  /** Pairs it stands on; 0 is the area ratio alone. */
  pairs: number;
  /** Scatter of ln Q about it; null where it cannot be told. */
  scatter: number | null;
}

/** A reading of the reach's own discharge beside the gauge's at the lagged time, m3/s. */
export interface PairedFlow {
  gauge: number;
  reach: number;
}

/**
 * Fewest pairs that move the power as well as the factor, and the spread of ln Q they need. Common practice, no source.
 */
const LEAST_FOR_POWER = 4;
const LEAST_SPREAD = 0.7;

/**
 * From the area ratio alone (n = 1, common practice), the factor by one pair and more, the power by four that differ.
 */
export function fitTransfer(areaRatio: number, pairs: readonly PairedFlow[]): TransferFit {
  const own = pairs.filter(({ gauge, reach }) => gauge > 0 && reach > 0);
  if (own.length === 0) return { factor: areaRatio, power: 1, pairs: 0, scatter: null };
  const points = own.map(({ gauge, reach }) => [Math.log(gauge), Math.log(reach)]);
  const xs = points.map(([x]) => x!);
  const free = own.length >= LEAST_FOR_POWER && Math.max(...xs) - Math.min(...xs) >= LEAST_SPREAD;
  const power = free ? linearRegression(points).m : 1;
  const level = points.reduce((sum, [x, y]) => sum + y! - power * x!, 0) / points.length;
  const squares = points.reduce((sum, [x, y]) => sum + (y! - level - power * x!) ** 2, 0);
  const freedom = own.length - (free ? 2 : 1);
  return {
    factor: Math.exp(level),
    power,
    pairs: own.length,
    scatter: freedom > 0 ? Math.sqrt(squares / freedom) : null,
  };
}

/** Discharge at the reach, m3/s, at an instant; null where the gauge said nothing at the lagged time. */
export function transferred(discharge: Series, transfer: Transfer, fit: TransferFit, at: number): number | null {
  const q = readingAt(discharge, at - transfer.lag * HOUR);
  return q === null ? null : fit.factor * q ** fit.power;
}

/**
 * Hours of lag over a distance, m: the kinematic wave runs at 5/3 of the mean speed, m/s, in a wide channel (Lighthill
 * & Whitham 1955, from Manning).
 */
export const kinematicLag = (distance: number, meanSpeed: number): number => distance / ((5 / 3) * meanSpeed) / 3600;
