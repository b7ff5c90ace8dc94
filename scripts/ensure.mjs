/** Installs what is missing on a fresh machine. Plain Node: nothing else is there yet. */
import { spawnSync } from "node:child_process";
import { existsSync, readFileSync, writeFileSync, mkdirSync } from "node:fs";
import { createHash } from "node:crypto";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

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

/** node_modules as the lock file says: installed when missing or older than the lock. */
export function ensurePackages(options = {}) {
  const lock = createHash("sha256")
    .update(readFileSync(join(root, "package-lock.json")))
    .digest("hex");
  const mark = join(root, "node_modules", ".low-heron-lock");
  if (existsSync(mark) && readFileSync(mark, "utf8") === lock) return;
  process.stderr.write("Installing packages (once) ...\n");
  run("npm", ["ci", "--no-audit", "--no-fund"], { quiet: options.quiet });
  mkdirSync(dirname(mark), { recursive: true });
  writeFileSync(mark, lock);
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
  run("npx", ["next", "build"], { env: { NEXT_TELEMETRY_DISABLED: "1" } });
}
