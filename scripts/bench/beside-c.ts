import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { RINGS } from "../../src/core/flow/ghosts";
import type { ShallowWater } from "../../src/core/flow/solver";

export interface Beside {
  nanoseconds: number;
  /** Depths after the steps, to show that both run the same scheme. */
  depthAt: (i: number, j: number) => number;
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
      const doubles = Float64Array.of(water.cell, discharge, level - water.datum, 0.5, 0.95);
      const whole = Int32Array.of(water.nx, water.ny, steps, 0);
      // Its rows have two ghosts at either end and nothing more.
      const stride = water.nx + 2 * RINGS;
      const place = (k: number) => water.at((k % stride) - RINGS, Math.floor(k / stride) - RINGS);
      const packed = [water.z, water.n, water.h, water.u, water.v].map((array) =>
        Float64Array.from({ length: stride * (water.ny + 2 * RINGS) }, (_, k) => array[place(k)]!),
      );
      writeFileSync(
        before,
        Buffer.concat(
          [whole, doubles, ...packed].map((array) => Buffer.from(array.buffer, array.byteOffset, array.byteLength)),
        ),
      );
      const nanoseconds = Number(execFileSync(program, [before, after], { encoding: "utf8" }));
      const bytes = readFileSync(after);
      const depths = new Float64Array(bytes.buffer, bytes.byteOffset, bytes.byteLength / 8);
      return { nanoseconds, depthAt: (i, j) => depths[(j + RINGS) * stride + i + RINGS]! };
    },
  };
}
