/**
 * Unit tests run in Node, those of components and hooks in jsdom; the interface as a whole is tested in a real browser
 * by Playwright (e2e/).
 */
const esmOnly =
  "(d3-[a-z-]+|internmap|delaunator|robust-predicates|comlink|suncalc|simple-statistics|dexie|flatqueue|ulid|@date-fns|@neaps/tide-predictor)";

export const common = {
  roots: ["<rootDir>/src", "<rootDir>/cli"],
  // Tests run in a vm, where each look at a global costs: given in, `Math` is as quick as outside.
  sandboxInjectedGlobals: ["Math"],
  moduleNameMapper: {
    "^@neaps/tide-predictor$": "<rootDir>/node_modules/@neaps/tide-predictor/dist/index.js",
    "^@/(.*)$": "<rootDir>/src/$1",
  },
  transform: {
    "^.+\\.(ts|tsx|js|mjs)$": [
      "@swc/jest",
      {
        jsc: {
          parser: { syntax: "typescript", tsx: true },
          transform: { react: { runtime: "automatic" } },
          target: "es2022",
        },
        module: { type: "commonjs" },
      },
    ],
  },
  transformIgnorePatterns: [`/node_modules/(?!${esmOnly}/)`],
};

export default {
  // No test is timed: what hangs is given up, on a slow machine too.
  testTimeout: 60_000,
  // Jest leaves a core free by itself; here nothing else wants it.
  maxWorkers: "100%",
  projects: [
    { ...common, displayName: "node", testEnvironment: "node", testMatch: ["**/*.test.ts"] },
    {
      ...common,
      displayName: "screen",
      testEnvironment: "<rootDir>/jest.screen.mjs",
      setupFilesAfterEnv: ["<rootDir>/jest.patience.mjs"],
      testMatch: ["**/*.test.tsx"],
    },
  ],
};
