import type { Place } from "./channel";

/** Places between two that were drawn. */
const BETWEEN = 6;

/**
 * A line through places as a hand would draw it: a centripetal Catmull-Rom spline (Yuksel, Schaefer & Keyser 2011,
 * Computer-Aided Design 43), which passes through every place and has no loops. A bank with corners would throw eddies
 * that no river has.
 */
export function smoothLine(places: readonly Place[], closed = false): Place[] {
  // Two taps on one spot are one place.
  const line = places.filter((at, k) => k === 0 || apart(at, places[k - 1]!) > 1e-9);
  if (line.length < 3) return [...line];
  const at = (k: number): Place => {
    if (closed) return line[(k + line.length) % line.length]!;
    if (k < 0) return mirrored(line[0]!, line[1]!);
    return k < line.length ? line[k]! : mirrored(line.at(-1)!, line.at(-2)!);
  };
  const out: Place[] = [];
  const spans = closed ? line.length : line.length - 1;
  for (let k = 0; k < spans; k++) {
    const four = [at(k - 1), at(k), at(k + 1), at(k + 2)] as const;
    for (let part = 0; part < BETWEEN; part++) out.push(between(four, part / BETWEEN));
  }
  return closed ? out : [...out, line.at(-1)!];
}

const apart = (a: Place, b: Place) => Math.hypot(a[0] - b[0], a[1] - b[1]);
const mirrored = (end: Place, next: Place): Place => [2 * end[0] - next[0], 2 * end[1] - next[1]];

/** The spline between the two middle places of four (the pyramid of Barry & Goldman 1988). */
function between([p0, p1, p2, p3]: readonly [Place, Place, Place, Place], share: number): Place {
  const t0 = 0;
  const t1 = t0 + Math.sqrt(apart(p0, p1));
  const t2 = t1 + Math.sqrt(apart(p1, p2));
  const t3 = t2 + Math.sqrt(apart(p2, p3));
  const t = t1 + share * (t2 - t1);
  const mix = (a: Place, b: Place, from: number, to: number): Place => {
    const w = to > from ? (t - from) / (to - from) : 0;
    return [a[0] + w * (b[0] - a[0]), a[1] + w * (b[1] - a[1])];
  };
  const [a, b, c] = [mix(p0, p1, t0, t1), mix(p1, p2, t1, t2), mix(p2, p3, t2, t3)];
  return mix(mix(a, b, t0, t2), mix(b, c, t1, t3), t1, t2);
}
