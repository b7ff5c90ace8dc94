/** Unit tests run in Node; the interface is tested in a real browser by Playwright (e2e/). */
const esmOnly =
  "(d3-[a-z]+|internmap|delaunator|robust-predicates|comlink|suncalc|simple-statistics|dexie|flatqueue|@neaps/tide-predictor)";

export default {
  testEnvironment: "node",
  // Jest leaves a core free by itself; here nothing else wants it.
  maxWorkers: "100%",
  roots: ["<rootDir>/src", "<rootDir>/cli"],
  testMatch: ["**/*.test.ts"],
  moduleNameMapper: {
    "^@neaps/tide-predictor$": "<rootDir>/node_modules/@neaps/tide-predictor/dist/index.js",
    "^@/(.*)$": "<rootDir>/src/$1",
  },
  transform: {
    "^.+\\.(ts|tsx|js|mjs)$": [
      "@swc/jest",
      { jsc: { parser: { syntax: "typescript", tsx: true }, target: "es2022" }, module: { type: "commonjs" } },
    ],
  },
  transformIgnorePatterns: [`/node_modules/(?!${esmOnly}/)`],
};
