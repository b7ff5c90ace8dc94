import { messageText } from "../../words/messages";
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
  ["1,200,000 cfs", "discharge", "m3/s", 33980.2159104],
  ["1.200,5 cfs", "discharge", "m3/s", 33.994374],
  ["5 ft 3 in", "length", "m", 1.6002],
  ["2 lb 5 oz", "mass", "kg", 1.048932],
  ["−2,5 C", "temperature", "C", -2.5],
  ["9000 m3/s", "discharge", "cfs", 9000],
  ["0.2 m3/s", "discharge", "m3/s", 0.2],
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
  ["1,200 m", "length"],
  ["5 ft 3 kg", "length"],
  ["1/0 m", "length"],
])("“%s” is refused with a message", (text, dimension) => {
  const parsed = parseQuantity(text, dimension, "m");
  expect(parsed.ok).toBe(false);
  expect(!parsed.ok && messageText(parsed.message)).toMatch(/^\S.*\.$/);
});
