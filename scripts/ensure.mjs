/** Installs what is missing on a fresh machine. Plain Node: nothing else is there yet. */
import { spawn, spawnSync } from "node:child_process";
import { closeSync, existsSync, mkdtempSync, openSync, readdirSync, readFileSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { ensureKernel } from "./kernel.mjs";
import { isChromiumThere } from "./chromium.mjs";

export const root = dirname(dirname(fileURLToPath(import.meta.url)));

/** Runs a command with its output shown (on standard error when `quiet`); stops the program when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, {
    cwd: root,
    stdio: options.quiet ? ["ignore", 2, 2] : ["ignore", 1, 2],
    env: { ...process.env, ...options.env },
  });
  if (done.error || done.status !== 0) {
    process.stderr.write(
      `\n${command} ${args.join(" ")} did not work${done.error ? `: ${done.error.message}` : ` (exit ${done.status})`}.\n`,
    );
    if (options.keepGoing) return false;
    process.exit(1);
  }
  return true;
}

/** Packages by their place, as a lock file has them. */
const packagesOf = (file) => JSON.parse(readFileSync(file, "utf8")).packages ?? {};

/**
 * Is node_modules what the lock file says? npm writes what it has installed beside it; a package that the lock calls
 * optional may be missing, since it may be for another machine, and one that only tests need, unless they are to run.
 */
function installedAsLocked(tests) {
  const installedFile = join(root, "node_modules", ".package-lock.json");
  if (!existsSync(installedFile)) return false;
  try {
    const installed = packagesOf(installedFile);
    return Object.entries(packagesOf(join(root, "package-lock.json"))).every(
      ([place, { version, integrity, optional, devOptional, dev }]) => {
        if (place === "") return true;
        const own = installed[place];
        if (!own) return Boolean(optional || devOptional || (dev && !tests));
        return own.version === version && (own.integrity === undefined || own.integrity === integrity);
      },
    );
  } catch {
    return false;
  }
}

/**
 * node_modules as the lock file says, installed when missing or other, and the solver's kernel compiled with them. What
 * only tests need is left out unless `tests` asks for it.
 */
export async function ensurePackages({ quiet = false, tests = false } = {}) {
  if (!installedAsLocked(tests)) {
    process.stderr.write("Installing packages (once) ...\n");
    run("npm", ["ci", "--no-audit", "--no-fund", ...(tests ? [] : ["--omit=dev"])], { quiet });
  }
  await ensureKernel();
}

/**
 * Debian's Chromium, for the interface tests, installed when missing while other things go on. Gives undefined once it
 * is there, or what the installer said when it did not work.
 */
export function ensureChromium() {
  if (isChromiumThere()) return Promise.resolve(undefined);
  process.stderr.write("Installing Chromium (once), beside what follows ...\n");
  const apt = `${process.getuid?.() === 0 ? "" : "sudo "}env DEBIAN_FRONTEND=noninteractive apt-get`;
  // Into a file: a pipe that nobody empties meanwhile would stop it.
  const folder = mkdtempSync(join(tmpdir(), "low-heron-chromium-"));
  const said = join(folder, "said.txt");
  const into = openSync(said, "w");
  const install = `${apt} update && ${apt} install -y --no-install-recommends chromium-headless-shell`;
  const child = spawn("sh", ["-c", install], { stdio: ["ignore", into, into] });
  return new Promise((resolve) => {
    const end = (worked) => {
      closeSync(into);
      resolve(worked ? undefined : readFileSync(said, "utf8"));
      rmSync(folder, { recursive: true, force: true });
    };
    child.on("error", () => end(false));
    child.on("close", (status) => end(status === 0));
  });
}

/** What a build is made of. */
const SOURCES = [
  "app",
  "public",
  "src",
  "next.config.ts",
  "package-lock.json",
  "postcss.config.mjs",
  "proxy.ts",
  "scripts",
];
/** Written once a build is whole. */
export const BUILT = join(root, ".next", "whole");

/** Newest change of a file, or of all in a folder, ms; tests are in no build. */
function changed(path) {
  const found = statSync(path);
  if (!found.isDirectory()) return /\.test\.tsx?$/.test(path) ? 0 : found.mtimeMs;
  // The folder's own time tells of files that were removed.
  return Math.max(found.mtimeMs, ...readdirSync(path).map((name) => changed(join(path, name))));
}

/** A production build that is newer than its sources: built only where there is none. */
export function ensureBuild() {
  const built = statSync(BUILT, { throwIfNoEntry: false })?.mtimeMs ?? 0;
  if (built < Math.max(...SOURCES.map((name) => changed(join(root, name))))) run("node", ["scripts/build.mjs"]);
}
