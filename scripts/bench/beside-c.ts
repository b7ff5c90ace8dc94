import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { ShallowWater } from "../../src/core/flow/solver";

export interface Beside {
  nanoseconds: number;
  /** Depths after the steps, to show that both run the same scheme. */
  depths: Float64Array;
}

/**
 * The same scheme in C (solver.c), one thread: compiled once, run on copies of a state. Undefined where no C compiler
 * is.
 */
export function schemeInC():
  | { run: (water: ShallowWater, discharge: number, level: number, steps: number) => Beside; done: () => void }
  | undefined {
  const folder = mkdtempSync(join(tmpdir(), "heron-bench-"));
  const [program, before, after] = ["solver", "in", "out"].map((name) => join(folder, name)) as [
    string,
    string,
    string,
  ];
  const done = () => rmSync(folder, { recursive: true });
  try {
    execFileSync("cc", ["-O3", "-march=native", "-o", program, join(import.meta.dirname, "solver.c"), "-lm"], {
      stdio: "pipe",
    });
  } catch {
    done();
    return undefined;
  }
  return {
    done,
    run(water, discharge, level, steps) {
      const doubles = Float64Array.of(water.cell, discharge, level, 0.5, 0.95);
      const whole = Int32Array.of(water.nx, water.ny, steps, 0);
      writeFileSync(
        before,
        Buffer.concat(
          [whole, doubles, water.z, water.n, water.h, water.u, water.v].map((array) =>
            Buffer.from(array.buffer, array.byteOffset, array.byteLength),
          ),
        ),
      );
      const nanoseconds = Number(execFileSync(program, [before, after], { encoding: "utf8" }));
      const bytes = readFileSync(after);
      return { nanoseconds, depths: new Float64Array(bytes.buffer, bytes.byteOffset, bytes.byteLength / 8) };
    },
  };
}
