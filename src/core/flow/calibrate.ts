import type { Reach, WaterReading } from "./reach-schema";
import { type Message, message } from "../quantity/message";
import { InputError } from "../quantity/fault";
import type { Field } from "./grid";
import { rasteriseReach } from "./rasterise";
import { probeAt } from "./probe";
import { steadyFlow } from "./steady";
import { telling } from "./steps";

/**
 * How well a depth by stick and a timed float can be read: standard errors, m, and share of the speed with a least,
 * m/s. Common practice, no source.
 */
const ERRORS = { depth: 0.05, speedShare: 0.08, speed: 0.04 };
/** Steps of the finite differences: of ln n, and of the outlet's parameter (ln slope, or m of level). */
const STEP = { roughness: 0.15, slope: 0.25, level: 0.05 };
/** A parameter counts as known when its standard error is under this: of ln n, of ln slope, of the level in m. */
const KNOWN = { roughness: 0.35, slope: 0.7, level: 0.15 };
/** Two parameters that move the readings alike to this correlation cannot be told apart. */
const ALIKE = 0.95;
/**
 * Weak prior on both, in their own units: keeps a fit near the start where the readings say little. Standard
 * deviations.
 */
const PRIOR = { roughness: 0.5, slope: 1, level: 0.3 };
/** Bounds of Manning's n. */
const ROUGHNESS = { least: 0.01, most: 0.25 };
const MOST_TURNS = 4;
/** A best fit that leaves the readings this many of their own errors off explains nothing. */
export const WORST_MISFIT = 3;

interface Residual {
  reading: number;
  measured: number;
  /** What the model has there before and after the fit; null where its bed is dry. */
  before: number | null;
  after: number | null;
}

export interface Calibration {
  /** What could be fitted: roughness and the outlet, one of them, or nothing. */
  fitted: ("roughness" | "outlet")[];
  /** Why not more. */
  why: Message | null;
  reach: Reach;
  /** Factor on Manning's n and its standard error as a factor. */
  roughness: { factor: number; error: number } | null;
  outlet: { change: number; error: number; unit: "ln-slope" | "m" } | null;
  residuals: Residual[];
  /**
   * Root mean square of residuals over their own standard errors, before and after: 1 is as good as the readings are.
   */
  misfit: { before: number; after: number };
}

type Parameter = "roughness" | "outlet";
interface Change {
  roughness: number;
  outlet: number;
}

const kindOfOutlet = (reach: Reach): "slope" | "level" => (reach.downstream.kind === "normal" ? "slope" : "level");

/** A reach with ln n moved by `roughness`, and its outlet by `outlet` (ln slope, or m of level). */
function changed(reach: Reach, { roughness, outlet }: Change): Reach {
  const held = (n: number) => Math.min(ROUGHNESS.most, Math.max(Math.min(n, ROUGHNESS.least), n * Math.exp(roughness)));
  const { downstream } = reach;
  const next =
    downstream.kind === "normal"
      ? { ...downstream, slope: Math.min(0.2, Math.max(1e-5, downstream.slope * Math.exp(outlet))) }
      : downstream.kind === "stage"
        ? { ...downstream, value: downstream.value + outlet }
        : { ...downstream, h0: downstream.h0 + outlet };
  return {
    ...reach,
    roughness: typeof reach.roughness === "number" ? held(reach.roughness) : reach.roughness.map(held),
    downstream: next,
  };
}

/** What a field has where a reading was taken: depth, or speed at the surface; null on dry ground. */
export function modelled(field: Field, { x, y, kind }: WaterReading): number | null {
  const probe = probeAt(field, x, y);
  return probe.depth === 0 ? null : kind === "depth" ? probe.depth : probe.surface;
}

const errorOf = ({ kind, value }: WaterReading): number =>
  kind === "depth" ? ERRORS.depth : Math.max(ERRORS.speed, ERRORS.speedShare * value);

/** Root mean square of what the model is off, in the readings' own errors; a dry place is off by the whole reading. */
export const misfitOf = (readings: readonly WaterReading[], predicted: readonly (number | null)[]): number =>
  Math.sqrt(
    readings.reduce((sum, one, k) => sum + ((one.value - (predicted[k] ?? 0)) / errorOf(one)) ** 2, 0) /
      Math.max(1, readings.length),
  );

/**
 * Fits Manning's n (one factor for the whole reach) and the outlet to depths and timed floats at marked places, by
 * Gauss-Newton steps on the solved
 * fields with a weak prior. What the readings cannot support is not fitted, and said. A generator: each `next()` is a
 * slice of work, its value 0..1.
 */
export function* calibrate(
  reach: Reach,
  readings: readonly WaterReading[],
  cell: number,
): Generator<number, Calibration> {
  if (readings.length === 0) throw new InputError("no-readings-to-fit", {}, { path: "readings" });
  const outletKind = kindOfOutlet(reach);
  const prior = { roughness: PRIOR.roughness, outlet: PRIOR[outletKind] };
  const step = { roughness: STEP.roughness, outlet: STEP[outletKind] };

  const predict = predictor(reach, readings, cell);

  const start: Change = { roughness: 0, outlet: 0 };
  const before = yield* predict(start);
  const usable = readings.map((_, k) => k).filter((k) => before[k] !== null);
  const within = usable.map((k) => readings[k]!);
  const misfit = (predicted: readonly (number | null)[]) =>
    misfitOf(
      within,
      usable.map((k) => predicted[k]!),
    );
  const told = (predicted: readonly (number | null)[]): Residual[] =>
    readings.map(({ value }, k) => ({ reading: k, measured: value, before: before[k]!, after: predicted[k]! }));
  const refused = (why: Message): Calibration => ({
    fitted: [],
    why,
    reach,
    roughness: null,
    outlet: null,
    residuals: told(before),
    misfit: { before: misfit(before), after: misfit(before) },
  });
  if (usable.length < 2) return refused(usable.length === 0 ? message("readings-dry") : message("one-reading"));

  let [now, predicted, wanted, why] = [start, before, undefined as Parameter[] | undefined, null as Message | null];
  let errors = { roughness: 0, outlet: 0 };
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    // Sensitivities, in standard errors of each reading for one unit of each parameter.
    const slopes = {} as Record<Parameter, number[]>;
    for (const parameter of ["roughness", "outlet"] as const) {
      const moved = yield* predict({ ...now, [parameter]: now[parameter] + step[parameter] });
      const slope = (k: number) => (moved[k]! - (predicted[k] ?? 0)) / step[parameter] / errorOf(readings[k]!);
      slopes[parameter] = usable.map((k) => (moved[k] === null ? 0 : slope(k)));
    }
    if (!wanted) {
      const choice = supported(slopes, usable.length, outletKind);
      if (choice.wanted.length === 0) return refused(choice.why!);
      ({ wanted, why } = choice);
    }
    const short = usable.map((k) => (readings[k]!.value - (predicted[k] ?? 0)) / errorOf(readings[k]!));
    const { move, error } = solved(wanted, slopes, short, now, prior);
    errors = error;
    const next: Change = {
      roughness: now.roughness + Math.max(-0.7, Math.min(0.7, move.roughness)),
      outlet: now.outlet + Math.max(-4 * step.outlet, Math.min(4 * step.outlet, move.outlet)),
    };
    const tried = yield* predict(next);
    if (misfit(tried) >= misfit(predicted)) break;
    const gain = 1 - misfit(tried) / misfit(predicted);
    [now, predicted] = [next, tried];
    if (gain < 0.02) break;
  }
  const fit = { before: misfit(before), after: misfit(predicted) };
  if (fit.after > WORST_MISFIT) {
    return {
      ...refused(message("readings-contradict", { after: fit.after })),
      residuals: told(predicted),
      misfit: fit,
    };
  }
  return { why, residuals: told(predicted), misfit: fit, ...asFitted(reach, wanted ?? [], now, errors, fit.after) };
}

/** What the model says of each reading on a changed bed; null where it is dry. Tells how far it has come, 0 to 1. */
function predictor(reach: Reach, readings: readonly WaterReading[], cell: number) {
  const flows = [...new Set(readings.map((one) => one.discharge))];
  const near = new Map<number, Field>();
  const solves = flows.length * (2 + 3 * MOST_TURNS);
  let done = 0;
  return function* predict(change: Change): Generator<number, (number | null)[]> {
    const changedReach = changed(reach, change);
    const grid = rasteriseReach(changedReach, cell);
    const out: (number | null)[] = readings.map(() => null);
    for (const discharge of flows) {
      const work = steadyFlow(grid, { discharge, downstream: changedReach.downstream, near: near.get(discharge) });
      const field = yield* telling(work, (step) => Math.min(0.99, (done + step.done) / solves));
      done++;
      near.set(discharge, field);
      readings.forEach((reading, k) => {
        if (reading.discharge === discharge) out[k] = modelled(field, reading);
      });
    }
    return out;
  };
}

/** The reach as it was fitted, and how far and how surely each parameter moved. */
function asFitted(
  reach: Reach,
  fitted: Parameter[],
  by: Change,
  errors: Record<Parameter, number>,
  misfit: number,
): Pick<Calibration, "fitted" | "reach" | "roughness" | "outlet"> {
  // Readings that scatter more than they should make what is drawn from them less sure.
  const wider = Math.max(1, misfit);
  return {
    fitted,
    reach: rounded(changed(reach, by)),
    roughness: fitted.includes("roughness")
      ? { factor: Math.exp(by.roughness), error: Math.exp(errors.roughness * wider) }
      : null,
    outlet: fitted.includes("outlet")
      ? { change: by.outlet, error: errors.outlet * wider, unit: kindOfOutlet(reach) === "slope" ? "ln-slope" : "m" }
      : null,
  };
}

/** Which parameters the readings can support, from their sensitivities. */
function supported(
  slopes: Record<Parameter, number[]>,
  count: number,
  outletKind: "slope" | "level",
): { wanted: Parameter[]; why: Message | null } {
  const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, value, k) => sum + value * b[k]!, 0);
  const [rr, oo, ro] = [
    dot(slopes.roughness, slopes.roughness),
    dot(slopes.outlet, slopes.outlet),
    dot(slopes.roughness, slopes.outlet),
  ];
  const knowsRoughness = rr > 0 && 1 / Math.sqrt(rr) < KNOWN.roughness;
  const knowsOutlet = oo > 0 && 1 / Math.sqrt(oo) < KNOWN[outletKind];
  if (!knowsRoughness && !knowsOutlet)
    return {
      wanted: [],
      why: message("readings-insensitive"),
    };
  if (!knowsRoughness)
    return {
      wanted: ["outlet"],
      why: message("outlet-only"),
    };
  if (!knowsOutlet)
    return {
      wanted: ["roughness"],
      why: message("roughness-only"),
    };
  if (count < 3)
    return {
      wanted: ["roughness"],
      why: message("two-readings"),
    };
  if (Math.abs(ro) / Math.sqrt(rr * oo) > ALIKE)
    return {
      wanted: ["roughness"],
      why: message("readings-alike"),
    };
  return { wanted: ["roughness", "outlet"], why: null };
}

/** One Gauss-Newton step with the prior, and the standard errors of both parameters. */
function solved(
  wanted: readonly Parameter[],
  slopes: Record<Parameter, number[]>,
  short: readonly number[],
  now: Change,
  prior: Change,
): { move: Change; error: Change } {
  const sum = (a: readonly number[], b: readonly number[]) => a.reduce((total, value, k) => total + value * b[k]!, 0);
  const weight = (parameter: Parameter) => (wanted.includes(parameter) ? 1 : 0);
  const [r, o] = [
    slopes.roughness.map((value) => value * weight("roughness")),
    slopes.outlet.map((value) => value * weight("outlet")),
  ];
  const [a, b, c] = [sum(r, r) + 1 / prior.roughness ** 2, sum(r, o), sum(o, o) + 1 / prior.outlet ** 2];
  const [p, q] = [
    sum(r, short) - (weight("roughness") * now.roughness) / prior.roughness ** 2,
    sum(o, short) - (weight("outlet") * now.outlet) / prior.outlet ** 2,
  ];
  const det = a * c - b * b;
  return {
    move: { roughness: (c * p - b * q) / det, outlet: (a * q - b * p) / det },
    error: { roughness: Math.sqrt(c / det), outlet: Math.sqrt(a / det) },
  };
}

function rounded(reach: Reach): Reach {
  const round = (value: number) => Number(value.toPrecision(4));
  const { downstream } = reach;
  return {
    ...reach,
    roughness: typeof reach.roughness === "number" ? round(reach.roughness) : reach.roughness.map(round),
    downstream:
      downstream.kind === "normal"
        ? { ...downstream, slope: round(downstream.slope) }
        : downstream.kind === "stage"
          ? { ...downstream, value: Number(downstream.value.toFixed(3)) }
          : { ...downstream, h0: Number(downstream.h0.toFixed(3)) },
  };
}
