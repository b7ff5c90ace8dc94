import { writeFileSync } from "node:fs";
import { type Field, speedAt } from "../src/core/flow/grid";
import { readReach } from "../src/core/flow/reach";
import { writeField } from "../src/core/formats/field-file";
import { InputError } from "../src/core/quantity/fault";
import { numberOption, only, readText } from "./arguments";
import type { Command } from "./command";
import { cellOption, solveReach } from "./solve";

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
converged says that the time means have settled; with the verdict "shedding" wakes still pulse around those means. unsettled (filling, emptying,
pulsing) says why water has not settled in its time.
--field writes bed, depth, u and v as row-major arrays (null where dry) with origin, to the millimetre and millimetre a second.`,
  options: { discharge: true, cell: true, field: true },
  run: (args) => {
    const file = only(args, "a reach file");
    const reach = readReach(readText(file), file);
    const discharge = numberOption(args, "discharge");
    const started = performance.now();
    const field = solveReach({ reach, discharge, cell: cellOption(args) }, args);
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
      ...(field.unsettled && { unsettled: field.unsettled }),
      iterations: field.steps,
      seconds,
      massError: field.massError,
    };
  },
};

export function writeOut(path: string, text: string | Uint8Array): void {
  try {
    writeFileSync(path, text);
  } catch (error) {
    throw new InputError(
      "unwritable",
      { path, code: (error as NodeJS.ErrnoException).code ?? "unknown" },
      { file: path },
    );
  }
}
