/**
 * `npm run mutants [folder|folder/file ...]`: changes the models of the core one by one and counts the changes that no
 * test of the file notices (no test of its folders where it has none); all of fish, rig, gauge and book where nothing
 * is named. File by file, since the code under trial is slowed by what counts in it, and all else then runs at its own
 * speed. The reports lie in reports/mutants/.
 */
import { spawnSync } from "node:child_process";
import { copyFileSync, mkdirSync, readdirSync, readFileSync } from "node:fs";

const CORE = "src/core";
const REPORT = "reports/mutants.json";
/** Modules whose tests see what is tried. */
const SEEN_BY = { fish: "fish", rig: "rig,tactics", gauge: "gauge,quantity", book: "book" };

const filesOf = (folder) =>
  readdirSync(`${CORE}/${folder}`)
    .filter((name) => name.endsWith(".ts") && !name.endsWith(".test.ts"))
    .map((name) => `${folder}/${name.slice(0, -3)}`);

/** Tests of its folders that take up a file; the folders where none does. */
function testsOf(file) {
  const [folder, name] = file.split("/");
  const folders = SEEN_BY[folder];
  const named = new RegExp(`from "(\\./|\\.\\./${folder}/)${name}"`);
  const found = folders
    .split(",")
    .flatMap((one) => readdirSync(`${CORE}/${one}`).map((test) => `${one}/${test}`))
    .filter((test) => test.endsWith(".test.ts") && named.test(readFileSync(`${CORE}/${test}`, "utf8")));
  return found.length > 0 ? found.map((test) => test.replace(".test.ts", "")).join(",") : folders;
}

const wanted = process.argv.slice(2).length > 0 ? process.argv.slice(2) : Object.keys(SEEN_BY);
const files = wanted.flatMap((part) => (part.includes("/") ? [part] : filesOf(part)));

mkdirSync("reports/mutants", { recursive: true });
const all = { seen: 0, unseen: 0 };
for (const file of files) {
  const { status, stdout, stderr } = spawnSync(
    "npx",
    ["stryker", "run", "stryker.config.mjs", "--mutate", `${CORE}/${file}.ts`],
    { encoding: "utf8", env: { MUTANTS_TESTS: testsOf(file), ...process.env } },
  );
  if (status !== 0) {
    process.stderr.write(`${file}: ${stdout}${stderr}\n`);
    process.exitCode = 1;
    continue;
  }
  copyFileSync(REPORT, `reports/mutants/${file.replace("/", "-")}.json`);
  const found = Object.values(JSON.parse(readFileSync(REPORT, "utf8")).files).flatMap(({ mutants }) => mutants);
  const count = (...kinds) => found.filter((one) => kinds.includes(one.status)).length;
  const [seen, unseen] = [count("Killed", "Timeout"), count("Survived", "NoCoverage")];
  all.seen += seen;
  all.unseen += unseen;
  if (seen + unseen > 0) process.stdout.write(`${file}: ${seen} of ${seen + unseen} seen\n`);
}
const share = all.seen / (all.seen + all.unseen);
process.stdout.write(`all: ${all.seen} of ${all.seen + all.unseen} seen, ${(100 * share).toFixed(1)} %\n`);
if (share < 0.8) process.exitCode = 1;
