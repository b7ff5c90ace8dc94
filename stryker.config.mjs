/**
 * `npm run mutants`: changes the models of the core one by one and counts what no test sees. Outside the suite: it
 * takes hours. A part: `npm run mutants -- --mutate "src/core/rig/*.ts"`.
 */
export default {
  testRunner: "jest",
  jest: { projectType: "custom", configFile: "jest.mutants.config.mjs", enableFindRelatedTests: false },
  coverageAnalysis: "perTest",
  // Constants at the head of a module would each need the whole suite; they are held to their sources by tests.
  ignoreStatic: true,
  mutate: ["fish", "rig", "gauge", "book"].flatMap((room) => [
    `src/core/${room}/**/*.ts`,
    `!src/core/${room}/**/*.test.ts`,
  ]),
  // Tables of species, schemas and messages are data, not models.
  ignorePatterns: [".next", "docs", "e2e", "public", ".shots", "test-results", "src/core/flow/kernel"],
  mutator: { excludedMutations: ["StringLiteral", "ObjectLiteral", "ArrayDeclaration", "Regex"] },
  reporters: ["clear-text", "json", "progress-append-only"],
  jsonReporter: { fileName: "reports/mutants.json" },
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  concurrency: 2,
  timeoutMS: 20_000,
  thresholds: { high: 90, low: 80, break: 80 },
  plugins: ["@stryker-mutator/jest-runner"],
};
