/**
 * Unit tests run in Node, those of components and hooks in jsdom; the interface as a whole is tested in a real browser
 * by Playwright (e2e/).
 */
const esmOnly =
  "(d3-[a-z-]+|internmap|delaunator|robust-predicates|comlink|suncalc|simple-statistics|dexie|flatqueue|ulid|geotiff|quick-lru|xml-utils|zstddec|@petamoriken|@date-fns|@neaps/tide-predictor)";

/**
 * Tests run in a vm, where each look at a global costs; given in as an argument it is as quick as outside: models run
 * two to four times as fast so. The second ones not to screens: icons have such names, and another clock is put in.
 */
const GIVEN_IN = ["Math", "Number", "Object", "Array", "Float64Array", "Float32Array", "Uint8Array", "Int32Array"];
const GIVEN_TO_MODELS = ["Infinity", "Map", "Set", "String", "JSON", "Error", "Uint16Array", "DataView", "Date"];

export const common = {
  roots: ["<rootDir>/src", "<rootDir>/cli"],
  sandboxInjectedGlobals: GIVEN_IN,
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
          transform: {
            react: { runtime: "automatic" },
            // The one that cannot be given in, being taken for missing.
            optimizer: { globals: { vars: { NaN: "(0/0)" } } },
          },
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
    {
      ...common,
      sandboxInjectedGlobals: [...GIVEN_IN, ...GIVEN_TO_MODELS],
      displayName: "node",
      testEnvironment: "node",
      testMatch: ["**/*.test.ts"],
    },
    {
      ...common,
      displayName: "screen",
      testEnvironment: "<rootDir>/jest.screen.mjs",
      setupFilesAfterEnv: ["<rootDir>/jest.patience.mjs"],
      testMatch: ["**/*.test.tsx"],
    },
  ],
};
