import { breaksOf } from "../core/water/cover";
import { structureOf } from "../core/water/structure";
import { rasteriseReach } from "../core/flow/rasterise";
import { solveSteady } from "../core/flow/steady";
import { DEMO_REACHES } from "../demo/river";
import { tellStructure } from "./structure";

const where = ([x, y]: readonly [number, number]) => `at ${x.toFixed(1)}, ${y.toFixed(1)}`;

test("all structure of the made-up glide is told with its numbers, in both systems", () => {
  const reach = DEMO_REACHES[0]!;
  const field = solveSteady(rasteriseReach(reach, 1), { discharge: 6, downstream: reach.downstream });
  const structure = structureOf(field, breaksOf(field, reach.features));
  for (const system of ["metric", "us"] as const)
    for (const { words } of tellStructure(structure, system, where)) expect(words).toMatch(/^[A-Z0-9].*\d.*\.$/);
  expect(tellStructure(structure, "metric", where).map(({ kind }) => kind)).toEqual(
    expect.arrayContaining(["foam line", "break", "pool"]),
  );
});
