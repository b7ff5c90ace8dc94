import { createHash } from "node:crypto";
import { readdirSync, readFileSync, statSync } from "node:fs";
import { join, relative } from "node:path";
import { serviceWorker } from "@/offline/service-worker";
import { STATIONS } from "@/stations/list";

/**
 * The service worker of this build: it knows every file that the application can ask for. Made once, when it is first
 * asked for, from what the build has left.
 */
let made: string | undefined;

const PAGES = ["/", ...STATIONS.map(({ path }) => path), "/reach/draw", "/reach/film", "/help"];

function filesUnder(folder: string, base: string, path: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const whole = join(folder, name);
    if (statSync(whole).isDirectory()) return filesUnder(whole, base, path);
    // Sources and maps are asked for by nobody; a film is large and comes when it is opened.
    return /\.(map|ts|webm)$/.test(name) ? [] : [`${path}/${relative(base, whole)}`];
  });
}

function make(): string {
  const root = process.cwd();
  const statics = join(root, ".next", "static");
  const files = [
    ...filesUnder(statics, statics, "/_next/static"),
    ...filesUnder(join(root, "public"), join(root, "public"), ""),
  ].sort();
  const build = readFileSync(join(root, ".next", "BUILD_ID"), "utf8").trim();
  const sum = createHash("sha256")
    .update(build)
    .update(files.join("\n"))
    .update(process.env.LOW_HERON_DEMO ?? "");
  return serviceWorker({ version: sum.digest("hex").slice(0, 16), pages: PAGES, files });
}

export function GET(): Response {
  made ??= make();
  return new Response(made, {
    headers: {
      "content-type": "text/javascript; charset=utf-8",
      "cache-control": "no-cache",
      "service-worker-allowed": "/",
    },
  });
}
