import { InputError } from "../src/core/quantity/fault";
import {
  boundedOption,
  choiceOption,
  demandOption,
  instantOption,
  numberOption,
  only,
  parseArguments,
  readText,
} from "./arguments";

const parse = (...args: string[]) => parseArguments(args, { discharge: true, at: true, deep: false });
const fault = (work: () => unknown) => {
  try {
    work();
  } catch (error) {
    if (error instanceof InputError) return error.fault;
    throw error;
  }
  throw new Error("nothing was refused");
};

test("options with values, flags and positionals, in any order; values may follow an equals sign", () => {
  expect(parse("a.json", "--discharge", "5", "--deep", "b")).toEqual({
    positional: ["a.json", "b"],
    values: { discharge: "5" },
    flags: new Set(["deep"]),
  });
  expect(parse("--discharge=-5").values).toEqual({ discharge: "-5" });
  expect(parse("--", "--discharge").positional).toEqual(["--discharge"]);
  expect(parse("-").positional).toEqual(["-"]);
});

test.each([
  [["--depth", "5"], "unknown-option"],
  [["-d"], "unknown-option"],
  [["--__proto__", "5"], "unknown-option"],
  [["--discharge"], "missing-value"],
])("%j is refused", (args, code) => {
  expect(fault(() => parse(...args)).code).toBe(code);
});

test("one argument is wanted, no fewer and no more", () => {
  expect(only(parse("a"), "a file")).toBe("a");
  expect(fault(() => only(parse(), "a file"))).toMatchObject({ code: "missing-argument", values: { what: "a file" } });
  expect(fault(() => only(parse("a", "b"), "a file")).code).toBe("too-many-arguments");
});

test("numbers are read as everywhere: a decimal comma is one, an ambiguous one is asked about", () => {
  const number = (text: string) => numberOption(parse("--discharge", text), "discharge");
  expect(number("5.5")).toBe(5.5);
  expect(number("0,5")).toBe(0.5);
  expect(fault(() => number("1,200"))).toMatchObject({ code: "bad-number-option", path: "--discharge" });
  expect(fault(() => number("much")).code).toBe("bad-number-option");
  expect(numberOption(parse(), "discharge", 7)).toBe(7);
  expect(fault(() => numberOption(parse(), "discharge")).code).toBe("missing-option");
  expect(demandOption(parse("--at", "x"), "at")).toBe("x");
});

test("limits hold at both ends, which belong to them", () => {
  const bounded = (text: string) => boundedOption(parse("--discharge", text), "discharge", 1, 3);
  expect([bounded("1"), bounded("3")]).toEqual([1, 3]);
  expect(fault(() => bounded("0.999"))).toMatchObject({ code: "out-of-range", values: { low: 1, high: 3 } });
  expect(fault(() => bounded("3.001")).code).toBe("out-of-range");
});

test("one of a few words, or the one that is taken by itself", () => {
  expect(choiceOption(parse("--at", "b"), "at", ["a", "b"], "a")).toBe("b");
  expect(choiceOption(parse(), "at", ["a", "b"], "a")).toBe("a");
  expect(fault(() => choiceOption(parse("--at", "c"), "at", ["a", "b"], "a"))).toMatchObject({
    code: "bad-choice",
    values: { known: ["a", "b"], text: "c" },
  });
});

test("an instant is of a zone, and of the universal one where none is said", () => {
  const at = (text: string) => instantOption(parse("--at", text), "at");
  expect(at("2026-05-14T14:40:00+02:00")).toBe(Date.UTC(2026, 4, 14, 12, 40));
  expect(at("2026-05-14T14:40")).toBe(Date.UTC(2026, 4, 14, 14, 40));
  expect(at("2026-05-14")).toBe(Date.UTC(2026, 4, 14));
  expect(instantOption(parse(), "at")).toBeUndefined();
  for (const text of ["yesterday", "14.5.2026", "2026-13-40"])
    expect(fault(() => at(text)).code).toBe("bad-time-option");
});

test("a file that is not there, or a folder, is told by its name", () => {
  expect(fault(() => readText("/nowhere/at/all"))).toMatchObject({ code: "unreadable", file: "/nowhere/at/all" });
  expect(fault(() => readText("/"))).toMatchObject({ code: "a-folder", file: "/" });
});
