/** Installs what is missing on a fresh machine. Plain Node: nothing else is there yet. */
import { spawnSync } from "node:child_process";
import { existsSync, readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { ensureKernel } from "./kernel.mjs";

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
 * optional may be missing, since it may be for another machine.
 */
export function installedAsLocked() {
  const installedFile = join(root, "node_modules", ".package-lock.json");
  if (!existsSync(installedFile)) return false;
  try {
    const installed = packagesOf(installedFile);
    return Object.entries(packagesOf(join(root, "package-lock.json"))).every(
      ([place, { version, integrity, optional, devOptional }]) => {
        if (place === "") return true;
        const own = installed[place];
        if (!own) return Boolean(optional || devOptional);
        return own.version === version && (own.integrity === undefined || own.integrity === integrity);
      },
    );
  } catch {
    return false;
  }
}

/** node_modules as the lock file says, installed when missing or other; and the solver's kernel compiled with them. */
export async function ensurePackages(options = {}) {
  if (!installedAsLocked()) {
    process.stderr.write("Installing packages (once) ...\n");
    run("npm", ["ci", "--no-audit", "--no-fund"], { quiet: options.quiet });
  }
  await ensureKernel();
}

/** Debian's Chromium, for the interface tests. */
export function ensureChromium() {
  if (existsSync("/usr/bin/chromium")) return;
  process.stderr.write("Installing Chromium (once) ...\n");
  const sudo = process.getuid?.() === 0 ? [] : ["sudo"];
  const apt = [...sudo, "env", "DEBIAN_FRONTEND=noninteractive", "apt-get"];
  run(apt[0], [...apt.slice(1), "update"]);
  run(apt[0], [...apt.slice(1), "install", "-y", "--no-install-recommends", "chromium"]);
}

/** A production build that is newer than its sources. */
export function ensureBuild() {
  run("node", ["scripts/build.mjs"]);
}
