import fc from "fast-check";
import { decimalMarkOf, parseNumber } from "./number";

test.each<[string, number]>([
  ["0,5", 0.5],
  ["0,500", 0.5],
  [",5", 0.5],
  ["12,34", 12.34],
  ["1.234,5", 1234.5],
  ["1,234.5", 1234.5],
  ["1,234,567", 1234567],
  ["1.234.567", 1234567],
  ["1 234,5", 1234.5],
  ["1’234", 1234],
  ["1 3/4", 1.75],
  ["-1/8", -0.125],
  ["−3", -3],
  ["2e-3", 0.002],
])("“%s” is %f", (text, value) => {
  expect(parseNumber(text)).toEqual({ ok: true, value });
});

test("a comma that could part thousands or decimals is asked about, with both readings, never guessed", () => {
  expect(parseNumber("1,234")).toEqual({
    ok: false,
    message: { code: "ambiguous-comma", values: { text: "1,234", decimal: 1.234, thousands: 1234 } },
  });
  expect(parseNumber("-12,500")).toMatchObject({ message: { values: { decimal: -12.5, thousands: -12500 } } });
  // What is known of its column settles it.
  expect(parseNumber("1,234", ",")).toEqual({ ok: true, value: 1.234 });
  expect(parseNumber("1,234", ".")).toEqual({ ok: true, value: 1234 });
  expect(parseNumber("1.234", ",")).toEqual({ ok: true, value: 1234 });
});

test.each(["", "  ", "abc", "1,2,3", "1.2.3", "--1", "1/0", "1e999", "12,34,5", ".", ","])(
  "“%s” is no number",
  (text) => {
    expect(parseNumber(text).ok).toBe(false);
  },
);

test("the mark of a column is that of its clear members", () => {
  expect(decimalMarkOf(["1,234", "2,5"])).toBe(",");
  expect(decimalMarkOf(["1,234", "2.5"])).toBe(".");
  expect(decimalMarkOf(["1,234", "17"])).toBeUndefined();
  expect(decimalMarkOf(["1.234", "2,5"])).toBe(",");
});

test("what Intl writes in many languages is read back as the same number, or asked about", () => {
  fc.assert(
    fc.property(
      fc.double({ min: -1e7, max: 1e7, noNaN: true }),
      fc.constantFrom("en-GB", "de-DE", "fr-FR", "de-CH", "nb-NO", "pl-PL", "es-ES"),
      fc.integer({ min: 0, max: 4 }),
      (value, locale, digits) => {
        const rounded = Number(value.toFixed(digits));
        const text = new Intl.NumberFormat(locale, {
          minimumFractionDigits: digits,
          maximumFractionDigits: digits,
        }).format(rounded);
        const parsed = parseNumber(text);
        if (parsed.ok) {
          // One point before three digits is a decimal point here; where it is a group (1.234 in German), the column's
          // mark is needed: that is not asked about.
          if (!/^-?\d{1,3}\.\d{3}$/.test(text)) expect(parsed.value).toBe(rounded === 0 ? parsed.value : rounded);
        } else expect(parsed.message.code).toBe("ambiguous-comma");
      },
    ),
  );
});
