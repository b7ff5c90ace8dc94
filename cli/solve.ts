import type { Field } from "../src/core/flow/grid";
import { finish } from "../src/core/flow/steps";
import type { FieldRequest } from "../src/scenario/field";
import { solveField } from "../src/scenario/solve";
import { nodeThreadPool } from "./node-thread-pool";
import { type Arguments, boundedOption } from "./arguments";

/** Solves a reach at a discharge, telling progress on standard error when asked. */
export function solveReach(request: FieldRequest, args: Arguments): Field {
  let said = -1;
  const field = finish(solveField(request, undefined, nodeThreadPool()), ({ done }) => {
    const percent = Math.floor(done * 20) * 5;
    if (args.flags.has("progress") && percent > said) process.stderr.write(`${(said = percent)} %\n`);
  });
  if (field.verdict === "not-converged")
    process.stderr.write(`not-converged${field.unsettled ? `: ${field.unsettled}` : ""}\n`);
  return field;
}

/** The cell asked for, m; the reach's own where none is. */
export const cellOption = (args: Arguments): number | undefined =>
  args.values.cell === undefined ? undefined : boundedOption(args, "cell", 0.1, 20);
