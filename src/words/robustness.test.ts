import { doubtWords, holdsWords, tieWords } from "./robustness";

test("how sure, in words: all, some, none; and a tie", () => {
  expect(holdsWords({ found: 9, of: 10 })).toBe("holds in 9 of 10");
  expect(doubtWords({ found: 10, of: 10 })).toMatch(/^It holds in all 10 model runs/);
  expect(doubtWords({ found: 4, of: 10 }, true)).toMatch(/varying the guessed bed, roughness,/);
  expect(doubtWords({ found: 4, of: 10 })).toMatch(/^It holds in 4 of 10 model runs/);
  expect(doubtWords({ found: 0, of: 10 })).toMatch(/^It holds in none of 10 model runs/);
  expect(tieWords(2)).toContain("as good as lie 2");
});
