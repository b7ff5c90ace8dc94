import { DRIFT_DENSITY } from "./foraging";

/** Constants that no closed form sees: each is held to the span that others have reported. */

test("drift density lies within what is caught in drift nets by day in trout streams", () => {
  // 0.1 to 1 prey of 2 mm and more in a cubic metre, by summer day in gravel-bed streams (reviews of stream drift; from
  // memory).
  expect(DRIFT_DENSITY.value).toBeGreaterThanOrEqual(0.1);
  expect(DRIFT_DENSITY.value).toBeLessThanOrEqual(1);
});
