/** Arithmetic on a vector of lanes that more than one part needs. */
import { real } from "./build";
import { FILM, g } from "./memory";

// Constants are kept in memory as whole vectors: a load each, where an immediate would be built anew in every turn.
const TABLE: usize = 6144;
export const ONE: usize = TABLE;
export const TWO: usize = TABLE + 16;
export const HALF: usize = TABLE + 32;
export const G: usize = TABLE + 48;
export const HALF_G: usize = TABLE + 64;
export const FOUR_G: usize = TABLE + 80;
export const THIN: usize = TABLE + 96;
export const LEAST: usize = TABLE + 112;
const THIRD: usize = TABLE + 128;
const TWO_NINTHS: usize = TABLE + 144;
const FOURTEEN: usize = TABLE + 160;
const GUESS: usize = TABLE + 176;

/** Writes the constants; each instance finds them in the memory that all share. */
export function fillTable(): void {
  v128.store(ONE, all(1));
  v128.store(TWO, all(2));
  v128.store(HALF, all(0.5));
  v128.store(G, all(g));
  v128.store(HALF_G, all(0.5 * g));
  v128.store(FOUR_G, all(4 * g));
  v128.store(THIN, all(FILM));
  v128.store(LEAST, all(1e-12));
  v128.store(THIRD, all(1.0 / 3));
  v128.store(TWO_NINTHS, all(2.0 / 9));
  v128.store(FOURTEEN, all(14.0 / 81));
  v128.store(GUESS, v128.splat<i32>(0x54a2_1d2a));
}

// @ts-ignore: decorator
@inline export function constant(place: usize): v128 {
  return v128.load(place);
}

// @ts-ignore: decorator
@inline export function all(value: f64): v128 {
  return v128.splat<real>(<real>value);
}

// @ts-ignore: decorator
@inline export function add(a: v128, b: v128): v128 {
  return v128.add<real>(a, b);
}

// @ts-ignore: decorator
@inline export function sub(a: v128, b: v128): v128 {
  return v128.sub<real>(a, b);
}

// @ts-ignore: decorator
@inline export function mul(a: v128, b: v128): v128 {
  return v128.mul<real>(a, b);
}

/**
 * Half the harmonic slope (van Leer 1974, J. Comput. Phys. 14) from two differences: zero at an extremum, so a lake
 * stays a lake.
 */
// @ts-ignore: decorator
@inline export function halfSlope(a: v128, b: v128): v128 {
  const product = mul(a, b);
  return v128.and(v128.div<real>(product, add(a, b)), v128.gt<real>(product, all(0)));
}

/**
 * h^(-1/3): a guess from the bits of the number (within 4 %), then turns of the series of (1 - e)^(-1/3) in
 * e = 1 - h y^3. Two turns leave single precision's own rounding, three double's.
 */
// @ts-ignore: decorator
@inline export function inverseCubeRoot(h: v128): v128 {
  if (sizeof<real>() == 4) return closer(h, closer(h, guess(h)));
  const near = v128.promote_low<f32>(guess(v128.demote_zero<f64>(h)));
  return closer(h, closer(h, closer(h, near)));
}

/** 0x54a21d2a less a third of the bits, by shifts: 1/4 + 1/16, then that and its 16th, then its 256th. */
// @ts-ignore: decorator
@inline function guess(h: v128): v128 {
  const quarter = v128.shr<u32>(h, 2);
  const fifth = v128.add<i32>(quarter, v128.shr<u32>(quarter, 2));
  const near = v128.add<i32>(fifth, v128.shr<u32>(fifth, 4));
  return v128.sub<i32>(constant(GUESS), v128.add<i32>(near, v128.shr<u32>(near, 8)));
}

// @ts-ignore: decorator
@inline function closer(h: v128, y: v128): v128 {
  const e = sub(constant(ONE), mul(mul(h, y), mul(y, y)));
  const series = mul(e, add(constant(THIRD), mul(e, add(constant(TWO_NINTHS), mul(e, constant(FOURTEEN))))));
  return add(y, mul(y, series));
}

/** The vector that lies one lane before `now`, `before` being the one before it. */
// @ts-ignore: decorator
@inline export function laneBefore(before: v128, now: v128): v128 {
  if (sizeof<real>() == 4)
    return v128.shuffle<i8>(before, now, 12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 23, 24, 25, 26, 27);
  return v128.shuffle<i8>(before, now, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 23);
}

/** Greatest, or sum, of the lanes. */
export function greatest(a: v128): f64 {
  if (sizeof<real>() == 4)
    return max<f64>(
      max<f64>(v128.extract_lane<f32>(a, 0), v128.extract_lane<f32>(a, 1)),
      max<f64>(v128.extract_lane<f32>(a, 2), v128.extract_lane<f32>(a, 3)),
    );
  return max<f64>(v128.extract_lane<f64>(a, 0), v128.extract_lane<f64>(a, 1));
}

export function sum(a: v128): f64 {
  if (sizeof<real>() == 4)
    return (
      <f64>v128.extract_lane<f32>(a, 0) +
      <f64>v128.extract_lane<f32>(a, 1) +
      <f64>v128.extract_lane<f32>(a, 2) +
      <f64>v128.extract_lane<f32>(a, 3)
    );
  return v128.extract_lane<f64>(a, 0) + v128.extract_lane<f64>(a, 1);
}
