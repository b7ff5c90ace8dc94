#!/usr/bin/env node
// The headless command. Plain Node up to here: it installs the packages when they are missing, then runs main.ts.
import { ensurePackages } from "../scripts/ensure.mjs";

ensurePackages({ quiet: true });
const { register } = await import("tsx/esm/api");
register();
const { main } = await import("./main.ts");
process.exitCode = await main(process.argv.slice(2));
