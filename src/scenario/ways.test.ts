import { finish } from "../core/flow/steps";
import { speciesById } from "../core/fish/species";
import { worth } from "../core/rig/ways";
import { DEMO_REACHES } from "../demo/river";
import { approachLie, USUAL_ANGLER } from "./approach";
import { conditionsOf } from "./conditions";
import { livingFish } from "./fish";
import { keyOf } from "./key";
import { readReach } from "./read";
import { readingRequest } from "./reading";
import { solveField } from "./solve";
import { castsFrom, type WaysRequest, waysKey, waysOf } from "./ways";

/** The made-up river at its hour, about 6.8 m3/s, on cells of a metre. */
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
  return reading.lies.map((lie) => {
    const approach = approachLie(field, reading, {
      lie,
      reading: request,
      angler: USUAL_ANGLER,
      base: id,
      sun: undefined,
      leave: false,
    });
    const asked: WaysRequest = {
      lie,
      reading: request,
      conditions,
      base: id,
      phase: undefined,
      stands: castsFrom(approach.stands, approach.boat, "from-below"),
      own: {},
      liked: [],
    };
    return { lie, approach, asked, ...waysOf(field, reading, asked) };
  });
}

test.each([0, 1])(
  "on demo reach %i the solved cast keeps a float at least twice as long near each lie as a cast at the lie itself",
  (index) => {
    const lies = fished(index, "brown-trout").filter(({ approach }) => approach.stands.length > 0);
    expect(lies.length).toBeGreaterThan(2);
    let slack = 0;
    for (const { ways, lie } of lies) {
      const float = ways.find(({ method }) => method === "float");
      if (!float) continue;
      // In slack a float stays wherever it lands, for as long as it is looked at.
      if (float.cast.atLie > 30) slack++;
      else expect(float.cast.seconds).toBeGreaterThanOrEqual(2 * float.cast.atLie);
      expect(float.cast.seconds).toBeGreaterThan(0.5);
      // It lands up-current of the fish, or no more than a step beside it.
      const [dx, dy] = [float.cast.landing[0] - lie.x, float.cast.landing[1] - lie.y];
      expect(dx * lie.upCurrent[0] + dy * lie.upCurrent[1]).toBeGreaterThan(-0.5);
      for (let k = 1; k < ways.length; k++) expect(worth(ways[k]!)).toBeLessThanOrEqual(worth(ways[k - 1]!) + 1e-9);
    }
    expect(slack).toBeLessThanOrEqual(1);
    expect(lies.filter(({ ways }) => ways.some(({ method }) => method === "float")).length).toBeGreaterThan(2);
  },
  60_000,
);

test("nobody casts where nobody may stand; the key hangs on every input, and on the order that is liked", () => {
  const [first] = fished(0, "walleye");
  const { asked } = first!;
  const key = waysKey("r", asked);
  for (const change of [
    { stands: [] },
    { liked: ["float" as const] },
    { base: "zander" },
    { phase: "winter" as const },
    { own: { seen: { wind: 5 } } },
    { conditions: { ...conditions, visibleDepth: 0.3 } },
  ])
    expect(waysKey("r", { ...asked, ...change })).not.toBe(key);
  expect(waysKey("other", asked)).not.toBe(key);
  expect(keyOf(key)).toBe(keyOf(waysKey("r", { ...asked })));
});
