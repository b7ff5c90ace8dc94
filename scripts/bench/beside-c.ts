import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { ShallowWater } from "../../src/core/flow/solver";

export interface Beside {
  nanoseconds: number;
  /** Greatest difference of depth after the same steps, m: shows that both run the same scheme. */
  difference: number;
}

/** The same steps by the same scheme in C (solver.c), one thread; undefined where no C compiler is. */
export function besideC(water: ShallowWater, discharge: number, level: number, steps: number): (() => Beside) | undefined {
  const folder = mkdtempSync(join(tmpdir(), "heron-bench-"));
  const [program, before, after] = ["solver", "in", "out"].map((name) => join(folder, name)) as [string, string, string];
  try {
    execFileSync("cc", ["-O3", "-march=native", "-o", program, join(import.meta.dirname, "solver.c"), "-lm"], { stdio: "pipe" });
  } catch {
    rmSync(folder, { recursive: true });
    return undefined;
  }
  const doubles = Float64Array.of(water.cell, discharge, level, 0.5, 0.95);
  const whole = Int32Array.of(water.nx, water.ny, steps, 0);
  writeFileSync(before, Buffer.concat([whole, doubles, water.z, water.n, water.h, water.u, water.v].map((array) => Buffer.from(array.buffer, array.byteOffset, array.byteLength))));
  return () => {
    const nanoseconds = Number(execFileSync(program, [before, after], { encoding: "utf8" }));
    const bytes = readFileSync(after);
    rmSync(folder, { recursive: true });
    const depths = new Float64Array(bytes.buffer, bytes.byteOffset, bytes.byteLength / 8);
    let difference = 0;
    for (let j = 0; j < water.ny; j++) for (let i = 0; i < water.nx; i++) difference = Math.max(difference, Math.abs(depths[water.at(i, j)]! - water.h[water.at(i, j)]!));
    return { nanoseconds, difference };
  };
}
