/**
 * `npm test`: installs what is missing (Chromium too), then lint, types, unit and interface tests. Last line: N passed,
 * N failed. Plain Node.
 */
import { spawn } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { ensureChromium, ensurePackages, root } from "./ensure.mjs";

const chromium = ensureChromium();
await ensurePackages({ tests: true });

let passed = 0;
let failed = 0;
/** Runs what tells of itself as it goes; true when it ended well. */
const step = (name, command, args, env = {}) =>
  new Promise((resolve) => {
    process.stdout.write(`\n— ${name}\n`);
    const child = spawn(command, args, {
      cwd: root,
      stdio: ["ignore", 1, 1],
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1", ...env },
    });
    child.on("error", () => resolve(false));
    child.on("close", (status) => resolve(status === 0));
  });

/** Runs a check beside others: what it says is told when it is done. */
const beside = (name, command, args) =>
  new Promise((resolve) => {
    const said = [];
    const child = spawn(command, args, { cwd: root, stdio: ["ignore", "pipe", "pipe"] });
    child.stdout.on("data", (part) => said.push(part));
    child.stderr.on("data", (part) => said.push(part));
    child.on("error", (error) => said.push(Buffer.from(`${error.message}\n`)));
    child.on("close", (status) => {
      process.stdout.write(`\n— ${name}\n${Buffer.concat(said).toString()}`);
      if (status === 0) passed++;
      else failed++;
      resolve();
    });
  });

const folder = mkdtempSync(join(tmpdir(), "low-heron-"));
const unit = join(folder, "unit.json");
const e2e = join(folder, "e2e.json");

// One core lints while the other does the rest; the unit tests begin when that is done, and wait for no lint.
await Promise.all([
  beside("lint", "npx", ["eslint", ".", "--max-warnings", "0"]),
  (async () => {
    await beside("types", "npm", ["run", "types", "--silent"]);
    await beside("format", "npx", ["prettier", "--check", "--log-level", "warn", "."]);
    await beside("dependency rules", "node", ["scripts/dependencies.mjs"]);
    await beside("unused code", "npx", ["knip", "--no-config-hints"]);
    await beside("unused in production", "npx", [
      "knip",
      "--no-config-hints",
      "--production",
      "--include",
      "files,dependencies",
    ]);
    await beside("text", "node", ["scripts/lint/text.mjs"]);
    await beside("attack (a short one)", "node", ["--import", "tsx", "scripts/attack/main.ts", "--cases", "500"]);
    await beside("build", "node", ["scripts/ensure-build.mjs"]);
    const ran = await step("unit tests", "npx", ["jest", "--json", `--outputFile=${unit}`]);
    count(() => {
      const report = JSON.parse(readFileSync(unit, "utf8"));
      // A file that could not even load counts as one failure.
      return [report.numPassedTests, report.numFailedTests + report.numRuntimeErrorTestSuites, report.numTotalTests];
    }, ran);
  })(),
]);

try {
  const missing = await chromium;
  if (missing !== undefined) process.stdout.write(`\nChromium could not be installed:\n${missing}\n`);
  const e2eRan = await step("interface tests", "npx", ["playwright", "test", "--reporter=list,json"], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: e2e,
  });
  count(() => {
    const { stats } = JSON.parse(readFileSync(e2e, "utf8"));
    return [stats.expected + stats.flaky, stats.unexpected, stats.expected + stats.flaky + stats.unexpected];
  }, e2eRan);
} finally {
  rmSync(folder, { recursive: true, force: true });
}

function count(read, ran) {
  try {
    const [good, bad, total] = read();
    passed += good;
    failed += bad;
    if (!ran && bad === 0) failed++;
    if (total === 0) failed++;
  } catch {
    failed++;
  }
}

process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed > 0 ? 1 : 0);
