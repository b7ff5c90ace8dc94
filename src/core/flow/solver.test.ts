import { CASES } from "./proof/cases";

/**
 * Every closed form and balance of the proof page: the same cases, each within its limit. Sources stand with the cases.
 */
test.each(CASES.map((one) => [one.name, one] as const))("%s", (_, one) => {
  const found = one.run();
  expect(found.error).toBeLessThan(one.limit);
  if (one.order !== undefined) expect(found.order).toBeGreaterThan(one.order);
});

test("the cases ask something: islands stand out of the lake, water has come in, the jump is a jump", async () => {
  const { stillLake, massError } = await import("./proof/balances");
  const { bumpWithJump } = await import("./proof/closed-forms");
  expect(stillLake().islands).toBe(true);
  expect(massError(600).volumeIn).toBeGreaterThan(100);
  const { truth } = bumpWithJump(50);
  expect(Math.max(...truth.slice(1).map((h, k) => h - truth[k]!))).toBeGreaterThan(0.1);
});
