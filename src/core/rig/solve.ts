/**
 * Root of f between low and high, where it changes sign, by false position with the Illinois rule (Dowell & Jarratt
 * 1971, BIT 11).
 * Stops when the step or |f| is within tolerance. Without a change of sign, the end where |f| is less.
 */
export function root(f: (x: number) => number, low: number, high: number, tolerance = 1e-6, turns = 60): number {
  let [a, b] = [low, high];
  let [fa, fb] = [f(a), f(b)];
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (fa > 0 === fb > 0) return Math.abs(fa) < Math.abs(fb) ? a : b;
  let last = a;
  for (let turn = 0; turn < turns; turn++) {
    const x = (a * fb - b * fa) / (fb - fa);
    const fx = f(x);
    if (fx === 0 || Math.abs(x - last) <= tolerance || Math.abs(b - a) <= tolerance) return x;
    last = x;
    if (fx > 0 === fb > 0) {
      fa /= 2;
    } else {
      a = b;
      fa = fb;
    }
    b = x;
    fb = fx;
  }
  return b;
}
