/** The unit tests of the core's models, as `npm run mutants` runs them: without those that solve whole reaches. */
import { common } from "./jest.config.mjs";

export default {
  ...common,
  roots: ["<rootDir>/src/core"],
  testEnvironment: "@stryker-mutator/jest-runner/jest-env/node",
  testMatch: ["**/core/{quantity,gauge,fish,rig,tactics,book}/*.test.ts"],
};
