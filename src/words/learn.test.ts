import type { Signal } from "../core/book/signals";
import { bestClass, chanceWords, comparisonWords, likingName, rateWords, signalWords, trialWords } from "./learn";

const signal = (change: Partial<Signal>): Signal => ({
  kind: "flow",
  verdict: "too-few",
  p: 0.2,
  hours: 60,
  wanted: 140,
  best: null,
  ...change,
});

test("what a log shows of a property: supported, not there, too few, nothing", () => {
  const best = { key: "5-7", low: 5, high: 7, times: 2.4 };
  expect(signalWords(signal({ verdict: "supported", p: 0.01, best }), "5 to 7")).toBe(
    "5 to 7: 2.4 times the rate of the rest. Chance alone gives that much one time in 100.",
  );
  expect(signalWords(signal({ verdict: "no-sign", hours: 200 }), undefined)).toBe(
    "No effect in 200 h, enough to show a doubling.",
  );
  expect(signalWords(signal({}), undefined)).toBe("60 h of about 140 h needed to show a doubling.");
  expect(signalWords(signal({ hours: 0, wanted: null }), undefined)).toBe("No data yet.");
  expect(signalWords(signal({ hours: 7.5, wanted: null }), undefined)).toMatch(/^7\.5 h without a fish/);
  expect(signalWords(signal({ hours: 200 }), undefined)).toMatch(/almost all in one class/);
  expect(chanceWords(0.0001)).toBe("less than one time in 1000");
});

test("of two the better is named with its chance; under nine in ten nothing is to choose between them", () => {
  const part = { hours: 3, events: 1, rate: 0.4, interval: [0.1, 0.9] as [number, number] };
  const told = (chance: number) => comparisonWords({ one: part, other: part, chance }, "rising", "falling");
  expect(told(0.95)).toBe("rising is better (95 % sure).");
  expect(told(0.02)).toBe("falling is better (98 % sure).");
  expect(told(0.6)).toBe("No clear difference yet: rising is ahead (60 % sure).");
  expect(told(0.99999)).toMatch(/99\.9 %/);
  expect(rateWords(part)).toBe("1 fish in 3.0 h, 0.33 an hour counted; likely 0.40 an hour (80 %: 0.10 to 0.90)");
});

test("the best class is one that was fished for two hours, and never what is not known", () => {
  const one = (key: string, hours: number, rate: number) => ({
    key,
    low: null,
    high: null,
    hours,
    events: 1,
    rate,
    interval: [0, 1] as [number, number],
  });
  expect(bestClass([one("a", 1, 9), one("b", 5, 1), one("unknown", 50, 5), one("c", 3, 2)])!.key).toBe("c");
  expect(bestClass([one("a", 1, 9)])).toBeUndefined();
});

test("what fish like is named in either system; the trial says whether to use it", () => {
  expect(likingName("depth 2", "metric")).toBe("0.70 to 1.00 m deep");
  expect(likingName("depth 6", "metric")).toBe("over 3.00 m deep");
  expect(likingName("speed 0", "us")).toBe("0.0 to 0.3 ft/s at the fish");
  expect(likingName("kind deep", "metric")).toBe("deep of a pool");
  expect(trialWords(null)).toMatch(/Too few sessions/);
  expect(trialWords({ pairs: 20, before: 0.5, after: 0.7, better: true })).toMatch(/50 % .* 70 %\. That is better\.$/);
  expect(trialWords({ pairs: 1, before: 0.5, after: 0.5, better: false })).toMatch(/of 1 pair .* Leave it off/);
});
