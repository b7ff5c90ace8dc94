/**
 * How the core's models are tried by changes (scripts/mutants.mjs names the file). The tests are those of some rooms,
 * or of single files: `MUTANTS_TESTS=rig/strength npm run mutants rig/strength`; with MUTANTS_WHOLE=1 slow ones too.
 */
const WHOLE = process.env.MUTANTS_WHOLE === "1";
const tests = (process.env.MUTANTS_TESTS ?? "quantity,gauge,fish,rig,tactics,book").split(",");

export default {
  testRunner: "mocha",
  mochaOptions: {
    require: ["./scripts/mutants-runner.mjs", "tsx/cjs"],
    // Worked figures first: they are quick, and see most.
    spec: ["/outside", "/worked", "/*-worked", "/*"].flatMap((names) =>
      tests.map((part) => `src/core/${part}${part.includes("/") ? "" : names}.test.ts`),
    ),
    // Tests that solve whole waters, or make whole seasons up, are left out but where all is asked for: what they see
    // besides, the worked figures should.
    ignore: WHOLE
      ? []
      : [
          ...["species", "judged-waters", "rules-of-the-water", "mirror", "flow-band", "lies"].map(
            (name) => `src/core/fish/${name}.test.ts`,
          ),
          "src/core/book/seasons.test.ts",
          "src/core/book/book.test.ts",
        ],
  },
  coverageAnalysis: "perTest",
  // Constants at the head of a module would each need the whole suite; they are held to their sources by tests.
  ignoreStatic: true,
  ignorePatterns: [".next", "docs", "e2e", "public", ".shots", "test-results", "src/core/flow/kernel"],
  // Tables of species, schemas and messages are data, not models.
  mutator: { excludedMutations: ["StringLiteral", "ObjectLiteral", "ArrayDeclaration", "Regex"] },
  reporters: ["json"],
  jsonReporter: { fileName: "reports/mutants.json" },
  concurrency: 2,
  timeoutMS: 4000,
  plugins: ["@stryker-mutator/mocha-runner"],
};
