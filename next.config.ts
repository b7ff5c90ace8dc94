import type { NextConfig } from "next";

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  // Isolated from other origins, the page may share memory between the solver's threads; every asset is its own.
  headers: () =>
    Promise.resolve([
      {
        source: "/:path*",
        headers: [
          { key: "cross-origin-opener-policy", value: "same-origin" },
          { key: "cross-origin-embedder-policy", value: "require-corp" },
          { key: "cross-origin-resource-policy", value: "same-origin" },
        ],
      },
    ]),
};

export default config;
