/** Checks the dependency rules. A run that sees no modules proves nothing, so that fails too. */
import { cruise } from "dependency-cruiser";
import extractConfig from "dependency-cruiser/config-utl/extract-depcruise-config";
import extractTsConfig from "dependency-cruiser/config-utl/extract-ts-config";
import { join } from "node:path";
import { root } from "./ensure.mjs";

const config = await extractConfig(join(root, ".dependency-cruiser.cjs"));
const { output } = await cruise(
  ["src", "app", "cli"],
  { ...config.options, ruleSet: { forbidden: config.forbidden }, validate: true, baseDir: root },
  undefined,
  { tsConfig: extractTsConfig(join(root, "tsconfig.json")) },
);
const { summary, modules } = output;
for (const { from, to, rule } of summary.violations)
  process.stdout.write(`${rule.severity}: ${rule.name}: ${from} -> ${to}\n`);
const own = modules.filter(({ source }) => !source.includes("node_modules")).length;
process.stdout.write(
  `dependencies: ${own} modules, ${summary.totalDependenciesCruised} imports, ${summary.error} wrong\n`,
);
process.exit(summary.error > 0 || own < 50 ? 1 : 0);
