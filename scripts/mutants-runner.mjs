/**
 * The names that the unit tests take from their runner, given by another one: Mocha keeps the models loaded between
 * mutants, which Jest cannot, and so `npm run mutants` tries thousands of them in the time of hundreds.
 */
import Module, { createRequire } from "node:module";
import { fileURLToPath } from "node:url";
import { expect } from "expect";
import { bind } from "jest-each";
import mocha from "mocha";

/** Tests of whole years and banks, which each mutant would run. What they see besides, the worked figures should. */
const LEFT_OUT = [
  /^over many days about four in five/,
  /^the track record: near perfect/,
  /^gaps stay gaps: a forecast is not made/,
  /^the table of the year takes the same days/,
  /^the season's band follows the year/,
  /^every way is solved from the stand/,
  /^the solved cast lands up-current/,
  /^more instants than are told apart/,
  /^where the fish are as the model has them/,
  /^simulated anglers' known preference/,
];

const { bdd } = mocha.interfaces;
mocha.interfaces.bdd = (suite) => {
  bdd(suite);
  suite.on("pre-require", (names) => {
    const { before, describe, it: every } = names;
    const leaves = (title) => process.env.MUTANTS_WHOLE !== "1" && LEFT_OUT.some((one) => one.test(title));
    const it = (title, ...rest) => (leaves(title) ? undefined : every(title, ...rest));
    describe.each = bind(describe, false);
    it.each = bind(it);
    Object.assign(names, {
      beforeAll: before,
      expect,
      it,
      jest: { requireActual: createRequire(import.meta.url) },
      test: it,
    });
  });
};

/** A package that says where it lies to those alone who import it: jest.config.mjs maps it too. */
const TIDES = "@neaps/tide-predictor";
const tides = fileURLToPath(new URL(`../node_modules/${TIDES}/dist/index.js`, import.meta.url));
const resolve = Module._resolveFilename;
Module._resolveFilename = (request, ...rest) => resolve(request === TIDES ? tides : request, ...rest);
