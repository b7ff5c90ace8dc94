/**
 * Compiles the solver's kernel (src/core/flow/kernel, AssemblyScript) three times and writes each as a module of its
 * bytes: 32-bit lanes, the same on shared memory for several threads, and 64-bit lanes for the proof. Plain Node.
 */
import { mkdirSync, readdirSync, readFileSync, renameSync, statSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const sources = join(root, "src", "core", "flow", "kernel");
const target = join(root, "src", "core", "flow", "kernel-bytes");

/** Each kernel: its file, its lanes, and whether its memory is shared. */
const KERNELS = [
  { name: "single", real: "f32", shared: false },
  { name: "threaded", real: "f32", shared: true },
  { name: "double", real: "f64", shared: false },
];

/** 64 KiB pages: 2 GiB at most. Shared memory must say so beforehand. */
const MOST_PAGES = 32768;

async function compile({ name, real, shared }) {
  const { default: asc } = await import("assemblyscript/asc");
  const files = new Map([["build.ts", `export type real = ${real};\nexport const SHARED: bool = ${shared};\n`]]);
  let bytes;
  const flags = ["--optimizeLevel", "3", "--shrinkLevel", "0", "--converge", "--noAssert", "--runtime", "stub"];
  const memory = ["--importMemory", "--maximumMemory", String(MOST_PAGES), "--memoryBase", "16384"];
  const threads = shared ? ["--sharedMemory", "--enable", "threads", "--initialMemory", "1"] : [];
  const { error, stderr } = await asc.main(
    ["index.ts", "--outFile", "kernel.wasm", "--enable", "simd", ...flags, ...memory, ...threads],
    {
      readFile: (file) => {
        const path = join(sources, file);
        if (files.has(file)) return files.get(file);
        try {
          return readFileSync(path, "utf8");
        } catch {
          return null;
        }
      },
      writeFile: (_, contents) => (bytes = contents),
      listFiles: () => [],
    },
  );
  if (error) throw new Error(`${name}: ${stderr.toString()}`);
  return bytes;
}

/** Compiles what is older than its sources; says so on standard error. */
export async function ensureKernel() {
  const newest = Math.max(
    statSync(fileURLToPath(import.meta.url)).mtimeMs,
    ...readdirSync(sources).map((file) => statSync(join(sources, file)).mtimeMs),
  );
  const files = KERNELS.map((one) => ({ ...one, file: join(target, `${one.name}.ts`) }));
  const old = files.filter(({ file }) => !(statSync(file, { throwIfNoEntry: false })?.mtimeMs > newest));
  if (old.length === 0) return;
  process.stderr.write("Compiling the solver's kernel ...\n");
  mkdirSync(target, { recursive: true });
  for (const one of old) {
    const text = Buffer.from(await compile(one)).toString("base64");
    // Written beside and moved, so that two commands at once never read half of it.
    const part = `${one.file}.${process.pid}`;
    writeFileSync(
      part,
      `/** Made by scripts/kernel.mjs from src/core/flow/kernel. */\nexport const bytes =\n  "${text}";\n`,
    );
    renameSync(part, one.file);
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) await ensureKernel();
