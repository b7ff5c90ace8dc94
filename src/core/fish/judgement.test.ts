import { needed, pays } from "./judgement";

test("a place pays that stands out by a tenth and is worth half of the best; nothing never does", () => {
  expect(needed({ best: 10, medianScore: 1 })).toBe(5);
  expect(needed({ best: 10, medianScore: 5 })).toBeCloseTo(5.5, 12);
  expect(pays(5, { best: 10, medianScore: 1 })).toBe(true);
  expect(pays(4.99, { best: 10, medianScore: 1 })).toBe(false);
  expect(pays(0, { best: 0, medianScore: 0 })).toBe(false);
});
