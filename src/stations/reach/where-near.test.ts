import { blankField } from "../../testing/reach-samples";
import { whereNear, whereOnPlan } from "./where-near";

/** A channel 10 m wide between banks 3 m broad, running to the right. */
const field = blankField(40, 32, 0.5);
for (let k = 0; k < 40 * 32; k++) {
  const y = (Math.floor(k / 40) + 0.5) * 0.5;
  if (y > 3 && y < 13) [field.depth[k], field.u[k]] = [0.6, 0.4];
  else field.bed[k] = 1;
}

test("what is moved about is told by how far down the reach it is and off which bank, in either system", () => {
  expect(whereOnPlan(field, [8, 5], "metric")).toBe("8.0 m down the reach, 2.0 m off the left bank");
  expect(whereOnPlan(field, [8, 12], "metric")).toBe("8.0 m down the reach, 1.0 m off the right bank");
  expect(whereOnPlan(field, [8, 12], "us")).toBe("26 ft down the reach, 3 ft off the right bank");
  expect(whereOnPlan(field, [8, 1], "metric")).toBe("8.0 m down the reach, on the left bank");
  expect(whereOnPlan(field, [8, 15], "metric")).toBe("8.0 m down the reach, on the right bank");
  // A dry stone in the stream is no bank.
  const stone = {
    ...field,
    depth: field.depth.map((one, k) => (k % 40 === 16 && Math.floor(k / 40) === 12 ? 0 : one)),
  };
  expect(whereOnPlan(stone, [8.2, 6.2], "metric")).toBe("8.2 m down the reach, 3.2 m off the left bank");
  expect(whereOnPlan(blankField(40, 32, 0.5), [8, 5], "metric")).toBe("8.0 m down the reach");
});

test("a place that stays is told by banks and stones", () => {
  const stone = [{ kind: "boulder", id: "s", name: "grey stone", x: 12, y: 8, diameter: 2, height: 1 }] as const;
  expect(whereNear(field, stone, [5, 5], "metric")).toMatch(
    /^2\.\d m off the left bank, \d\.\d m above the grey stone$/,
  );
});
