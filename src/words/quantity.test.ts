import { show, showText } from "./quantity";

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
