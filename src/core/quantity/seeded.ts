/** Repeatable noise: the same number for the same seed and index, whatever was asked before. */

/** Uniform 0..1 from two integers (SplitMix-style finaliser, Steele et al. 2014). */
export function hash01(seed: number, index: number): number {
  let h = Math.imul(index ^ (seed * 0x9e3779b9), 0x85ebca6b) ^ seed;
  h = Math.imul(h ^ (h >>> 16), 0x7feb352d);
  h = Math.imul(h ^ (h >>> 15), 0x846ca68b);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

/** Noise about 0 that changes smoothly over `span` units of `at`. */
export function smoothNoise(seed: number, at: number, span: number): number {
  const k = Math.floor(at / span);
  const t = at / span - k;
  const s = t * t * (3 - 2 * t);
  return (hash01(seed, k) * (1 - s) + hash01(seed, k + 1) * s) * 2 - 1;
}

/** A stream of uniform numbers for one seed. */
export function stream(seed: number): () => number {
  let index = 0;
  return () => hash01(seed, index++);
}

/** A Poisson count of mean `mean` by Knuth's product of uniforms (means under about 20). */
export function poisson(mean: number, next: () => number): number {
  const limit = Math.exp(-mean);
  let count = 0;
  for (let product = next(); product > limit; product *= next()) count++;
  return count;
}
