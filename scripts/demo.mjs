/** `npm run demo`: installs what is missing, builds, and starts Low Heron with the demo river. Plain Node. */
import { spawn } from "node:child_process";
import { createServer } from "node:net";
import { ensureBuild, ensurePackages, root } from "./ensure.mjs";

/** The wanted port, or the next free one. */
async function freePort(from) {
  for (let port = from; port < from + 50; port++) {
    const free = await new Promise((resolve) => {
      const probe = createServer()
        .once("error", () => resolve(false))
        .once("listening", () => probe.close(() => resolve(true)));
      probe.listen(port);
    });
    if (free) return port;
  }
  throw new Error("no free port");
}

await ensurePackages();
ensureBuild();
const port = await freePort(Number(process.env.PORT ?? 3000));
const server = spawn("npx", ["next", "start", "-p", String(port)], {
  cwd: root,
  stdio: ["ignore", "pipe", 2],
  env: { ...process.env, LOW_HERON_DEMO: "1", NEXT_TELEMETRY_DISABLED: "1" },
});
server.stdout.on("data", (text) => {
  if (String(text).includes("Ready"))
    process.stdout.write(`\nLow Heron runs with the demo river at  http://localhost:${port}\nStop it with Ctrl+C.\n`);
});
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => server.kill(signal));
server.on("exit", (code) => process.exit(code ?? 0));
