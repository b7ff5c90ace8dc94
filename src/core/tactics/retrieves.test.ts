import { METHOD, METHODS } from "./methods";
import { retrieveEffect } from "./retrieves";
import { RETRIEVES } from "./retrieve-kinds";

test("every method has a retrieve, and every retrieve a method", () => {
  for (const method of METHODS) expect(METHOD[method].retrieves.length).toBeGreaterThan(0);
  expect(new Set(METHODS.flatMap((method) => METHOD[method].retrieves))).toEqual(new Set(RETRIEVES));
  for (const { retrieves } of Object.values(METHOD)) expect(new Set(retrieves).size).toBe(retrieves.length);
});

test("lifted, it falls back at its own fall while the current takes it; paused, it rises or sinks at its pace", () => {
  // 40 cm at 0.8 m/s are half a second, in which 0.3 m/s take it 15 cm.
  expect(retrieveEffect("lift-and-drop", 0.8, 0.3)).toEqual({ lift: 0.4, seconds: 0.5, swept: 0.15 });
  expect(retrieveEffect("snap", 0.8, 0.3)!.lift).toBeGreaterThan(retrieveEffect("hop", 0.8, 0.3)!.lift);
  expect(retrieveEffect("lift-and-drop", 0, 0.3)).toBeUndefined();
  expect(retrieveEffect("stop-and-go", -0.1, 0.2)!.lift).toBeCloseTo(0.15, 9);
  expect(retrieveEffect("stop-and-go", 0.5, 0.2)!.lift).toBeLessThan(0);
  for (const still of ["drag", "hold", "steady", "swing", "dead-drift"] as const)
    expect(retrieveEffect(still, 0.5, 0.3)).toBeUndefined();
});
