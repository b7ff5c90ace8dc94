/**
 * A short name for the models as they are in the sources: answers that other models have kept in a browser are not
 * used. Plain Node.
 */
import { createHash } from "node:crypto";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { root } from "./ensure.mjs";

/** All that an answer is worked out by. */
const MODELS = ["src/core", "src/scenario", "src/workers", "src/store"];

export function modelVersion() {
  const hash = createHash("sha256");
  for (const folder of MODELS)
    for (const name of readdirSync(join(root, folder), { recursive: true }).sort())
      if (/\.ts$/.test(name) && !/\.test\.ts$/.test(name))
        hash.update(name).update(readFileSync(join(root, folder, name)));
  return hash.digest("hex").slice(0, 12);
}
