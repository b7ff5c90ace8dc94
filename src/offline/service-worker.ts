/** What a service worker of one build is made with. */
export interface Offline {
  version: string;
  /** Paths of pages. */
  pages: readonly string[];
  /** Paths of every file that the pages may ask for. */
  files: readonly string[];
}

/** What is used of a worker's own scope: its types and those of a page exclude each other. */
interface Waits {
  waitUntil: (what: Promise<unknown>) => void;
}
interface WorkerScope {
  location: Location;
  clients: { claim: () => Promise<void> };
  skipWaiting: () => Promise<void>;
  addEventListener(kind: "install" | "activate", run: (event: Waits) => void): void;
  addEventListener(kind: "message", run: (event: Waits & { data: unknown }) => void): void;
  addEventListener(
    kind: "fetch",
    run: (event: { request: Request; respondWith: (answer: Promise<Response>) => void }) => void,
  ): void;
}

/**
 * Runs in the worker; written as a function so that it is linted and typed with the rest, and handed over as its text:
 * it may use nothing but its argument. Everything is kept at the first visit, whole or not at all; asked for, what is
 * kept answers first, so that a page and its files are always of one build. A newer build waits until it is wanted.
 */
function worker(offline: Offline): void {
  const scope = globalThis as unknown as WorkerScope;
  const name = `low-heron-${offline.version}`;
  // The router asks for a page's data by its path in three ways: its outline and its head before it is gone to, and its
  // whole when it is. What else the headers say does not change what is shown.
  const ASKED: Record<string, Record<string, string>> = {
    whole: { rsc: "1" },
    outline: { rsc: "1", "next-router-prefetch": "1", "next-router-segment-prefetch": "/_tree" },
    head: {
      rsc: "1",
      "next-router-prefetch": "1",
      "next-router-state-tree": encodeURIComponent('["",{},null,"metadata-only"]'),
    },
  };
  const waysOf = (request: Request): string | undefined => {
    if (request.headers.get("rsc") !== "1") return undefined;
    if (request.headers.has("next-router-segment-prefetch")) return "outline";
    return request.headers.has("next-router-prefetch") ? "head" : "whole";
  };
  const keyOf = (path: string, way: string | undefined): string => (way ? `${path}?low-heron=${way}` : path);

  const fetched = async (path: string, init?: RequestInit): Promise<Response> => {
    const answer = await fetch(path, { cache: "reload", credentials: "same-origin", ...init });
    if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
    return answer;
  };

  const keepAll = async (): Promise<void> => {
    const cache = await caches.open(name);
    for (const path of offline.pages) {
      await cache.put(path, await fetched(path));
      for (const [way, headers] of Object.entries(ASKED))
        await cache.put(keyOf(path, way), await fetched(path, { headers }));
    }
    const left = [...offline.files];
    const next = async (): Promise<void> => {
      for (let path = left.pop(); path !== undefined; path = left.pop()) await cache.put(path, await fetched(path));
    };
    await Promise.all([next(), next(), next(), next()]);
  };

  scope.addEventListener("install", (event) => {
    event.waitUntil(
      keepAll().catch(async (error: unknown) => {
        // Half of a build is none.
        await caches.delete(name);
        throw error;
      }),
    );
  });

  scope.addEventListener("activate", (event) => {
    event.waitUntil(
      (async () => {
        for (const other of await caches.keys()) if (other !== name) await caches.delete(other);
        await scope.clients.claim();
      })(),
    );
  });

  scope.addEventListener("message", (event) => {
    if (event.data === "take-over") event.waitUntil(scope.skipWaiting());
  });

  // A worker's script must not carry the address that it was kept under: its own has a hash that it reads.
  const fresh = (kept: Response, method: string): Response =>
    new Response(method === "HEAD" ? null : kept.body, {
      status: kept.status,
      statusText: kept.statusText,
      headers: kept.headers,
    });

  scope.addEventListener("fetch", (event) => {
    const { request } = event;
    const url = new URL(request.url);
    if (url.origin !== scope.location.origin || (request.method !== "GET" && request.method !== "HEAD")) return;
    if (url.pathname.startsWith("/api/") || url.pathname === "/sw.js") return;
    const known = offline.pages.includes(url.pathname) || offline.files.includes(url.pathname);
    if (!known) return;
    event.respondWith(
      (async () => {
        const cache = await caches.open(name);
        const kept = await cache.match(keyOf(url.pathname, waysOf(request)), { ignoreVary: true });
        return kept ? fresh(kept, request.method) : fetch(request);
      })(),
    );
  });
}

export const serviceWorker = (offline: Offline): string => `(${worker.toString()})(${JSON.stringify(offline)});\n`;
