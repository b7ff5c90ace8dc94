import { barometerWords, derivedWords } from "./water";

test("air pressure in the words of the shipping forecast", () => {
  // UK Met Office glossary of marine terms: rising or falling, slowly, (plainly), quickly, very rapidly.
  expect(barometerWords({ tendency: 0.05, change: "steady" })).toBe("steady");
  expect(barometerWords({ tendency: -1, change: "slow" })).toBe("falling slowly");
  expect(barometerWords({ tendency: 2, change: "plain" })).toBe("rising");
  expect(barometerWords({ tendency: -7, change: "very-rapid" })).toBe("falling very rapidly");
});

test("how a series was worked out, and that it is a guess far beyond its pairs", () => {
  const rating = { by: "rating", from: "stage", pairs: 4, standardError: 0.06, guessAbove: 12 } as const;
  expect(derivedWords(rating, 5)).toBe("from stage by your rating (4 pairs, ±6 %)");
  expect(derivedWords(rating, 13)).toMatch(/^a guess: far beyond the pairs/);
  expect(derivedWords({ ...rating, pairs: 1, standardError: null }, null)).toBe("from stage by your rating (1 pair)");
  expect(derivedWords({ by: "transfer", pairs: 0 }, 1)).toMatch(/catchment area/);
  expect(derivedWords({ by: "transfer", pairs: 2 }, 1)).toMatch(/2 readings of yours/);
});
