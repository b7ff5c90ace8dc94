/**
 * `npm run build`: the production build, its pages without the polyfills for browsers that know no modules: no browser
 * that could run the solver's kernel fetches them, and each page named 39 kB that never came.
 */
import { readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { BUILT, root, run } from "./ensure.mjs";
import { modelVersion } from "./model-version.mjs";

const OUT = join(root, ".next");

rmSync(BUILT, { force: true });
run("npx", ["next", "build"], { env: { NEXT_TELEMETRY_DISABLED: "1", NEXT_PUBLIC_MODELS: modelVersion() } });
for (const name of readdirSync(OUT, { recursive: true }).filter((one) => /(^|\/)build-manifest\.json$/.test(one))) {
  const manifest = JSON.parse(readFileSync(join(OUT, name), "utf8"));
  writeFileSync(join(OUT, name), JSON.stringify({ ...manifest, polyfillFiles: [] }, null, 2));
}
writeFileSync(BUILT, "");
