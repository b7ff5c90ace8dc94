#!/usr/bin/env node
// The headless command. Plain Node up to here: it installs the packages when they are missing, then runs main.ts,
// put together and kept as long as no source is newer: so the command starts at once.
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from "node:fs";
import { join } from "node:path";
import { pathToFileURL } from "node:url";
import { ensurePackages, root } from "../scripts/ensure.mjs";

await ensurePackages({ quiet: true });
const { main } = await import(pathToFileURL(await bundled()).href);
process.exitCode = await main(process.argv.slice(2));

/** The command put together, made anew when a source has changed. */
async function bundled() {
  const folder = join(root, "node_modules", ".cache", "low-heron");
  const made = join(folder, stamp());
  const file = join(made, "heron.mjs");
  if (existsSync(file)) return file;
  const { build } = await import("esbuild");
  const older = existsSync(folder) ? readdirSync(folder) : [];
  mkdirSync(folder, { recursive: true });
  // Written beside and moved, so that two commands at once never read half of it.
  const part = `${made}.${process.pid}`;
  await build({
    entryPoints: [join(root, "cli", "main.ts")],
    outdir: part,
    entryNames: "heron",
    bundle: true,
    splitting: true,
    outExtension: { ".js": ".mjs" },
    platform: "node",
    format: "esm",
    target: "node20",
    logLevel: "silent",
    // Packages of the older kind ask for require.
    banner: {
      js: 'import { createRequire as requiring } from "node:module"; globalThis.require ??= requiring(import.meta.url);',
    },
  });
  if (existsSync(made)) rmSync(part, { recursive: true, force: true });
  else renameSync(part, made);
  for (const one of older) rmSync(join(folder, one), { recursive: true, force: true });
  return file;
}

/** Newest change and number of the sources that the command is made of. */
function stamp() {
  let [newest, count] = [statSync(join(root, "package-lock.json")).mtimeMs, 0];
  for (const folder of ["cli", "src"]) {
    for (const entry of readdirSync(join(root, folder), { recursive: true, withFileTypes: true })) {
      if (!entry.isFile() || !/\.(tsx?|mjs)$/.test(entry.name)) continue;
      count++;
      newest = Math.max(newest, statSync(join(entry.parentPath ?? entry.path, entry.name)).mtimeMs);
    }
  }
  return `${Math.round(newest)}-${count}`;
}
