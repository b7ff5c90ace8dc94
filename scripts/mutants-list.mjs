/**
 * `npm run mutants:list > reports/mutants-unseen.md`: what no test saw, from the reports in reports/mutants/, by folder
 * and file, each change with the reason that its own form gives; those without one are told one by one.
 */
import { readdirSync, readFileSync } from "node:fs";

const REPORTS = "reports/mutants";

const squeezed = (text) => text.replace(/\s+/g, " ").trim();

/** The code that was changed. */
function codeOf({ location: { start, end } }, source) {
  const lines = source.split("\n").slice(start.line - 1, end.line);
  lines.push(lines.pop().slice(0, end.column - 1));
  return squeezed(lines.join("\n").slice(start.column - 1));
}

const LIMITS = [
  [" <= ", " < "],
  [" < ", " <= "],
  [" >= ", " > "],
  [" > ", " >= "],
];
const NOTHING = /=== null|== null|[!=]== undefined|!== null|isNaN|isFinite|\?\?|\?\.|=== 0\b|^!\w+$/;
const ORDER = /sort\(|^\(?a, b\)? =>|\b[ab]\.\w+ [-+] [ab]\.|a - b|b - a|\? -1 : 1/;

/** Why a change may go unseen, by its form. */
const REASONS = {
  limit: "at a limit: a figure that meets it exactly, or a loop that reads one past the end of its list",
  nothing: "at nothing: a value that is not there, which the types, the caller or the next line keep out as well",
  order: "of an order: ties, and lists that come in order already",
  unseen: "no worked figure takes it up",
};
function reasonOf({ mutatorName, replacement }, code) {
  const changed = squeezed(replacement);
  if (LIMITS.some(([from, to]) => code.replace(from, to) === changed && code !== changed)) return "limit";
  const guard = ["true", "false"].includes(changed) || mutatorName === "LogicalOperator";
  if (mutatorName === "OptionalChaining" || (guard && NOTHING.test(code))) return "nothing";
  if (ORDER.test(code) || (code === "-1" && changed === "+1")) return "order";
  return "unseen";
}

/** One file: how much was seen, and what was not by its reason. */
function fileOf([path, { source, mutants }]) {
  const unseen = mutants
    .filter(({ status }) => status === "Survived" || status === "NoCoverage")
    .sort((a, b) => a.location.start.line - b.location.start.line)
    .map((one) => {
      const code = codeOf(one, source);
      return { line: one.location.start.line, code, to: squeezed(one.replacement), reason: reasonOf(one, code) };
    });
  const seen = mutants.filter(({ status }) => status === "Killed" || status === "Timeout").length;
  const [folder, file] = path.split("/").slice(-2);
  return { folder, file, seen, unseen, all: seen + unseen.length };
}

const files = readdirSync(REPORTS)
  .filter((name) => name.endsWith(".json"))
  .flatMap((name) => Object.entries(JSON.parse(readFileSync(`${REPORTS}/${name}`, "utf8")).files).map(fileOf))
  .filter(({ all }) => all > 0)
  .sort((a, b) => (`${a.folder}/${a.file}` < `${b.folder}/${b.file}` ? -1 : 1));
const folders = [...new Set(files.map(({ folder }) => folder))];
const sum = (list, of) => list.reduce((total, one) => total + of(one), 0);
const share = (seen, all) => `${((100 * seen) / all).toFixed(0)} %`;
const count = (list, reason) => sum(list, ({ unseen }) => unseen.filter((one) => one.reason === reason).length);
const cut = (text) => (text.length > 90 ? `${text.slice(0, 87)}...` : text).replace(/`/g, "'").replace(/\|/g, "\\|");

const out = [
  "# Changes that no test saw",
  "",
  "Written by `npm run mutants:list`; what it means is in mutants.md.",
  "",
];
out.push(...Object.entries(REASONS).map(([name, reason]) => `- **${name}**: ${reason}.`), "");
out.push(`| | seen | of | | ${Object.keys(REASONS).join(" | ")} |`, "|---|---|---|---|---|---|---|---|");
const row = (name, list) => {
  const [seen, all] = [sum(list, (one) => one.seen), sum(list, (one) => one.all)];
  const counts = Object.keys(REASONS).map((reason) => count(list, reason));
  return `| ${name} | ${seen} | ${all} | ${share(seen, all)} | ${counts.join(" | ")} |`;
};
for (const folder of folders) {
  const own = files.filter((one) => one.folder === folder);
  out.push(row(`**${folder}**`, own), ...own.map((one) => row(one.file, [one])));
}
for (const { folder, file, unseen } of files) {
  const own = unseen.filter(({ reason }) => reason === "unseen");
  if (own.length === 0) continue;
  out.push("", `## ${folder}/${file}`, "");
  out.push(...own.map(({ line, code, to }) => `- ${line}: \`${cut(code)}\` as \`${cut(to)}\``));
}
process.stdout.write(`${out.join("\n")}\n`);
