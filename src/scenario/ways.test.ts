import { finish } from "../core/flow/steps";
import { speciesById } from "../core/fish/species";
import type { BoatStand } from "../core/approach/boat";
import type { Stand } from "../core/approach/stands";
import { wayFrom } from "../core/rig/ways";
import { mainCurrent } from "../core/water/main-current";
import { DEMO_REACHES } from "../demo/river";
import { approachLie, USUAL_ANGLER } from "./approach";
import { conditionsOf } from "./conditions";
import { livingFish } from "./fish";
import { readReach } from "./read";
import { readingRequest } from "./reading";
import { solveField } from "./solve";
import { rigRequest } from "./rig";
import { castsFrom, type WaysRequest, waysKey, waysRequest } from "./ways-request";

/** The demo river at its hour, about 6.8 m3/s, on cells of a metre. */
const conditions = {
  ...conditionsOf(undefined, undefined, undefined, { discharge: 6.8, light: "day" }),
  visibleDepth: 0.9,
};

function fished(index: number, id: string) {
  const reach = DEMO_REACHES[index]!;
  const field = finish(solveField({ reach, discharge: conditions.discharge, cell: 1 }));
  const fish = livingFish(speciesById(id), "usual", conditions, undefined);
  const request = readingRequest(fish.species, conditions, reach.features);
  const reading = readReach(field, request);
  return reading.lies.slice(0, 3).map((lie) => {
    const approach = approachLie(field, reading, {
      lie,
      reading: request,
      angler: USUAL_ANGLER,
      base: id,
      sun: undefined,
      leave: false,
    });
    const asked = waysRequest(approach, {
      lie,
      reading: request,
      conditions,
      base: id,
      phase: undefined,
      school: "from-below",
      own: {},
      liked: [],
      style: "rove",
    });
    const stand = asked.stands[0];
    // Only the float of each: all ways are solved and compared by other tests.
    const float =
      stand &&
      wayFrom(
        {
          field,
          species: fish.species,
          fish: lie,
          stands: asked.stands,
          ways: { field, features: reach.features ?? [], others: reading.lies.filter((one) => one !== lie) },
          main: mainCurrent(field),
          request: (method, distance) => rigRequest(field, lie, conditions, id, { method, distance }),
          liked: [],
        },
        "float",
        stand,
      );
    return { lie, approach, asked, float };
  });
}

test.each([0, 1])(
  "on demo reach %i the solved cast keeps a float at least twice as long near each lie as a cast at the lie itself",
  (index) => {
    const lies = fished(index, "brown-trout").filter(({ approach }) => approach.stands.length > 0);
    expect(lies.length).toBeGreaterThan(2);
    let slack = 0;
    for (const { float, lie } of lies) {
      if (!float) continue;
      // In slack a float stays wherever it lands, for as long as it is looked at.
      if (float.cast.atLie > 30) slack++;
      else expect(float.cast.seconds).toBeGreaterThanOrEqual(2 * float.cast.atLie);
      expect(float.cast.seconds).toBeGreaterThan(0.5);
      // It lands up-current of the fish, or no more than a step beside it.
      const [dx, dy] = [float.cast.landing[0] - lie.x, float.cast.landing[1] - lie.y];
      expect(dx * lie.upCurrent[0] + dy * lie.upCurrent[1]).toBeGreaterThan(-0.5);
    }
    expect(slack).toBeLessThanOrEqual(1);
    expect(lies.filter(({ float }) => float !== undefined).length).toBeGreaterThan(2);
  },
  60_000,
);

test("the key of the ways hangs on every input", () => {
  const asked = {
    lie: { x: 1, y: 2 },
    stands: [{ school: "from-below", at: [1, 1] }],
    base: "walleye",
    conditions,
    own: {},
    liked: [],
  } as unknown as WaysRequest;
  const key = waysKey("r", asked);
  for (const change of [
    { stands: [] },
    { lie: { ...asked.lie, x: 3 } },
    { liked: ["float" as const] },
    { base: "zander" },
    { phase: "winter" as const },
    { own: { seen: { wind: 5 } } },
    { conditions: { ...conditions, visibleDepth: 0.3 } },
  ])
    expect(waysKey("r", { ...asked, ...change })).not.toBe(key);
  expect(waysKey("other", asked)).not.toBe(key);
});

test("one casts first from the stand of the school that is followed; a boat where it is asked for", () => {
  const stand = (school: "from-below" | "from-above", x: number) => ({ school, x, y: 1 }) as Stand;
  const both = [stand("from-below", 5), stand("from-above", 9)];
  const boat = { x: 7, y: 4 } as BoatStand;
  expect(castsFrom(both, boat, "from-above").map(({ at }) => at[0])).toEqual([9, 5]);
  expect(castsFrom(both, boat, "from-below").map(({ at }) => at[0])).toEqual([5, 9]);
  expect(castsFrom(both, boat, "from-boat").map(({ at }) => at[0])).toEqual([7, 5, 9]);
  expect(castsFrom([], undefined, "from-boat")).toEqual([]);
});
