import { InputError } from "../quantity/fault";
import {
  alongAxis,
  type Channel,
  channelBetween,
  distanceTo,
  isBetween,
  isWithin,
  type Place,
  placeAt,
  placeIn,
} from "./channel";
import { krige, type TakenDepth } from "./depth-kriging";
import { demandCells, type Grid } from "../flow/grid";
import {
  type AlongMarks,
  conveyance,
  type DepthAt,
  fallsOf,
  normalDepth,
  slopesFor,
  type TracedFlow,
  tracedDepths,
} from "./traced-depth";

/**
 * An outline drawn on a picture or walked, with what is known of its water; plan in m, x downstream, y to the
 * right.
 */
export interface Outline {
  left: readonly Place[];
  right: readonly Place[];
  /** On the day it was seen. */
  flow: TracedFlow;
  riffles: readonly Place[];
  pools: readonly Place[];
  /** Where a pool begins and where it ends, if that is what was marked. */
  poolHeads?: readonly Place[];
  poolTails?: readonly Place[];
  /** Points on the deeper side. */
  deepSides?: readonly Place[];
  /** Rings of land within the banks. */
  islands?: readonly (readonly Place[])[];
  /** Ground beside the water, m above its surface at the upstream end, where that is known. */
  land?: (at: Place) => number | undefined;
  /** Depths, m: taken on that day, or at another flow, m3/s. */
  depths: readonly { at: Place; depth: number; discharge?: number }[];
}

export interface TracedBed extends Grid {
  /** Standard deviation of the bed's height, m: what was not measured is uncertain. Infinity on land. */
  deviation: Float64Array;
  /** Depth on the day it was seen, m; 0 on land. */
  depth: Float64Array;
  /** Of the grid's corner in the outline's plan, m. */
  origin: Place;
  channel: Channel;
  /** Depths that were used: those between the banks. */
  used: number;
  /** By what the depths say; as it was given where none was taken. */
  manning: number;
  /** Slope of energy at the lower end, m per m: what its depths need there to pass the flow. */
  outletSlope: number;
}

/**
 * Land beside the channel that the grid has room for, m, and how it rises from the water's edge, m per m. Own
 * choice.
 */
const MARGIN = 4;
const BANK = 0.5;
/** Known ground beside the water stands at least so high over it: it was dry that day, m. Own choice. */
const SHORE = 0.05;
/** A Manning's n that depths ask for is believed between these (Chow 1959, table 5-6: clean to very weedy streams). */
const BELIEVED: readonly [number, number] = [0.02, 0.1];

/** A depth that is read as none at all would have no logarithm, m. */
const LEAST = 0.02;

/** Cells across a channel, and their bounds, m, where none are asked for. Own choice: eddies need about twenty. */
const ACROSS = 24;
const CELLS: readonly [number, number] = [0.5, 2];
export const cellFor = ({ meanWidth }: Channel): number =>
  Math.min(CELLS[1], Math.max(CELLS[0], Math.round((2 * meanWidth) / ACROSS) / 2));

/** Depths that kriging takes: it weighs each against each. A sounder's track is a survey of its own (survey.ts). */
const MOST_DEPTHS = 300;

/**
 * The bed under an outline: depths by continuity, Manning and the bends, drawn to those that were taken; under a
 * water's surface that falls as the sections need.
 * @param cell m; without it as fine as the channel is narrow
 * @param raised how much higher the water's surface stands than the sections need, m, at each point of the axis
 * @throws InputError "too-many-depths" and those of the channel
 */
export function tracedBed(outline: Outline, cell?: number, raised?: Float64Array): TracedBed {
  const known = knowledgeOf(outline);
  const { channel, plain, taken } = known;
  const ratio = krige(channel, known.said);
  const depthAt = (s: number, across: number) => {
    const { mean, deviation } = ratio(s, across);
    const depth = plain.at(s, across) * Math.exp(mean);
    return { depth, deviation: depth * deviation };
  };
  const { fall, manning } =
    taken > 0
      ? refitted(channel, outline.flow, (s, across) => depthAt(s, across).depth)
      : { fall: plain.fall, manning: outline.flow.roughness };
  const surface = raised ? fall.map((one, k) => one - raised[k]!) : fall;
  return {
    ...lay(
      channel,
      { depthAt, fall: surface, manning, islands: known.islands, land: outline.land },
      cell ?? cellFor(channel),
    ),
    used: taken,
    outletSlope: outletSlope(channel, fall, outline.flow.slope),
  };
}

/** What an outline says of its water before the bed is laid. */
export interface Knowledge {
  channel: Channel;
  /** Depths by the outline alone. */
  plain: { at: DepthAt; fall: Float64Array };
  /** What depths and marks say of it, and how many depths were taken in the water. */
  said: TakenDepth[];
  taken: number;
  islands: (readonly Place[])[];
  isWater: (at: Place) => boolean;
}

/**
 * @throws InputError "too-many-depths" and those of the channel
 */
export function knowledgeOf(outline: Outline): Knowledge {
  if (outline.depths.length > MOST_DEPTHS) throw new InputError("too-many-depths", { most: MOST_DEPTHS });
  const channel = channelBetween(outline.left, outline.right);
  const marks = alongMarks(channel, outline);
  const islands = (outline.islands ?? []).map((ring) => [...ring, ring[0]!]);
  const isLand = (at: Place) => islands.some((ring) => isWithin(ring, at));
  const plain = tracedDepths(channel, outline.flow, marks, (s, across) => isLand(placeAt(channel, s, across)));
  // A depth on land says nothing of the water.
  const isWater = (at: Place) => isBetween(channel, at) && !isLand(at);
  const taken = outline.depths
    .filter(({ at }) => isWater(at))
    .map(({ at, depth, discharge }): TakenDepth => {
      const { s, across } = placeIn(channel, at);
      const that = depth + (discharge === undefined ? 0 : riseFrom(channel, outline.flow, s, discharge));
      return { s, across, ratio: Math.log(Math.max(LEAST, that) / Math.max(LEAST, plain.at(s, across))) };
    });
  return {
    channel,
    plain,
    said: [...taken, ...deepSidesOf(channel, outline, plain.at)],
    taken: taken.length,
    islands,
    isWater,
  };
}

/**
 * How much higher the water stands on the day of the outline than at another flow, m: by Manning's formula in a plain
 * channel as wide as that section (normal depth; Chow 1959, chapter 6).
 */
function riseFrom(channel: Channel, flow: TracedFlow, s: number, discharge: number): number {
  const width = alongAxis(channel, channel.width, s);
  return normalDepth(width, flow) - normalDepth(width, { ...flow, discharge });
}

/**
 * Where a pool is deepest: so much of the way from its head to its tail, or so many widths from the one of them that
 * is marked. Common practice, no source: pools are steep at the head and shelve to the tail.
 */
const DEEPEST = 0.4;
const FROM_HEAD = 1.2;
const FROM_TAIL = 1.8;

/** Marks by their distance along the channel. A head goes with the next tail before another head. */
function alongMarks(channel: Channel, { riffles, pools, poolHeads = [], poolTails = [] }: Outline): AlongMarks {
  const along = (places: readonly Place[]) => places.map((at) => placeIn(channel, at).s).sort((a, b) => a - b);
  const [heads, tails] = [along(poolHeads), along(poolTails)];
  const width = channel.meanWidth;
  const deepest: number[] = [];
  const paired = new Set<number>();
  heads.forEach((head, k) => {
    const tail = tails.find((one) => one > head && one <= (heads[k + 1] ?? Infinity));
    if (tail !== undefined) paired.add(tail);
    deepest.push(tail === undefined ? head + FROM_HEAD * width : head + DEEPEST * (tail - head));
  });
  deepest.push(...tails.filter((one) => !paired.has(one)).map((tail) => Math.max(0, tail - FROM_TAIL * width)));
  return { riffles: along(riffles), pools: [...along(pools), ...deepest] };
}

/** Logarithm of the deep side's depth over the other's where one was seen; how sure that is. Own choice. */
const SEEN_DEEPER = { ratio: Math.log(2), spread: 0.2, across: 0.25 };

/** What is seen of a deep side, as depths that the outline lacks: so much more there, so much less opposite. */
function deepSidesOf(channel: Channel, { deepSides = [] }: Outline, plain: (s: number, across: number) => number) {
  return deepSides
    .filter((at) => isBetween(channel, at))
    .flatMap((at): TakenDepth[] => {
      const { s, across } = placeIn(channel, at);
      const [deep, shallow] =
        across < 0.5 ? [SEEN_DEEPER.across, 1 - SEEN_DEEPER.across] : [1 - SEEN_DEEPER.across, SEEN_DEEPER.across];
      // What the bend says already counts.
      const lacking =
        SEEN_DEEPER.ratio - Math.log(Math.max(LEAST, plain(s, deep)) / Math.max(LEAST, plain(s, shallow)));
      if (lacking <= 0) return [];
      const { spread } = SEEN_DEEPER;
      return [
        { s, across: deep, ratio: lacking / 2, spread },
        { s, across: shallow, ratio: -lacking / 2, spread },
      ];
    });
}

/**
 * An outlet in a pool needs less slope than the reach, one on a riffle more: with the reach's own, the pool would
 * drain. Over the last width; believed within so many times the reach's. Own choice.
 */
const OUTLET_SLOPES: readonly [number, number] = [0.1, 4];
function outletSlope({ step, meanWidth }: Channel, fall: Float64Array, slope: number): number {
  const last = fall.length - 1;
  const points = Math.min(last, Math.max(1, Math.round(meanWidth / step)));
  const own = (fall[last]! - fall[last - points]!) / (points * step);
  return Math.min(OUTLET_SLOPES[1] * slope, Math.max(OUTLET_SLOPES[0] * slope, own));
}

/** With the depths drawn to those taken: the n by which they pass the flow at the slope of the reach, and the fall. */
function refitted(channel: Channel, flow: TracedFlow, depthAt: (s: number, across: number) => number) {
  const conveyances = Float64Array.from(channel.width, (width, k) =>
    conveyance((across) => depthAt(k * channel.step, across), width),
  );
  const needed = slopesFor(channel, conveyances, { ...flow, roughness: 1 });
  const mean = needed.reduce((sum, one) => sum + one, 0) / needed.length;
  // What the depths ask for and what was given beforehand are trusted alike.
  const asked = Math.sqrt(flow.slope / mean);
  const manning = Math.min(BELIEVED[1], Math.max(BELIEVED[0], Math.sqrt(asked * flow.roughness)));
  return {
    manning,
    fall: fallsOf(needed, channel.step, flow.slope),
  };
}

interface Laid {
  /** m, and its standard deviation. */
  depthAt: (s: number, across: number) => { depth: number; deviation: number };
  fall: Float64Array;
  manning: number;
  /** Closed rings of land. */
  islands: readonly (readonly Place[])[];
  land: Outline["land"];
}

/** Corners of the grid of a channel. */
export function boundsOf({ left, right }: Channel): { low: Place; high: Place } {
  const all = [...left, ...right].map(([, y]) => y);
  return {
    low: [Math.max(left[0]![0], right[0]![0]), Math.min(...all) - MARGIN],
    high: [Math.min(left.at(-1)![0], right.at(-1)![0]), Math.max(...all) + MARGIN],
  };
}

/** The grid, from the upstream ends of both banks to their downstream ends. */
function lay(
  channel: Channel,
  { depthAt, fall, manning, islands, land }: Laid,
  cell: number,
): Omit<TracedBed, "used" | "outletSlope"> {
  const { low, high } = boundsOf(channel);
  const [x0, y0] = low;
  const nx = Math.max(4, Math.floor((high[0] - x0) / cell));
  const ny = Math.max(3, Math.ceil((high[1] - y0) / cell));
  demandCells(nx, ny);
  const z = new Float64Array(nx * ny);
  const deviation = new Float64Array(nx * ny).fill(Infinity);
  const depth = new Float64Array(nx * ny);
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++) {
      const at: Place = [x0 + (i + 0.5) * cell, y0 + (j + 0.5) * cell];
      const { s, across, edge } = placeIn(channel, at);
      const surface = -alongAxis(channel, fall, s);
      const k = j * nx + i;
      const island = islands.find((ring) => isWithin(ring, at));
      if (island) z[k] = surface + BANK * distanceTo(island, at);
      else if (!isBetween(channel, at)) z[k] = Math.max(surface + SHORE, land?.(at) ?? surface + BANK * edge);
      else {
        const own = depthAt(s, across);
        z[k] = surface - own.depth;
        deviation[k] = own.deviation;
        depth[k] = own.depth;
      }
    }
  return {
    nx,
    ny,
    cell,
    z,
    roughness: new Float64Array(nx * ny).fill(manning),
    deviation,
    depth,
    origin: low,
    channel,
    manning,
  };
}
