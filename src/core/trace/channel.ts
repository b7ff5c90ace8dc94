import { InputError } from "../quantity/fault";

export type Place = readonly [x: number, y: number];

/**
 * A channel between two banks, in coordinates along and across it. Plan in m: x downstream, y to the right looking
 * downstream.
 */
export interface Channel {
  left: readonly Place[];
  right: readonly Place[];
  /** Points of the line down the middle, evenly spaced. */
  axis: readonly Place[];
  /** Distance between two of them, m. */
  step: number;
  /** Width at each, m; between banks; and their mean. */
  width: Float64Array;
  meanWidth: number;
  /** Both banks as one ring. */
  ring: readonly Place[];
  /** Curvature at each, 1/m: above nought it turns to the right, and the left bank is the outside. */
  curvature: Float64Array;
}

/** Points of the axis, and the most of a bank: enough that a bend is round. */
const SPACING = 2;
const FEWEST = 12;
const MOST = 1000;
const thinned = (bank: readonly Place[]) => (bank.length > MOST ? evenly(bank, MOST) : bank);

/**
 * The channel between two banks, each from its upstream end to its downstream end. The middle is between points at the
 * same share of both banks; its curvature is that of the line smoothed over a width.
 * @throws InputError "bank-too-short", "banks-cross"
 */
export function channelBetween(leftBank: readonly Place[], rightBank: readonly Place[]): Channel {
  for (const [name, bank] of [
    ["left", leftBank],
    ["right", rightBank],
  ] as const)
    if (bank.length < 2 || !(lengthOf(bank) > 1)) throw new InputError("bank-too-short", { bank: name });
  const [left, right] = [thinned(leftBank), thinned(rightBank)];
  const count = Math.min(MOST, Math.max(FEWEST, Math.ceil((lengthOf(left) + lengthOf(right)) / 2 / SPACING) + 1));
  const [a, b] = [evenly(left, count), evenly(right, count)];
  const middle = a.map((one, k): Place => [(one[0] + b[k]![0]) / 2, (one[1] + b[k]![1]) / 2]);
  const rough = a.map((one, k) => Math.hypot(one[0] - b[k]![0], one[1] - b[k]![1]));
  const mean = rough.reduce((sum, one) => sum + one, 0) / count;
  const spacing = lengthOf(middle) / (count - 1);
  const axis = evenly(smoothed(middle, Math.round(mean / 2 / spacing)), count);
  const step = lengthOf(axis) / (count - 1);
  const width = Float64Array.from(axis, (at) => distanceTo(left, at) + distanceTo(right, at));
  // Downstream of here the right bank must lie to the right.
  const crossed = axis.findIndex((at, k) => {
    const [dx, dy] = direction(axis, k);
    const to = nearestOn(right, at);
    return dx * (to[1] - at[1]) - dy * (to[0] - at[0]) <= 0;
  });
  if (crossed >= 0) throw new InputError("banks-cross", { at: crossed * step });
  return {
    left,
    right,
    axis,
    step,
    width,
    meanWidth: width.reduce((sum, one) => sum + one, 0) / count,
    ring: [...left, ...right.toReversed()],
    curvature: curvatureOf(axis, step, mean),
  };
}

/**
 * Where a place lies in the channel: s along it, m, its share across, 0 at the left bank and 1 at the right, and how
 * far off the nearer bank is, m.
 */
export function placeIn({ left, right, axis, step }: Channel, at: Place): { s: number; across: number; edge: number } {
  const s = projectOn(axis, at).at * step;
  const [l, r] = [distanceTo(left, at), distanceTo(right, at)];
  return { s, across: l + r > 0 ? l / (l + r) : 0.5, edge: Math.min(l, r) };
}

/** The place at a distance along the channel and a share across it; across its axis, where it bends. */
export function placeAt({ axis, step, width }: Channel, s: number, across: number): Place {
  const k = Math.min(axis.length - 1, Math.max(0, Math.round(s / step)));
  const [dx, dy] = direction(axis, k);
  const off = (across - 0.5) * width[k]!;
  return [axis[k]![0] - off * dy, axis[k]![1] + off * dx];
}

/** Is a place between the banks? */
export const isBetween = ({ ring }: Pick<Channel, "ring">, at: Place): boolean => isWithin(ring, at);

/** Is a place within a ring? By the crossings of a ray. */
export function isWithin(ring: readonly Place[], [x, y]: Place): boolean {
  let inside = false;
  for (let k = 0, j = ring.length - 1; k < ring.length; j = k++) {
    const [[ax, ay], [bx, by]] = [ring[k]!, ring[j]!];
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
  }
  return inside;
}

/** A value given at each point of the axis, at a distance along it. */
export function alongAxis({ step }: Channel, values: ArrayLike<number>, s: number): number {
  const at = Math.min(values.length - 1, Math.max(0, s / step));
  const k = Math.min(values.length - 2, Math.floor(at));
  return values[k]! + (at - k) * (values[k + 1]! - values[k]!);
}

export const lengthOf = (line: readonly Place[]): number =>
  line.slice(1).reduce((sum, [x, y], k) => sum + Math.hypot(x - line[k]![0], y - line[k]![1]), 0);

/** Points at even distances along a line. */
export function evenly(line: readonly Place[], count: number): Place[] {
  const total = lengthOf(line);
  const out: Place[] = [];
  let k = 0;
  let done = 0;
  for (let n = 0; n < count; n++) {
    const wanted = (total * n) / (count - 1);
    let span = Math.hypot(line[k + 1]![0] - line[k]![0], line[k + 1]![1] - line[k]![1]);
    while (k < line.length - 2 && done + span < wanted) {
      done += span;
      k++;
      span = Math.hypot(line[k + 1]![0] - line[k]![0], line[k + 1]![1] - line[k]![1]);
    }
    const t = span > 0 ? Math.min(1, (wanted - done) / span) : 0;
    const [a, b] = [line[k]!, line[k + 1]!];
    out.push([a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])]);
  }
  return out;
}

/** A running mean over as many points each way; fewer towards the ends, which stay where they are. */
function smoothed(line: readonly Place[], each: number): Place[] {
  return line.map((_, k) => {
    const half = Math.min(each, k, line.length - 1 - k);
    const part = line.slice(k - half, k + half + 1);
    return [
      part.reduce((sum, one) => sum + one[0], 0) / part.length,
      part.reduce((sum, one) => sum + one[1], 0) / part.length,
    ];
  });
}

function direction(axis: readonly Place[], k: number): Place {
  const [a, b] = [axis[Math.max(0, k - 1)]!, axis[Math.min(axis.length - 1, k + 1)]!];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  return [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
}

/** Change of heading with distance, over half a width each way, 1/m. */
function curvatureOf(axis: readonly Place[], step: number, width: number): Float64Array {
  const heading: number[] = [];
  axis.forEach((_, k) => {
    const [dx, dy] = direction(axis, k);
    const turn = Math.atan2(dy, dx);
    const before = heading.at(-1) ?? turn;
    heading.push(before + Math.atan2(Math.sin(turn - before), Math.cos(turn - before)));
  });
  const half = Math.max(1, Math.round(width / 2 / step));
  return Float64Array.from(heading, (_, k) => {
    const [from, to] = [Math.max(0, k - half), Math.min(heading.length - 1, k + half)];
    return to > from ? (heading[to]! - heading[from]!) / ((to - from) * step) : 0;
  });
}

/** Share along a stretch that is nearest to a place, and how far off that is, m. */
function project(a: Place, b: Place, [x, y]: Place): [t: number, apart: number] {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const square = dx * dx + dy * dy;
  const t = square > 0 ? Math.min(1, Math.max(0, ((x - a[0]) * dx + (y - a[1]) * dy) / square)) : 0;
  return [t, Math.hypot(x - a[0] - t * dx, y - a[1] - t * dy)];
}

/** Where on a line a place is nearest to, as a fraction of its points, and how far off it is, m. */
export function projectOn(line: readonly Place[], at: Place): { at: number; apart: number } {
  let best = { at: 0, apart: Infinity };
  for (let k = 0; k < line.length - 1; k++) {
    const [t, apart] = project(line[k]!, line[k + 1]!, at);
    if (apart < best.apart) best = { at: k + t, apart };
  }
  return best;
}

export const distanceTo = (line: readonly Place[], at: Place): number => projectOn(line, at).apart;

function nearestOn(line: readonly Place[], at: Place): Place {
  const found = projectOn(line, at).at;
  const k = Math.min(line.length - 2, Math.floor(found));
  const [a, b] = [line[k]!, line[k + 1]!];
  return [a[0] + (found - k) * (b[0] - a[0]), a[1] + (found - k) * (b[1] - a[1])];
}
