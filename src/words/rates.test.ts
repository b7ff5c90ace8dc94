import { bandsBetween } from "../core/book/bands";
import { rateLabel, rateScale } from "./rates";

test("classes of flow have round edges, with no more decimals than they need, in either system", () => {
  const one = { key: "k", low: 3, high: 5 };
  expect(rateLabel(one, "flow", "metric")).toBe("3 to 5");
  expect(rateLabel({ ...one, low: 0.5, high: 1 }, "flow", "metric")).toBe("0.5 to 1");
  expect(rateLabel({ ...one, low: 2.8316846592, high: 5.6633693184 }, "flow", "us")).toBe("100 to 200");
});

test("classes of the season and of warmth say what they are; others go by their own names", () => {
  expect(rateLabel({ key: "k", low: 0.2, high: 0.4 }, "exceedance", "metric")).toBe("exceeded 20 to 40 %");
  expect(rateLabel({ key: "k", low: 10, high: 12 }, "temperature", "us")).toBe("50 to 54 °F");
  expect(rateLabel({ key: "rising", low: null, high: null }, "trend", "us")).toBe("rising");
});

test("in US units warmth goes by round degrees Fahrenheit", () => {
  const bands = bandsBetween(rateScale("us").temperature);
  expect(bands.slice(0, 3).map((one) => rateLabel(one, "temperature", "us"))).toEqual([
    "32 to 40 °F",
    "40 to 45 °F",
    "45 to 50 °F",
  ]);
});
