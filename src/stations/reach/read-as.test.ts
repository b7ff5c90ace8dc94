import type { Conditions } from "../../scenario/conditions";
import { readWithWords } from "./read-as";

const conditions = (clarityFrom: Conditions["clarityFrom"]): Conditions => ({
  discharge: 4,
  visibleDepth: 1.4,
  clarityFrom,
  temperature: 12,
  light: "day",
  at: undefined,
});

test("another flow says how clear it is taken to be, on whose word, and that the warmth is today's", () => {
  const usual = { visibleDepth: 1.4, from: "turbidity", readings: 40, limb: "falling" } as const;
  expect(readWithWords(conditions({ kind: "record", usual }), "metric")).toBe(
    "Assumes clear, visible to 1.40 m (median of 40 readings of the gauge at this flow when falling), at 12.0 °C, as today.",
  );
  const own = { ...usual, from: "reading", readings: 3, limb: null } as const;
  expect(readWithWords(conditions({ kind: "record", usual: own }), "us")).toMatch(
    /visible to 4\.6 ft \(median of 3 readings of your own at this flow\), at 54 °F, as today\./,
  );
  expect(readWithWords(conditions({ kind: "today" }), "metric")).toMatch(/\(as today; too little data/);
  expect(readWithWords(conditions({ kind: "usual" }), "metric")).toMatch(/\(assumed; no reading/);
});
