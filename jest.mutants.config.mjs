/** The unit tests of the core's models, as `npm run mutants` runs them: without those that solve whole reaches. */
import { common } from "./jest.config.mjs";

/**
 * Rooms whose tests are run, or single files of tests (`rig/strength`); all rooms and their neighbours when none is
 * named: `MUTANTS_TESTS=gauge npm run mutants`.
 */
const rooms = process.env.MUTANTS_TESTS ?? "quantity,gauge,fish,rig,tactics,book";

export default {
  ...common,
  roots: ["<rootDir>/src/core"],
  testEnvironment: "@stryker-mutator/jest-runner/jest-env/node",
  // Tests that solve whole waters, or make whole seasons up, are left out: what they see besides, the worked figures
  // should.
  testPathIgnorePatterns: [
    "(fish/(species|judged-waters|rules-of-the-water|mirror|flow-band|lies)|book/(seasons|book))\\.test",
  ],
  testMatch: rooms.split(",").map((room) => `**/core/${room}${room.includes("/") ? "" : "/*"}.test.ts`),
};
