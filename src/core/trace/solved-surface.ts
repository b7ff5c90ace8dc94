import { InputError } from "../quantity/fault";
import type { Field } from "../flow/grid";
import { steadyFlow } from "../flow/steady";
import { telling } from "../flow/steps";
import { alongAxis, channelBetween, placeIn } from "./channel";
import { boundsOf, cellFor, type Outline, type TracedBed, tracedBed } from "./traced-bed";

/**
 * A traced bed lies its depths below a water surface that falls as its sections need by Manning's formula. The solver
 * loses head elsewhere too: over the crest of a riffle, in bends and eddies. Its water then stands higher over a pool
 * than the depths that were drawn and taken. So the bed is solved at the flow of its day and brought under the surface
 * that comes out, section by section, until depths are again those of the day (successive substitution, as in a
 * standard-step backwater profile: Chow 1959, section 10-3).
 */

/**
 * Rounds; how many widths each is evened over, along; and how many from the lower end the surface goes back to what the
 * outlet gives. Own choice, held by docs/own-river.md: more rounds steepen what no depth supports.
 */
const ROUNDS = 2;
const EVENED = 0.5;
const OUTLET = 1.5;
/** Shallower cells say nothing of the level, m. */
const LEAST = 0.05;
/**
 * Solved on cells so many times as wide as the bed's own, or wider: not more of them than this while the water has so
 * many across, and else as it was laid. Own choice: levels need few.
 */
const COARSER = 2;
const MOST_CELLS = 3000;
const FEWEST_ACROSS = 5;
const MOST_OF_ALL = 12_000;

/**
 * The traced bed under the surface that the solver gives at the flow of its day. A generator, since it takes seconds:
 * each value is how far it has come, 0 to 1.
 */
export function* tracedBedSolved(outline: Outline, cell?: number): Generator<number, TracedBed> {
  const channel = channelBetween(outline.left, outline.right);
  const fine = cell ?? cellFor(channel);
  const { low, high } = boundsOf(channel);
  const size = (high[0] - low[0]) * (high[1] - low[1]);
  const coarse = Math.min(Math.max(COARSER * fine, Math.sqrt(size / MOST_CELLS)), channel.meanWidth / FEWEST_ACROSS);
  if (size / coarse ** 2 > MOST_OF_ALL) return tracedBed(outline, fine);
  const laid = tracedBed(outline, coarse);
  const along = alongOf(laid);
  const raised = new Float64Array(laid.channel.axis.length);
  for (let round = 0; round < ROUNDS; round++) {
    const work = solved(bedRaised(laid, along, raised), outline.flow.discharge);
    const field = yield* telling(work, (done) => (round + done) / ROUNDS);
    if (!field) break;
    const deeper = deeperBySection(laid, along, field);
    for (let k = 0; k < raised.length; k++) raised[k]! += deeper[k]!;
  }
  return tracedBed(outline, fine, raised);
}

/** Distance along the channel of each cell, m. */
const alongOf = ({ channel, z, nx, cell, origin: [x, y] }: TracedBed): Float64Array =>
  z.map((_, k) => placeIn(channel, [x + ((k % nx) + 0.5) * cell, y + (Math.floor(k / nx) + 0.5) * cell]).s);

/** With its depths, under a surface so much higher, m, at each point of the axis. */
const bedRaised = (bed: TracedBed, along: Float64Array, raised: Float64Array): TracedBed => ({
  ...bed,
  z: bed.z.map((z, k) => z + alongAxis(bed.channel, raised, along[k]!)),
});

/** Nothing where so coarse a bed carries no water: it is then left as it was laid. */
function* solved(bed: TracedBed, discharge: number): Generator<number, Field | undefined> {
  try {
    const work = steadyFlow(bed, { discharge, downstream: { kind: "normal", slope: bed.outletSlope } });
    return yield* telling(work, ({ done }) => Math.min(0.99, done));
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}

/** How much deeper than drawn the solved water is, m, at each point of the axis. */
function deeperBySection(bed: TracedBed, along: Float64Array, field: Field): Float64Array {
  const { channel, depth } = bed;
  const points = channel.axis.length;
  const sum = new Float64Array(points);
  const count = new Float64Array(points);
  for (let k = 0; k < depth.length; k++) {
    if (depth[k]! < LEAST || field.depth[k]! < LEAST) continue;
    const point = Math.min(points - 1, Math.max(0, Math.round(along[k]! / channel.step)));
    sum[point]! += field.depth[k]! - depth[k]!;
    count[point]!++;
  }
  const spread = (EVENED * channel.meanWidth) / channel.step;
  const end = (OUTLET * channel.meanWidth) / channel.step;
  const last = Math.max(0, points - 1 - end);
  return Float64Array.from(sum, (_, at) => {
    const from = Math.min(at, last);
    let [total, weight] = [0, 0];
    for (let k = 0; k <= last; k++) {
      const share = Math.exp(-0.5 * ((from - k) / spread) ** 2);
      total += share * sum[k]!;
      weight += share * count[k]!;
    }
    const towardsOutlet = at <= last ? 1 : (points - 1 - at) / end;
    return weight > 0 ? (total / weight) * towardsOutlet : 0;
  });
}
