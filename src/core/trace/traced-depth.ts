import { alongAxis, type Channel } from "./channel";

/**
 * Depths that an outline, a slope and a flow support, before any is measured: mean depth by continuity and Manning, its
 * changes along by riffles, pools and bends, its shape across by the bend.
 */

/** What is known of the water when it was traced. */
export interface TracedFlow {
  /** m3/s */
  discharge: number;
  /** Fall of the water's surface, m per m. */
  slope: number;
  /** Manning's n, s/m^(1/3). */
  roughness: number;
}

/** Where riffles cross and pools lie deepest, m along the axis. */
export interface AlongMarks {
  riffles: readonly number[];
  pools: readonly number[];
}

/**
 * Share of the section's greatest depth at a share across a straight one: a flat middle with sides that rise to the
 * banks. Common practice, no source.
 */
const SIDES = 4;
export const acrossStraight = (across: number): number => 1 - Math.abs(2 * across - 1) ** SIDES;
/** Its mean over the width. */
const MEAN_OF_STRAIGHT = SIDES / (SIDES + 1);

/**
 * Exponent of depth with radius in a bend: h = hc (r / rc)^(7 tan phi), after Engelund 1974 (J. Hydraul. Div. 100,
 * 1631-1648); tan phi, the dynamic friction of the grains, 0.5. From memory.
 */
const BEND = 7 * 0.5;
/** No bend is deeper outside than so many times the middle: tight bends scour less than they would. Own choice. */
const MOST_OF_BEND = 2.2;
/** A bend's bed lags behind its plan by about a width. Common practice, no source. */
const LAG = 1;

/** Depth at a share across over that of the middle, for the curvature, 1/m, of a channel so wide, m. */
export function inBend(across: number, curvature: number, width: number): number {
  // Above nought it turns to the right, and the left bank is the outside.
  const radii = Math.max(0.2, 1 + (0.5 - across) * width * curvature);
  return Math.min(MOST_OF_BEND, radii ** BEND);
}

/**
 * Mean depth of a riffle and of a pool over that of the reach, where they are marked. Common practice, no source: pools
 * about twice as deep as riffles at middling flow.
 */
const RIFFLE = 0.65;
const POOL = 1.4;
/** A bend has a pool of its own, by curvature times width. Common practice, no source. */
const BEND_POOL = 0.6;
/** A mark is felt so many widths up and down. Common practice, no source: riffles lie five to seven widths apart. */
const FELT = 1.5;

/** Mean depth over that of a plain channel of the same width, at each point of the axis. */
function undulation(channel: Channel, { riffles, pools }: AlongMarks): Float64Array {
  const { axis, step, width } = channel;
  return Float64Array.from(axis, (_, k) => {
    const felt = (marks: readonly number[]) =>
      marks.reduce((most, s) => Math.max(most, Math.exp(-(((k * step - s) / (FELT * width[k]!)) ** 2))), 0);
    const [riffle, pool] = [felt(riffles), felt(pools)];
    const bend = Math.min(1, Math.abs(curvatureBefore(channel, k * step)) * width[k]!);
    // What is marked goes before what the bend says.
    const own = Math.log(1 + BEND_POOL * bend) * (1 - Math.max(riffle, pool));
    return Math.exp(own + riffle * Math.log(RIFFLE) + pool * Math.log(POOL));
  });
}

/** Curvature that the bed at a place answers to: that of a width upstream. */
const curvatureBefore = (channel: Channel, s: number): number =>
  alongAxis(channel, channel.curvature, s - LAG * alongAxis(channel, channel.width, s));

/** The outline's depths, m, at any place in the channel. */
export type DepthAt = (s: number, across: number) => number;

/**
 * Depths for which the fall of the surface adds up to what was said: each section passes the flow by Manning's formula
 * at the slope that its own depths need, and all of them together fall by the slope of the reach. No kinetic head.
 * @returns depths by place, and the water's fall at each point of the axis, m below the upstream end
 */
export function tracedDepths(
  channel: Channel,
  flow: TracedFlow,
  marks: AlongMarks,
  isLand: (s: number, across: number) => boolean = () => false,
): { at: DepthAt; fall: Float64Array } {
  const wave = undulation(channel, marks);
  const shape = (k: number, across: number) =>
    wave[k]! *
    (acrossStraight(across) / MEAN_OF_STRAIGHT) *
    inBend(across, curvatureBefore(channel, k * channel.step), channel.width[k]!);
  const plain = Float64Array.from(channel.width, (width) => normalDepth(width, flow));
  const conveyances = plain.map((depth, k) =>
    conveyance((across) => (isLand(k * channel.step, across) ? 0 : depth * shape(k, across)), channel.width[k]!),
  );
  // Conveyance grows with the five thirds of depth: one factor for all makes the fall right.
  const needed = slopesFor(channel, conveyances, flow);
  const mean = needed.reduce((sum, one) => sum + one, 0) / needed.length;
  const factor = (mean / flow.slope) ** (3 / 10);
  const at: DepthAt = (s, across) => {
    const k = Math.min(channel.axis.length - 1, Math.max(0, Math.round(s / channel.step)));
    return factor * alongAxis(channel, plain, s) * shape(k, across);
  };
  return {
    at,
    fall: fallsOf(needed, channel.step, flow.slope),
  };
}

/** Depth of a wide plain channel by continuity and Manning's formula, m. */
export const normalDepth = (width: number, { discharge, slope, roughness }: TracedFlow): number =>
  ((discharge * roughness) / (width * Math.sqrt(slope))) ** (3 / 5);

const STRIPS = 24;
/** Integral of depth to the five thirds across a section, m^(8/3). */
export function conveyance(depth: (across: number) => number, width: number): number {
  let sum = 0;
  for (let k = 0; k < STRIPS; k++) sum += Math.max(0, depth((k + 0.5) / STRIPS)) ** (5 / 3);
  return (sum * width) / STRIPS;
}

/**
 * Sections are not known so well that each could steepen the water for itself: their slopes are evened over a
 * width.
 */
const EVENED = 1;

/** Slope of energy that the sections need, m per m. */
export function slopesFor(
  channel: Channel,
  conveyances: Float64Array,
  { discharge, roughness }: Omit<TracedFlow, "slope">,
): Float64Array {
  const needed = conveyances.map((one) => ((discharge * roughness) / one) ** 2);
  return needed.map((_, k) => {
    const half = Math.round((EVENED * channel.width[k]!) / channel.step);
    const part = needed.subarray(Math.max(0, k - half), k + half + 1);
    return part.reduce((sum, one) => sum + one, 0) / part.length;
  });
}

/** Fall from the upstream end, m, as the slopes at the points share it out; over the whole it is that of the reach. */
export function fallsOf(slopes: Float64Array, step: number, slope: number): Float64Array {
  const fall = new Float64Array(slopes.length);
  for (let k = 1; k < fall.length; k++) fall[k] = fall[k - 1]! + 0.5 * (slopes[k - 1]! + slopes[k]!) * step;
  const factor = (slope * step * (fall.length - 1)) / fall.at(-1)!;
  return fall.map((one) => one * factor);
}
