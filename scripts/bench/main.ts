/**
 * Times the solver (nanoseconds per wet cell and step, against the same scheme in C; seconds cold, warm and to a first
 * picture; on beds never seen; on bigger water) and the reading of a long gauge file, each with a plain baseline in the
 * same run.
 */
import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { writeField } from "../../src/core/formats/field-file";
import { readGaugeCsv } from "../../src/core/formats/gauge-csv";
import type { Field, Grid } from "../../src/core/flow/grid";
import { rasteriseReach } from "../../src/core/flow/rasterise";
import { checkReach } from "../../src/core/flow/reach";
import { SINGLE } from "../../src/core/flow/kernel";
import { flowsBetween, orderFrom, PRECOMPUTED_CELL } from "../../src/core/flow/precomputed";
import type { ThreadPool } from "../../src/core/flow/thread-pool";
import { ShallowWater } from "../../src/core/flow/solver";
import { outletLevel } from "../../src/core/flow/stage";
import { firstGuess } from "../../src/core/flow/start";
import { solveSteady } from "../../src/core/flow/steady";
import { readWater } from "../../src/core/fish/read";
import { speciesById } from "../../src/core/fish/species";
import { nodeThreadPool } from "../../cli/node-thread-pool";
import { schemeInC } from "./beside-c";
import { timeRigs } from "./rigs";
import { unseenBeds } from "./unseen";

const reach = checkReach({
  schema: "low-heron/reach@1",
  id: "bench",
  name: "bench",
  roughness: 0.035,
  downstream: { kind: "normal", slope: 0.003 },
  bed: {
    kind: "template",
    template: "riffle-run-pool",
    length: 160,
    width: 30,
    poolDepth: 1.4,
    slope: 0.003,
    wiggle: 2.5,
    cell: 0.5,
  },
  features: [
    { kind: "boulder", x: 70, y: 20, diameter: 3, height: 1.6 },
    { kind: "boulder", x: 90, y: 16, diameter: 3, height: 1.2 },
  ],
});

/** A plain loop: one square root, one division and five multiplications a cell. */
function baseline(cells: number, rounds: number): number {
  const [a, b] = [Float64Array.from({ length: cells }, (_, k) => 1 + (k % 7)), new Float64Array(cells)];
  const start = performance.now();
  for (let round = 0; round < rounds; round++)
    for (let k = 1; k < cells; k++)
      b[k] = (Math.sqrt(a[k]!) * a[k - 1]! * 1.5 + a[k]! * b[k - 1]! * 0.3) / (1 + a[k]! * 0.5);
  return ((performance.now() - start) * 1e6) / (cells * rounds);
}

/** Seconds to a settled field and to the first picture of it. */
function settle(
  grid: Grid,
  discharge: number,
  near?: Field,
  pool?: ThreadPool,
): { field: Field; seconds: number; first: number } {
  const start = performance.now();
  let first = 0;
  const field = solveSteady(grid, { discharge, downstream: reach.downstream, near, pool }, (step) => {
    if (step.picture && !first) first = performance.now() - start;
  });
  return { field, seconds: (performance.now() - start) / 1000, first: first / 1000 };
}

/**
 * What it takes to read a solved field: for a fish of each model, in this process against a plain loop, and by the
 * command with its start.
 */
function readings(field: Field): void {
  const cells = field.nx * field.ny;
  const plain = baseline(cells, 200) * cells * 1e-6;
  for (const id of ["brown-trout", "walleye", "king-salmon"]) {
    const times = Array.from({ length: 5 }, () => {
      const start = performance.now();
      readWater(field, {
        species: speciesById(id),
        visibleDepth: 1,
        temperature: 12,
        light: "day",
        features: reach.features,
      });
      return performance.now() - start;
    });
    process.stdout.write(
      `  read for ${id}: first ${times[0]!.toFixed(0)} ms, then ${Math.min(...times).toFixed(0)} ms, ${(Math.min(...times) / plain).toFixed(0)} x a plain loop over the ${cells} cells\n`,
    );
  }
  const folder = mkdtempSync(join(tmpdir(), "heron-bench-"));
  const [reachFile, fieldFile] = [join(folder, "reach.json"), join(folder, "field.json")];
  writeFileSync(reachFile, JSON.stringify(reach));
  writeFileSync(fieldFile, writeField(field));
  const command = (...args: string[]) => {
    const start = performance.now();
    spawnSync(process.execPath, args, { stdio: "ignore" });
    return performance.now() - start;
  };
  const heron = [
    join(import.meta.dirname, "../../cli/heron.mjs"),
    "read",
    reachFile,
    "--species",
    "brown-trout",
    "--field",
    fieldFile,
  ];
  command(...heron);
  const [own, bare] = [heron, ["-e", "0"]].map((args) =>
    Math.min(...Array.from({ length: 5 }, () => command(...args))),
  );
  process.stdout.write(
    `  heron read --field by the command: ${own!.toFixed(0)} ms, of which Node's own start is ${bare!.toFixed(0)} ms\n`,
  );
  rmSync(folder, { recursive: true });
}

const ROUNDS = 12;
const c = schemeInC();
const say = (line: string) => process.stdout.write(`${line}\n`);

/** Nanoseconds of the shipped kernel per wet cell and step, on one thread and on two, beside the same steps in C. */
function steps(cell: number): void {
  const grid = rasteriseReach(reach, cell);
  const level = outletLevel(grid, reach.downstream, 12);
  const state = firstGuess(grid, 12, level);
  const edges = { upstream: { kind: "inflow", discharge: 12 }, downstream: { kind: "level", level } } as const;
  const pool = nodeThreadPool(2);
  const [one, two] = [undefined, pool].map((helpers) => {
    const water = new ShallowWater(grid, edges, SINGLE, helpers);
    water.setState(state.depth, state.u, state.v);
    water.run(100, Infinity);
    return water;
  }) as [ShallowWater, ShallowWater];
  const wet = one.h.filter((h) => h > 0.01).length;
  const count = cell === 1 ? 200 : 60;
  const time = (work: () => void) => {
    const start = performance.now();
    work();
    return ((performance.now() - start) * 1e6) / (wet * count);
  };
  // Rounds by turns, the least disturbed of each counts: other work on the machine only ever adds.
  let [own, both, plain, inC, difference] = [Infinity, Infinity, Infinity, Infinity, 0];
  for (let round = 0; round < ROUNDS; round++) {
    const beside = c?.run(one, 12, level, count);
    own = Math.min(
      own,
      time(() => one.run(count, Infinity)),
    );
    both = Math.min(
      both,
      time(() => two.run(count, Infinity)),
    );
    plain = Math.min(plain, baseline(wet, count));
    if (!beside) continue;
    inC = Math.min(inC, beside.nanoseconds / (wet * count));
    for (let j = 0; j < grid.ny; j++)
      for (let i = 0; i < grid.nx; i++)
        difference = Math.max(difference, Math.abs(beside.depthAt(i, j) - one.h[one.at(i, j)]!));
  }
  two.release();
  say(
    `${cell} m: ${wet} of ${grid.nx * grid.ny} cells wet; per wet cell and step ${own.toFixed(0)} ns on one thread, ${both.toFixed(0)} ns on ${two.threads}; ${(own / plain).toFixed(0)} x a plain loop (${plain.toFixed(1)} ns)`,
  );
  say(
    Number.isFinite(inC)
      ? `  the same steps in C, 64 bits: ${inC.toFixed(0)} ns; ratio ${(own / inC).toFixed(2)} on one thread (wanted 0.5), ${(both / inC).toFixed(2)} on ${two.threads} (wanted 0.3); depths differ by ${difference.toExponential(0)} m at most`
      : "  no C compiler here: no comparison",
  );
}

for (const cell of [1, 0.5]) {
  steps(cell);
  const grid = rasteriseReach(reach, cell);
  const cold = settle(grid, 12);
  const both = settle(grid, 12, undefined, nodeThreadPool(2));
  const warm = settle(grid, 14, cold.field);
  if (cell === 0.5) {
    readings(cold.field);
    timeRigs(cold.field, reach);
  }
  say(
    `  cold in ${cold.seconds.toFixed(1)} s on one thread, ${both.seconds.toFixed(1)} s on two (${cold.field.verdict}; wanted ${cell === 1 ? 0.8 : 6}), first picture ${cold.first.toFixed(1)} s; a neighbouring flow in ${warm.seconds.toFixed(1)} s (${warm.field.verdict})`,
  );
}

/** The precomputed flows of the bench reach on 1 m cells, each from its neighbour, on one thread. */
function precomputed(): void {
  const grid = rasteriseReach(reach, PRECOMPUTED_CELL);
  const flows = flowsBetween(2, 40);
  const start = performance.now();
  const solved: Field[] = [];
  for (const flow of orderFrom(flows, 12)) {
    const [nearest] = orderFrom(
      solved.map((field) => field.discharge),
      flow,
    );
    solved.push(
      settle(
        grid,
        flow,
        solved.find((field) => field.discharge === nearest),
      ).field,
    );
  }
  const unsettled = solved.filter((field) => field.verdict === "not-converged").length;
  say(
    `precomputed: ${flows.length} flows from ${flows[0]} to ${flows.at(-1)} m3/s in ${((performance.now() - start) / 1000).toFixed(1)} s (wanted 60), ${unsettled} not settled`,
  );
}
precomputed();

/** Beds that the solver has never seen, at low, middling and bank-full flow. */
function unseen(): void {
  let [settled, tried] = [0, 0];
  for (const { name, grid, downstream, flows } of unseenBeds(0.5))
    for (const discharge of flows) {
      const start = performance.now();
      const field = solveSteady(grid, { discharge, downstream });
      tried++;
      const good = field.verdict !== "not-converged" && field.massError <= 0.005;
      if (good) settled++;
      say(
        `  ${name}, ${discharge} m3/s: ${field.verdict} in ${((performance.now() - start) / 1000).toFixed(1)} s, ${(100 * field.massError).toFixed(2)} % unaccounted for${good ? "" : "  <- not settled"}`,
      );
    }
  say(`unseen beds at 0.5 m: ${settled} of ${tried} settled within 0.5 %`);
}
unseen();

/** How time grows with the cells: one river, longer and wider. */
function bigger(): void {
  for (const [length, width, cell] of [
    [160, 30, 1],
    [160, 30, 0.5],
    [330, 62, 0.5],
    [620, 126, 0.5],
  ] as const) {
    const long = checkReach({
      ...reach,
      bed: { ...reach.bed, length, width, wiggle: width / 12, cell },
      features: undefined,
    });
    const grid = rasteriseReach(long, cell);
    const start = performance.now();
    const field = solveSteady(grid, { discharge: 0.4 * width, downstream: long.downstream });
    const seconds = (performance.now() - start) / 1000;
    say(
      `  ${grid.nx} x ${grid.ny} = ${Math.round((grid.nx * grid.ny) / 1000)} thousand cells: ${field.verdict} in ${seconds.toFixed(1)} s, ${field.steps} steps on the finest, ${Math.round(process.memoryUsage().rss / 1e6)} MB in all`,
    );
  }
}
say("bigger water, one thread:");
bigger();

c?.done();

/** Ten years of quarter hours, four parameters, against the bare splitting of its cells in the same run. */
const QUARTER = 900_000;
const rows = ["datetime,discharge (cfs),stage (ft),water temperature (C),turbidity (FNU)"];
for (let k = 0; k < 350_000; k++)
  rows.push(
    `${new Date(Date.UTC(2016, 0, 1) + k * QUARTER).toISOString().slice(0, 16)}Z,${(100 + (k % 977)).toFixed(1)},${(3 + (k % 31) / 10).toFixed(2)},${(10 + (k % 17) / 4).toFixed(1)},${(5 + (k % 7)).toFixed(1)}`,
  );
const text = rows.join("\n");
const reading = performance.now();
const { series } = readGaugeCsv(text);
const read = performance.now() - reading;
const splitting = performance.now();
const cells = text.split("\n").reduce((count, line) => count + line.split(",").length, 0);
const split = performance.now() - splitting;
process.stdout.write(
  `gauge: ${series[0]!.times.length} rows of ${series.length} parameters read in ${(read / 1000).toFixed(2)} s, ${(read / split).toFixed(0)} x splitting its ${cells} cells (${split.toFixed(0)} ms)\n`,
);
