/**
 * Where everything lies. A head of numbers at HEAD (written by src/core/flow/kernel.ts, which holds the same list),
 * then the arrays of the state, each of `stride` columns by ny + 4 rows, then the row buffers of each thread.
 *
 * Compiled three times from this one source: 32-bit lanes (the application), the same on shared memory (several
 * threads) and 64-bit lanes (the proof). `real` and SHARED come from the compiler's driver (scripts/kernel.mjs).
 */
import { real } from "./build";

export const LANES: i32 = 16 / sizeof<real>();
export const SIZE: usize = sizeof<real>();
/** Rings of ghost cells around the grid. */
export const RINGS: i32 = 2;
/** Columns before the first inner one: a whole number of lanes, the nearest two of them ghosts. */
export const LEFT: i32 = 4;
/** m/s2; the same as in quantity/provenance.ts. */
export const g: f64 = 9.81;
/** Momentum is zero below this depth, m. */
export const FILM: f64 = 1e-5;

const HEAD: usize = 1024;
const GO: usize = 4096;
export const PHASE: usize = GO + 128;
export const COUNT: usize = GO + 256;
const SLOTS: usize = 8192;
const SLOT: usize = 128;

/** Kinds of edge; 1 is an open one. */
export const WALL: i32 = 0;
export const INFLOW: i32 = 2;
export const LEVEL: i32 = 3;

// @ts-ignore: decorator
@inline const whole = (k: usize): i32 => load<i32>(HEAD + 4 * k);
// @ts-ignore: decorator
@inline const number = (k: usize): f64 => load<f64>(HEAD + 256 + 8 * k);

export let nx: i32 = 0;
export let ny: i32 = 0;
export let stride: i32 = 0;
export let threads: i32 = 1;
export let up: i32 = 0;
export let down: i32 = 0;
/** Bed (m above a datum of the reach's own), Manning's n, column masks: inner cells; faces that carry stress. */
export let z: usize = 0;
export let n: usize = 0;
export let inside: usize = 0;
export let stressed: usize = 0;
/** First of the five arrays of means: depth, both unit discharges, speed, its square. */
export let means: usize = 0;
export let cell: f64 = 1;
export let alpha: f64 = 0.5;
export let courant: f64 = 0.95;
export let longest: f64 = 5;
export let discharge: f64 = 0;
export let upLevel: f64 = 0;
export let downLevel: f64 = 0;
/** Waits of 10 ms after which a thread that does not come is given up. */
export let patience: i32 = 1000;

/** Bytes of one array, and of one row. */
export let bytes: usize = 0;
export let pitch: usize = 0;

let states: usize = 0;
let spans: usize = 0;
let buffers: usize = 0;
let ledger: usize = 0;
const PARTS: usize = 4;
const ROWS: usize = 20;

/** Reads the head. Each thread does so once, and again when an edge has changed. */
export function configure(): void {
  nx = whole(0);
  ny = whole(1);
  stride = whole(2);
  threads = whole(3);
  up = whole(4);
  down = whole(5);
  z = whole(6);
  n = whole(7);
  inside = whole(8);
  stressed = whole(9);
  states = whole(10);
  spans = whole(11);
  buffers = whole(12);
  means = whole(13);
  ledger = whole(14);
  cell = number(0);
  alpha = number(1);
  courant = number(2);
  longest = number(3);
  discharge = number(4);
  upLevel = number(5);
  downLevel = number(6);
  patience = <i32>number(7);
  pitch = SIZE * stride;
  bytes = pitch * (ny + 2 * RINGS);
}

/** Array `part` of a state: 0 depth, 1 and 2 speeds along x and y, 3 nu h. Arrays stand apart by a margin. */
// @ts-ignore: decorator
@inline export function stateArray(state: i32, part: usize): usize {
  return states + (PARTS * state + part) * (bytes + 128);
}

/** Row buffer `row` of a thread, from column 0. */
// @ts-ignore: decorator
@inline export function rowBuffer(thread: i32, row: usize): usize {
  return buffers + (ROWS * thread + row) * (pitch + 128);
}

/** First and last wet column of a row of a state; none when first > last. */
// @ts-ignore: decorator
@inline export function lowAt(state: i32, row: i32): usize {
  return spans + 8 * (state * (ny + 2 * RINGS) + row);
}

export const firstWet = (state: i32, row: i32): i32 => load<i32>(lowAt(state, row));
export const lastWet = (state: i32, row: i32): i32 => load<i32>(lowAt(state, row), 4);

// What each thread finds during a step.
// @ts-ignore: decorator
@inline const slot = (thread: i32): usize => SLOTS + SLOT * thread;
export const fastestOf = (thread: i32): f64 => load<f64>(slot(thread));
export const setFastest = (thread: i32, value: f64): void => store<f64>(slot(thread), value);

/**
 * What each row lets in (0..3, by stage) and out (4..7), m2/s, and has clipped (8), m3: kept by row and added up in their
 * order, so that the sums, and all that hangs on them, are the same to the last bit on any number of threads.
 */
export const COME: i32 = 0;
export const GONE: i32 = 4;
export const CLIPPED: i32 = 8;
// @ts-ignore: decorator
@inline const entry = (kind: i32, row: i32): usize => ledger + 8 * (kind * (ny + 2 * RINGS) + row);
export const setEntry = (kind: i32, row: i32, value: f64): void => store<f64>(entry(kind, row), value);
export const addEntry = (kind: i32, row: i32, value: f64): void =>
  store<f64>(entry(kind, row), load<f64>(entry(kind, row)) + value);
export function sumOf(kind: i32): f64 {
  let sum: f64 = 0;
  for (let row = RINGS; row < ny + RINGS; row++) sum += load<f64>(entry(kind, row));
  return sum;
}

/** Running totals, kept by the first thread: time, volumes in and out, rate out, steps, seconds averaged. */
// @ts-ignore: decorator
@inline const total = (k: usize): usize => HEAD + 512 + 8 * k;
export const TIME: usize = 0;
export const IN: usize = 1;
export const OUT: usize = 2;
export const RATE: usize = 3;
export const STEPS: usize = 4;
export const AVERAGED: usize = 5;
export const addTotal = (k: usize, value: f64): void => store<f64>(total(k), load<f64>(total(k)) + value);
export const setTotal = (k: usize, value: f64): void => store<f64>(total(k), value);

/** Set when a thread has been given up: what is in the state is worth nothing then. */
export const LOST: usize = GO + 384;
/** Threads that have ended their service. */
export const ENDED: usize = GO + 512;

/** What the threads are asked to do: a counter that they wait on, the number of steps, seconds, and steps a sample. */
export const goAt: usize = GO;
export const askedSteps = (): i32 => load<i32>(GO + 16);
export const askedSeconds = (): f64 => load<f64>(GO + 24);
export const askedSample = (): i32 => load<i32>(GO + 32);
