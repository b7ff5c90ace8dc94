/**
 * Times the solver (nanoseconds per wet cell and step, against the same scheme in C; seconds cold, warm and to a first
 * picture) and the reading of a long gauge file, each with a plain baseline in the same run.
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
import { ShallowWater } from "../../src/core/flow/solver";
import { outletLevel } from "../../src/core/flow/stage";
import { firstGuess } from "../../src/core/flow/start";
import { solveSteady } from "../../src/core/flow/steady";
import { readWater } from "../../src/core/fish/read";
import { speciesById } from "../../src/core/fish/species";
import { schemeInC } from "./beside-c";

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
function settle(grid: Grid, discharge: number, near?: Field): { field: Field; seconds: number; first: number } {
  const start = performance.now();
  let first = 0;
  const field = solveSteady(grid, { discharge, downstream: reach.downstream, near }, (step) => {
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

const ROUNDS = 15;
const c = schemeInC();
for (const cell of [1, 0.5]) {
  const grid = rasteriseReach(reach, cell);
  const level = outletLevel(grid, reach.downstream, 12);
  const state = firstGuess(grid, 12, level);
  const water = new ShallowWater(grid, {
    upstream: { kind: "inflow", discharge: 12 },
    downstream: { kind: "level", level },
  });
  water.setState(state.depth, state.u, state.v);
  for (let k = 0; k < 100; k++) water.step();
  const wet = water.h.filter((h) => h > 0.01).length;
  // Rounds by turns, the least disturbed of each counts: other work on the machine only ever adds.
  const steps = cell === 1 ? 200 : 60;
  let [own, plain, inC, difference] = [Infinity, Infinity, Infinity, 0];
  for (let round = 0; round < ROUNDS; round++) {
    const beside = c?.run(water, 12, level, steps);
    const start = performance.now();
    for (let k = 0; k < steps; k++) water.step();
    own = Math.min(own, ((performance.now() - start) * 1e6) / (wet * steps));
    plain = Math.min(plain, baseline(wet, steps));
    if (!beside) continue;
    inC = Math.min(inC, beside.nanoseconds / (wet * steps));
    for (let j = 0; j < grid.ny; j++)
      for (let i = 0; i < grid.nx; i++)
        difference = Math.max(difference, Math.abs(beside.depths[water.at(i, j)]! - water.h[water.at(i, j)]!));
  }
  process.stdout.write(
    `${cell} m: ${wet} of ${grid.nx * grid.ny} cells wet, ${own.toFixed(0)} ns per wet cell and step, ${(own / plain).toFixed(0)} x a plain loop (${plain.toFixed(1)} ns)\n`,
  );
  process.stdout.write(
    Number.isFinite(inC)
      ? `  the same steps in C: ${inC.toFixed(0)} ns; ratio ${(own / inC).toFixed(2)}; depths differ by ${difference.toExponential(0)} m at most\n`
      : "  no C compiler here: no comparison\n",
  );
  const cold = settle(grid, 12);
  const warm = settle(grid, 14, cold.field);
  if (cell === 0.5) readings(cold.field);
  process.stdout.write(
    `  cold in ${cold.seconds.toFixed(1)} s (${cold.field.verdict}), first picture ${cold.first.toFixed(1)} s; a neighbouring flow in ${warm.seconds.toFixed(1)} s (${warm.field.verdict})\n`,
  );
}

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
