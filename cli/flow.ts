import { writeFileSync } from "node:fs";
import { InputError } from "../src/core/quantity/fault";
import { writeField } from "../src/core/formats/field-file";
import { type Field, speedAt } from "../src/core/flow/grid";
import { layReach } from "../src/core/flow/lay";
import { type Reach, readReach } from "../src/core/flow/reach";
import { solveSteady } from "../src/core/flow/steady";
import { type Arguments, numberOption, only, readText } from "./arguments";
import type { Command } from "./commands";

/** Solves a reach at a discharge, telling progress on standard error when asked. */
export function solveReach(reach: Reach, discharge: number, cell: number | undefined, args: Arguments): Field {
  let said = -1;
  return solveSteady(layReach(reach, cell), { discharge, downstream: reach.downstream }, ({ done }) => {
    const percent = Math.floor(done * 20) * 5;
    if (args.flags.has("progress") && percent > said) process.stderr.write(`${(said = percent)} %\n`);
  });
}

export const cellOption = (args: Arguments): number | undefined => {
  if (args.values.cell === undefined) return undefined;
  const cell = numberOption(args, "cell");
  if (cell < 0.1 || cell > 20) throw new InputError("bad-cell", "--cell must be from 0.1 to 20 m.", { path: "--cell" });
  return cell;
};

export function fieldSummary(field: Field): { wetCells: number; maxSpeed: number; maxDepth: number } {
  let [wetCells, maxSpeed, maxDepth] = [0, 0, 0];
  for (let k = 0; k < field.depth.length; k++) {
    if (!(field.depth[k]! > 0)) continue;
    wetCells++;
    maxSpeed = Math.max(maxSpeed, speedAt(field, k));
    maxDepth = Math.max(maxDepth, field.depth[k]!);
  }
  return { wetCells, maxSpeed, maxDepth };
}

export const flow: Command = {
  usage: "REACH.json --discharge Q [--cell M] [--field OUT.json]",
  about: `Solves the steady, time-averaged flow of a reach (low-heron/reach@1) at Q m3/s.
Output: nx, ny, cell, wetCells, converged, verdict (converged, shedding, not-converged), iterations, seconds, massError, maxSpeed, maxDepth.
converged says that the time means have settled; with the verdict "shedding" wakes still pulse around those means.
--field writes bed, depth, u and v as row-major arrays (null where dry) with origin.`,
  options: { discharge: true, cell: true, field: true },
  run: (args) => {
    const file = only(args, "a reach file");
    const reach = readReach(readText(file), file);
    const discharge = numberOption(args, "discharge");
    const started = performance.now();
    const field = solveReach(reach, discharge, cellOption(args), args);
    const seconds = (performance.now() - started) / 1000;
    const out = args.values.field;
    if (out !== undefined) writeOut(out, writeField(field));
    return {
      nx: field.nx,
      ny: field.ny,
      cell: field.cell,
      discharge,
      ...fieldSummary(field),
      converged: field.verdict !== "not-converged",
      verdict: field.verdict,
      iterations: field.steps,
      seconds,
      massError: field.massError,
    };
  },
};

function writeOut(path: string, text: string): void {
  try {
    writeFileSync(path, text);
  } catch (error) {
    throw new InputError(
      "unwritable",
      `${path} cannot be written: ${(error as NodeJS.ErrnoException).code ?? "unknown"}.`,
      { file: path },
    );
  }
}
