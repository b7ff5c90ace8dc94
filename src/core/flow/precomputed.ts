import type { Field } from "./grid";
import { DRY } from "./grid";

/**
 * Cell of the precomputed fields, m: coarse enough to be solved in the background, fine enough for depths (converged
 * to about 2 %).
 */
export const PRECOMPUTED_CELL = 1;
/** Fewest flows wanted. */
const FEWEST_FLOWS = 8;
/**
 * Preferred numbers (ISO 3), per decade from the coarsest: fixed flows, so that a record that grows by an hour does not
 * move them.
 */
const SERIES = [5, 10, 20, 40] as const;

/**
 * Discharges, m3/s, evenly spaced in ln Q, that reach from at most `low` to at least `high`: eight to sixteen of them.
 */
export function flowsBetween(low: number, high: number): number[] {
  const along = (each: number) => {
    const [from, to] = [Math.floor(each * Math.log10(low) + 1e-9), Math.ceil(each * Math.log10(high) - 1e-9)];
    const digits = each > 20 ? 3 : 2;
    return Array.from({ length: to - from + 1 }, (_, k) => Number((10 ** ((from + k) / each)).toPrecision(digits)));
  };
  return along(SERIES.find((each) => along(each).length >= FEWEST_FLOWS) ?? SERIES.at(-1)!);
}

/**
 * The order in which flows are solved: nearest to the flow looked at first, then outwards, so that each has a solved
 * neighbour to start from.
 */
export const orderFrom = (flows: readonly number[], flow: number): number[] =>
  [...flows].sort((a, b) => Math.abs(Math.log(a / flow)) - Math.abs(Math.log(b / flow)));

/** The two flows about a flow, or undefined where it lies beyond them. */
export function bracket(solved: readonly number[], flow: number): [number, number] | undefined {
  const ordered = [...solved].sort((a, b) => a - b);
  const above = ordered.findIndex((one) => one >= flow);
  if (above < 0 || (above === 0 && ordered[0]! > flow * 1.0005)) return undefined;
  return [ordered[Math.max(0, above - 1)]!, ordered[above]!];
}

/**
 * The field between two solved ones, linear in ln Q for the water's level and for unit discharge: where only the higher
 * is wet the edge
 * moves out with the level. On one grid and bed; never beyond them.
 */
export function interpolate(lower: Field, upper: Field, discharge: number): Field {
  if (lower.discharge === upper.discharge) return upper;
  const t = Math.min(
    1,
    Math.max(0, Math.log(discharge / lower.discharge) / Math.log(upper.discharge / lower.discharge)),
  );
  const cells = lower.depth.length;
  const out: Field = {
    ...upper,
    discharge,
    depth: new Float32Array(cells),
    u: new Float32Array(cells),
    v: new Float32Array(cells),
    speedDeviation: new Float32Array(cells),
    massError: Math.max(lower.massError, upper.massError),
    verdict: worse(lower.verdict, upper.verdict),
  };
  for (let k = 0; k < cells; k++) {
    const [a, b] = [lower.depth[k]!, upper.depth[k]!];
    if (b <= 0) continue;
    // Ground that is dry at the lower flow floods when the level there, falling with the upper one's depth, reaches it.
    const depth = a > 0 ? a + t * (b - a) : b - (1 - t) * Math.max(b, riseNear(lower, upper, k));
    if (depth < DRY) continue;
    const [qu, qv] = [a * lower.u[k]! * (1 - t) + b * upper.u[k]! * t, a * lower.v[k]! * (1 - t) + b * upper.v[k]! * t];
    out.depth[k] = depth;
    out.u[k] = qu / depth;
    out.v[k] = qv / depth;
    out.speedDeviation[k] = lower.speedDeviation[k]! * (1 - t) + upper.speedDeviation[k]! * t;
  }
  return out;
}

/** How much the level rose from the lower to the upper flow in the nearest cell of the same column that both wet, m. */
function riseNear(lower: Field, upper: Field, k: number): number {
  const { nx, ny } = lower;
  const [i, j] = [k % nx, Math.floor(k / nx)];
  for (let d = 1; d < ny; d++) {
    for (const other of [j - d, j + d]) {
      if (other < 0 || other >= ny) continue;
      const c = other * nx + i;
      if (lower.depth[c]! > 0) return upper.depth[c]! - lower.depth[c]!;
    }
  }
  return 0;
}

const RANK = { converged: 0, shedding: 1, "not-converged": 2 } as const;
const worse = (a: Field["verdict"], b: Field["verdict"]): Field["verdict"] => (RANK[a] > RANK[b] ? a : b);

/**
 * A field for keeping: millimetres of depth (65 m at most) and millimetres a second (32 m/s), half its size; bed and
 * roughness stay with the reach.
 */
export interface PackedField extends Omit<Field, "bed" | "roughness" | "depth" | "u" | "v" | "speedDeviation"> {
  depth: Uint16Array;
  u: Int16Array;
  v: Int16Array;
  speedDeviation: Uint16Array;
}

const MILLI = 1000;

export function packField(field: Field): PackedField {
  const { nx, ny, cell, discharge, verdict, unsettled, massError, steps } = field;
  const round = (value: number, most: number) => Math.max(-most, Math.min(most, Math.round(value * MILLI)));
  return {
    nx,
    ny,
    cell,
    discharge,
    verdict,
    ...(unsettled && { unsettled }),
    massError,
    steps,
    depth: Uint16Array.from(field.depth, (value) => round(value, 65535)),
    u: Int16Array.from(field.u, (value) => round(value, 32767)),
    v: Int16Array.from(field.v, (value) => round(value, 32767)),
    speedDeviation: Uint16Array.from(field.speedDeviation, (value) => round(value, 65535)),
  };
}

export function unpackField(packed: PackedField, bed: Float32Array, roughness: Float32Array): Field {
  const metres = (values: Uint16Array | Int16Array) => Float32Array.from(values, (value) => value / MILLI);
  return {
    ...packed,
    bed,
    roughness,
    depth: metres(packed.depth),
    u: metres(packed.u),
    v: metres(packed.v),
    speedDeviation: metres(packed.speedDeviation),
  };
}

/**
 * A field as it comes back from where it is kept, rounded to a millimetre and a millimetre a second: what is read of it
 * is the same today, tomorrow and on the command line.
 */
export const asKept = (field: Field): Field => unpackField(packField(field), field.bed, field.roughness);
