import type { NextConfig } from "next";

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  // The proxy sees the router's own headers, so that malformed ones are refused there.
  skipProxyUrlNormalize: true,
  devIndicators: false,
  // Types are checked once, by `npm run types`, tests and command line included.
  typescript: { ignoreBuildErrors: true },
  // Static files too: nothing of this origin is guessed at. Isolated from other origins, the page may share memory
  // between the threads of the solver; every asset is its own.
  headers: () =>
    Promise.resolve([
      {
        source: "/:path*",
        headers: [
          { key: "cross-origin-opener-policy", value: "same-origin" },
          { key: "cross-origin-embedder-policy", value: "require-corp" },
          { key: "cross-origin-resource-policy", value: "same-origin" },
          { key: "x-content-type-options", value: "nosniff" },
        ],
      },
    ]),
};

export default config;
