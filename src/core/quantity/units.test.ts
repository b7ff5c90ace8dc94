import { show, showText } from "./show";
import { parseQuantity, type Dimension } from "./units";

/** Factors: NIST Special Publication 811, appendix B.8 (exact where defined). */
test.each<[string, Dimension, string, number]>([
  [`3'6"`, "length", "m", 1.0668],
  ["1.1 m", "length", "ft", 1.1],
  ["36", "length", "cm", 0.36],
  ["1,1 m", "length", "m", 1.1],
  ["1/8 oz", "mass", "g", 0.00354369],
  ["1 3/4 oz", "mass", "g", 0.049611666],
  ["52F", "temperature", "C", 11.111111],
  ["1,200 cfs", "discharge", "m3/s", 33.980216],
  ["250 l/s", "discharge", "m3/s", 0.25],
])("“%s” as %s is read as SI", (text, dimension, unit, value) => {
  const parsed = parseQuantity(text, dimension, unit);
  expect(parsed.ok && parsed.value).toBeCloseTo(value, 6);
});

test.each<[string, Dimension]>([
  ["", "length"],
  ["deep", "length"],
  ["3 kg", "length"],
  ["4 smoots", "length"],
])("“%s” is refused with a message", (text, dimension) => {
  const parsed = parseQuantity(text, dimension, "m");
  expect(parsed.ok).toBe(false);
  expect(!parsed.ok && parsed.message.length).toBeGreaterThan(5);
});

test("figures in both systems; what is missing shows as a dash", () => {
  expect(showText(10, "discharge", "metric")).toBe("10.0 m³/s");
  expect(showText(10, "discharge", "us")).toBe("353 cfs");
  expect(showText(-1.25, "temperature", "metric")).toBe("−1.3 °C");
  expect(showText(12, "temperature", "us")).toBe("54 °F");
  expect(show(null, "depth", "metric").figure).toBe("–");
});

test("depth times speed: the hydrographers' ten square feet a second is 0.93 m2/s (USGS safety practice)", () => {
  expect(showText(10 * 0.3048 ** 2, "unitDischarge", "us")).toBe("10.0 ft²/s");
  expect(showText(10 * 0.3048 ** 2, "unitDischarge", "metric")).toBe("0.93 m²/s");
});
