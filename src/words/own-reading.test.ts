import { ownReadingWords, shortReading } from "./own-reading";

test.each([
  [{ kind: "clarity", value: 0.8 }, "visible to 0.80 m", "sight 0.80 m"],
  [{ kind: "temperature", value: 12.3 }, "water 12.3 °C", "12.3 °C"],
  [{ kind: "level", value: -0.05, mark: "staff" }, "“staff” 5 cm out of the water", "−5 cm"],
  [{ kind: "level", value: 0.12, mark: "staff" }, "water 12 cm over “staff”", "+12 cm"],
  [{ kind: "discharge", value: 6.2, error: 0.12 }, "6.2 m³/s ±12 %", "6.2 m³/s"],
] as const)("%j", (reading, long, short) => {
  expect(ownReadingWords({ error: null, ...reading }, "metric")).toBe(long);
  expect(shortReading(reading, "metric")).toBe(short);
});
