/**
 * `npm run own-river`: made-up rivers are drawn from above with twelve depths, laid again by the tracing, and held
 * against their true beds at three flows, beside a plain channel of the same outline. Written to docs/own-river.md.
 */
import { isBetween, type Place, placeIn as placeOf } from "../src/core/trace/channel";
import { type Field, type Grid, speedAt } from "../src/core/flow/grid";
import { rasteriseReach } from "../src/core/flow/rasterise";
import { finish } from "../src/core/flow/steps";
import { solveSteady } from "../src/core/flow/steady";
import { tracedBedSolved } from "../src/core/trace/solved-surface";
import { type Outline, tracedBed } from "../src/core/trace/traced-bed";
import { acrossStraight, normalDepth } from "../src/core/trace/traced-depth";
import { findSeams } from "../src/core/water/seams";
import { type AskedError, askedError } from "./asked-depths";
import { FILMED_OFF, FILMED_READINGS, filmedBed } from "./filmed-beds";
import { filmedPart } from "./own-films";
import { drawn, type MadeRiver, madeRiver, valueAt } from "../src/testing/made-rivers";

/** The choices of the tracing were made on the first ten; the others are new to them. */
const RIVERS = 20;
const CHOSEN_ON = 10;
const DEPTHS = 12;
const FLOWS = [0.5, 1, 2];
/** Speeds within a fifth are right; of slow water, within so much, m/s. */
const RIGHT = { share: 0.2, speed: 0.08 };
/** A seam is right within so much, m. */
const SEAM = 2;
const CELL = 1;

interface Placed {
  field: Field;
  origin: Place;
}

const solve = (grid: Grid, discharge: number, slope: number): Field =>
  solveSteady(grid, { discharge, downstream: { kind: "normal", slope } });

/** A channel of the same outline with one depth by Manning's formula, as anyone could lay it. */
function plainBed(outline: Outline, cell: number): Grid & { origin: Place } {
  const bare = tracedBed({ ...outline, depths: [], riffles: [], pools: [] }, cell);
  const { channel } = bare;
  const depth = normalDepth(channel.meanWidth, outline.flow);
  const straight = { ...channel, curvature: new Float64Array(channel.curvature.length) };
  const z = bare.z.map((level, k) => {
    const at: Place = [
      bare.origin[0] + ((k % bare.nx) + 0.5) * cell,
      bare.origin[1] + (Math.floor(k / bare.nx) + 0.5) * cell,
    ];
    if (!isBetween(straight, at)) return level;
    const { s, across } = placeOf(straight, at);
    return -outline.flow.slope * s - depth * 1.25 * acrossStraight(across);
  });
  return { ...bare, z };
}

/** Share of the true water whose speed is right, and of its seams' points that have one near. */
function compare(
  river: MadeRiver,
  truth: Field,
  laid: Placed,
  counts: (at: Place) => boolean = () => true,
): { speeds: number; seams: number } {
  const { nx, ny, cell } = truth;
  const { channel } = river;
  const [from, to] = [channel.width[0]! * 1, (channel.axis.length - 1) * channel.step - channel.width.at(-1)!];
  let [wet, right] = [0, 0];
  const within = (at: Place) => {
    const { s } = placeOf(channel, at);
    return s >= from && s <= to;
  };
  for (let k = 0; k < nx * ny; k++) {
    if (truth.depth[k]! < 0.1) continue;
    const at: Place = [river.origin[0] + ((k % nx) + 0.5) * cell, river.origin[1] + (Math.floor(k / nx) + 0.5) * cell];
    if (!within(at) || !counts(at)) continue;
    wet++;
    const speed = speedAt(truth, k);
    const u = valueAt(laid.field, laid.origin, laid.field.u, at);
    const v = valueAt(laid.field, laid.origin, laid.field.v, at);
    if (Math.abs(Math.hypot(u, v) - speed) <= Math.max(RIGHT.speed, RIGHT.share * speed)) right++;
  }
  const pointsOf = (field: Field, origin: Place) =>
    findSeams(field)
      .flatMap(({ points }) => points)
      .map(([x, y]): Place => [x + origin[0], y + origin[1]]);
  const near = pointsOf(laid.field, laid.origin);
  const own = pointsOf(truth, river.origin).filter(within);
  const found = own.filter(([x, y]) => near.some(([a, b]) => Math.hypot(a - x, b - y) <= SEAM));
  return { speeds: right / wet, seams: own.length === 0 ? 1 : found.length / own.length };
}

const percent = (share: number) => `${Math.round(100 * share)} %`;
const rows: string[] = [];
const all: { traced: { speeds: number; seams: number }; plain: { speeds: number; seams: number } }[] = [];
const askedErrors: AskedError[] = [];
/** Where a reach was filmed and over all of it, traced and fitted, at each flow. */
const filmed: { name: string; moved: boolean; seconds: number; part: [number, number]; whole: [number, number] }[] = [];
for (let seed = 1; seed <= RIVERS; seed++) {
  const river = madeRiver(seed);
  const grid = rasteriseReach(river.reach);
  const day = solve(grid, river.discharge, river.slope);
  const outline = drawn(river, day, DEPTHS);
  // A river of its own: what is drawn of it takes from its stream of random numbers.
  if (seed <= CHOSEN_ON) askedErrors.push(askedError(madeRiver(seed), day));
  const traced = finish(tracedBedSolved(outline, CELL));
  const plain = plainBed(outline, CELL);
  const film = seed <= CHOSEN_ON ? filmedBed(river, day, outline) : undefined;
  const filmedRow: (typeof filmed)[number] | undefined = film && {
    name: `${seed}`,
    moved: film.moved,
    seconds: film.seconds,
    part: [0, 0],
    whole: [0, 0],
  };
  for (const times of FLOWS) {
    const discharge = times * river.discharge;
    const truth = times === 1 ? day : solve(grid, discharge, river.slope);
    const of = (bed: Grid & { origin: Place }, slope = outline.flow.slope) =>
      compare(river, truth, { field: solve(bed, discharge, slope), origin: bed.origin });
    const one = {
      traced: of(traced, traced.outletSlope),
      plain: of({ ...plain, roughness: plain.roughness.fill(0.035) }),
    };
    all.push(one);
    if (film && filmedRow)
      [film.traced, film.fitted].forEach((reach, k) => {
        const field = solveSteady(rasteriseReach(reach), { discharge, downstream: reach.downstream });
        const laid = { field, origin: film.origin };
        filmedRow.part[k]! += compare(river, truth, laid, film.isFilmed).speeds / FLOWS.length;
        filmedRow.whole[k]! += compare(river, truth, laid).speeds / FLOWS.length;
      });
    rows.push(
      `| ${seed} | ${discharge.toFixed(1)} | ${percent(one.traced.speeds)} | ${percent(one.plain.speeds)} | ${percent(one.traced.seams)} | ${percent(one.plain.seams)} |`,
    );
    process.stderr.write(
      `${rows.at(-1)} n ${traced.manning.toFixed(3)} of ${(river.reach.roughness as number).toFixed(3)}\n`,
    );
  }
  if (filmedRow) filmed.push(filmedRow);
}
type Compared = (typeof all)[number];
const first = all.slice(0, CHOSEN_ON * FLOWS.length);
const later = all.slice(CHOSEN_ON * FLOWS.length);
const mean = (part: Compared[], of: (one: Compared) => number) =>
  percent(part.reduce((sum, one) => sum + of(one), 0) / part.length);
const meanRow = (name: string, part: Compared[]) =>
  `| ${name} | | ${mean(part, (one) => one.traced.speeds)} | ${mean(part, (one) => one.plain.speeds)} | ${mean(part, (one) => one.traced.seams)} | ${mean(part, (one) => one.plain.seams)} |`;
const shareOff = (of: (one: AskedError) => number) =>
  `${((100 * askedErrors.reduce((sum, one) => sum + of(one), 0)) / askedErrors.length).toFixed(1)} %`;
const meanOfFilmed = (of: (one: (typeof filmed)[number]) => number) =>
  percent(filmed.reduce((sum, one) => sum + of(one), 0) / filmed.length);
const thirds = (part: Compared[]) => part.filter((one) => one.traced.speeds >= 2 / 3).length;
process.stdout.write(`# Your own river, from its outline

Written by \`npm run own-river\`. Made-up rivers (\`src/testing/made-rivers.ts\`), whose true beds come by other rules than those of the tracing, are drawn as an angler would: both water's edges to a quarter of a metre, riffles and pools to two metres, the slope to a tenth, and ${DEPTHS} depths to 4 %. The bed is laid from that alone (\`src/core/trace/traced-bed.ts\`), brought under the surface that the solver gives on that day (\`solved-surface.ts\`), and solved at half, once and twice the flow of the day, on ${CELL} m cells. Beside it: a plain channel of the same outline, with one depth by Manning's formula.

A speed is right within ${100 * RIGHT.share} % or ${RIGHT.speed} m/s; a seam within ${SEAM} m. The first and the last width of each reach are left out: there the true river's inlet is not known.

| river | flow, m³/s | speeds right, traced | plain | seams found, traced | plain |
|---|---|---|---|---|---|
${rows.join("\n")}
${meanRow(`mean of 1 to ${CHOSEN_ON}`, first)}
${meanRow(`mean of ${CHOSEN_ON + 1} to ${RIVERS}`, later)}

The choices of the tracing (how far a depth is felt, how the surface is solved for) were made on rivers 1 to ${CHOSEN_ON}; rivers ${CHOSEN_ON + 1} to ${RIVERS} are new to them. Two thirds of the water or more have the right speed in ${thirds(first)} of ${first.length} cases and in ${thirds(later)} of ${later.length}. Humps and holes between the depths are most of what is missing.

## Depths that are asked for

On rivers 1 to ${CHOSEN_ON}, around three lies (half a width about them): how far depths are off (root mean square of ln depth) with nine depths taken evenly, with three more taken evenly, and with three more where the tool asks for them (\`src/core/trace/wanted-depths.ts\`). Beside it what the tool says of it.

| | with 9 | with 3 more, evenly | with the 3 asked for |
|---|---|---|---|
| off by | ${shareOff((one) => one.before)} | ${shareOff((one) => one.even)} | ${shareOff((one) => one.asked)} |
| said | ${shareOff((one) => one.told[0])} | | ${shareOff((one) => one.told[1])} |

## A bed from filmed speeds

Rivers 1 to ${CHOSEN_ON} once more: ${FILMED_READINGS} surface speeds, each off by ${100 * FILMED_OFF} %, over one width of the traced reach at the flow of the day, and the reach fitted to them (\`src/core/flow/fit-reach.ts\`). Speeds right at half, once and twice that flow, where it was filmed and in the whole reach.

| river | filmed part, traced | fitted | whole, traced | fitted | bed moved | one core, s |
|---|---|---|---|---|---|---|
${filmed.map(({ name, part, whole, moved, seconds }) => `| ${name} | ${percent(part[0])} | ${percent(part[1])} | ${percent(whole[0])} | ${percent(whole[1])} | ${moved ? "yes" : "no"} | ${seconds.toFixed(0)} |`).join("\n")}
| mean | ${meanOfFilmed((one) => one.part[0])} | ${meanOfFilmed((one) => one.part[1])} | ${meanOfFilmed((one) => one.whole[0])} | ${meanOfFilmed((one) => one.whole[1])} | | |

${filmedPart()}`);
