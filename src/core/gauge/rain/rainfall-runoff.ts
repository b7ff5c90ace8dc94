import { DAY, HOUR } from "../series";

/**
 * Rainfall and runoff of a catchment: GR4J (Perrin, Michel & Andreassian 2003, J. Hydrol. 279, 275) for days and its
 * hourly form GR4H (Mathevet 2005, thesis, ENGREF; from memory). A soil store that fills and sheds, a unit hydrograph,
 * a routing store, and an exchange with the ground water.
 */
export interface RunoffParameters {
  /** Capacity of the soil store, mm. */
  x1: number;
  /** Exchange with ground water, mm per step. */
  x2: number;
  /** Capacity of the routing store, mm. */
  x3: number;
  /** Time base of the unit hydrograph, steps. */
  x4: number;
}

/** What of the model depends on its step: the percolation's constant and the exponent of the unit hydrograph. */
interface RunoffStep {
  percolation: number;
  exponent: number;
}

const stepOfModel = (step: number): RunoffStep =>
  step >= DAY ? { percolation: 9 / 4, exponent: 2.5 } : { percolation: 21 / 4, exponent: 1.25 };
/** Steps that the model is made for, ms. */
export const runoffStep = (step: number): number => (step >= DAY ? DAY : HOUR);

/** Share of the effective rain that goes by way of the routing store. */
const ROUTED = 0.9;
/** Where the stores begin before a record, as shares of their capacity. Common practice, no source. */
const FIRST = { soil: 0.5, routing: 0.4 };

/** Stores of the model, mm, and what the unit hydrographs still hold, mm by step ahead, each in a ring. */
export interface RunoffState {
  soil: number;
  routing: number;
  /** Steps so far. */
  steps: number;
  slow: Float64Array;
  quick: Float64Array;
}

export interface RunoffModel extends RunoffParameters, RunoffStep {
  /** Ordinates of the two unit hydrographs; each sums to 1. */
  slow: Float64Array;
  quick: Float64Array;
}

export function runoffModel(parameters: RunoffParameters, step: number): RunoffModel {
  const of = stepOfModel(step);
  const { x4 } = parameters;
  const slowCurve = (t: number) => Math.min(1, t / x4) ** of.exponent;
  const quickCurve = (t: number) =>
    t <= x4 ? 0.5 * (t / x4) ** of.exponent : 1 - 0.5 * Math.max(0, 2 - t / x4) ** of.exponent;
  const ordinates = (curve: (t: number) => number, base: number) =>
    Float64Array.from({ length: Math.max(1, Math.ceil(base)) }, (_, k) => curve(k + 1) - curve(k));
  return { ...parameters, ...of, slow: ordinates(slowCurve, x4), quick: ordinates(quickCurve, 2 * x4) };
}

export const firstState = ({ x1, x3, slow, quick }: RunoffModel): RunoffState => ({
  soil: FIRST.soil * x1,
  routing: FIRST.routing * x3,
  steps: 0,
  slow: new Float64Array(slow.length),
  quick: new Float64Array(quick.length),
});

export const copyState = (state: RunoffState): RunoffState => ({
  ...state,
  slow: state.slow.slice(),
  quick: state.quick.slice(),
});

/** Lets a step of rain and of potential evaporation (mm) pass through a state, which it changes; runoff, mm. */
export function runoffOf(model: RunoffModel, state: RunoffState, rain: number, evaporation: number): number {
  const shed = throughSoil(model, state, rain, evaporation);
  const slow = delayed(state.slow, model.slow, ROUTED * shed, state.steps);
  const quick = delayed(state.quick, model.quick, (1 - ROUTED) * shed, state.steps);
  state.steps++;
  const filled = state.routing / model.x3;
  // To the power of 3.5.
  const exchange = model.x2 * filled * filled * filled * Math.sqrt(filled);
  const held = Math.max(0, state.routing + slow + exchange);
  state.routing = drained(held, model.x3);
  return held - state.routing + Math.max(0, quick + exchange);
}

/** What the soil sheds of a step's rain, with what seeps out of it, mm. */
function throughSoil({ x1, percolation }: RunoffModel, state: RunoffState, rain: number, evaporation: number): number {
  const net = Math.abs(rain - evaporation);
  const wet = Math.tanh(Math.min(13, net / x1));
  const filled = state.soil / x1;
  let past = 0;
  if (rain >= evaporation) {
    const kept = (x1 * (1 - filled ** 2) * wet) / (1 + filled * wet);
    state.soil += kept;
    past = net - kept;
  } else state.soil -= (state.soil * (2 - filled) * wet) / (1 + (1 - filled) * wet);
  const left = drained(state.soil, percolation * x1);
  const seeped = state.soil - left;
  state.soil = left;
  return past + seeped;
}

/** What a store of a capacity keeps over a step, mm. */
function drained(held: number, capacity: number): number {
  const square = (held / capacity) ** 2;
  return held / Math.sqrt(Math.sqrt(1 + square * square));
}

/** Adds what comes in to what a unit hydrograph holds; what of it is due in this step. */
function delayed(held: Float64Array, ordinates: Float64Array, coming: number, steps: number): number {
  const count = held.length;
  const now = steps % count;
  let n = 0;
  for (let k = now; k < count; k++) held[k]! += coming * ordinates[n++]!;
  for (let k = 0; k < now; k++) held[k]! += coming * ordinates[n++]!;
  const due = held[now]!;
  held[now] = 0;
  return due;
}
