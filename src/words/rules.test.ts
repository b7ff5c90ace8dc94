import { sampleRule } from "../testing/book-samples";
import { rulePartsWords } from "./rules";

test("a season is told by its days in words, with the year where it is of one; the parts that are not entered are not told", () => {
  const [season, ...rest] = rulePartsWords(sampleRule("r", { open: { from: "03-15", to: "10-31" } }), "metric");
  expect(season).toMatch(/^open from (15 March|March 15) to (31 October|October 31)$/);
  expect(rest.join()).not.toMatch(/open|undefined/);
  const [one] = rulePartsWords(sampleRule("r", { open: { from: "2026-02-28", to: "2026-12-01" } }), "metric");
  expect(one).toMatch(/2026 to|, 2026/);
});
