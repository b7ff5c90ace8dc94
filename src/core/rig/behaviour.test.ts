import { adviseRig } from "./advise";
import type { RigRequest } from "./request";
import { type BehaviourOptions, behaviourOptions, STAYS } from "./behaviour";
import { behaviourOf } from "./methods";
import { bottomDragged } from "./bottom";
import { contactOf } from "./contact";
import { fishFloat } from "./float";
import { headDragged } from "./jig";
import { lipForce, plugDepth } from "./plug";
import { parseRigRequest } from "./advise";
import { shotMass } from "./shot";
import { spinnerDepth, TIP } from "./spinner";

/** How each rig goes in the water: worked out at some speeds, straight between them. */

const water = { depth: 1.4, meanSpeed: 0.5, bedRoughness: 0.12 };
const asked = <M extends RigRequest["method"]>(method: M, change: Partial<RigRequest> = {}, at = {}) => ({
  species: "brown-trout",
  water: { ...water, visibleDepth: 1, temperature: 13, ...at },
  ...change,
  method,
});
const options = (advice: BehaviourOptions["advice"], change: Partial<BehaviourOptions> = {}): BehaviourOptions => ({
  advice,
  water,
  lineDiameter: 0.00022,
  distance: 10,
  tipHeight: 2.4,
  presentation: "across",
  soaks: false,
  reel: 1.6,
  ...change,
});
const bottom = (advice: BehaviourOptions["advice"], change: Partial<BehaviourOptions> = {}) => {
  const found = behaviourOf(options(advice, change));
  if (found.kind !== "bottom") throw new Error(found.kind);
  return found;
};
const swum = (advice: BehaviourOptions["advice"], change: Partial<BehaviourOptions> = {}) => {
  const found = behaviourOf(options(advice, change));
  if (found.kind !== "swum") throw new Error(found.kind);
  return found;
};

/** Speeds that a response is worked out at, as multiples of the place's own. */
const TIMES = [0, 0.4, 0.7, 1, 1.3, 1.8, 2.6];

describe("along the bed", () => {
  const advice = adviseRig(asked("drift"));
  const contact = (meanSpeed: number) => {
    const { speed, touch } = contactOf({ ...water, meanSpeed }, bottomDragged(advice, advice.lure.body), {
      lineDiameter: 0.00022,
      distance: 10,
      tipHeight: 2.4,
      presentation: "across",
    });
    return { share: meanSpeed > 0 ? speed / meanSpeed : 0, touch };
  };
  const { at, ...rest } = bottom(advice);

  test("the speeds that are worked out have what the stones say; between them it is straight, beyond them as at the ends", () => {
    for (const times of TIMES) {
      expect(at(0.5 * times).share).toBeCloseTo(contact(0.5 * times).share, 9);
      expect(at(0.5 * times).touch).toBeCloseTo(contact(0.5 * times).touch, 9);
    }
    const [a, b] = [contact(0.5), contact(0.65)];
    expect(at(0.55).share).toBeCloseTo(a.share + (b.share - a.share) / 3, 9);
    expect(at(0.55).touch).toBeCloseTo(a.touch + (b.touch - a.touch) / 3, 9);
    expect(at(9)).toEqual(at(1.3));
    expect(at(-1)).toEqual(at(0));
    expect(at(1.2)).not.toEqual(at(1.3));
    expect(at(0.1).touch).not.toBeCloseTo(at(0.4).touch, 4);
  });

  test("falls, height and how long it is left: a drift not at all, a soaked bait minutes, another half a minute", () => {
    const { fall } = bottomDragged(advice, advice.lure.body);
    expect(rest).toEqual({ kind: "bottom", fall, height: advice.baitHeight, stays: 0, walked: 0 });
    const sinker = adviseRig(asked("sinker", { species: "channel-catfish" }));
    expect(bottom(sinker, { soaks: true })).toMatchObject({ stays: STAYS.soak, height: sinker.baitHeight, walked: 0 });
    expect(bottom(sinker).stays).toBe(STAYS.worked);
    const jig = adviseRig(asked("jig"));
    expect(bottom(jig)).toMatchObject({ stays: 0, height: 0.05, fall: headDragged(jig.falling).fall });
    expect(bottom(jig).walked).toBeGreaterThan(0);
    // Dragged, a laid bait comes in; held, a jig stays where it fell.
    const dragged = adviseRig(asked("sinker", { species: "channel-catfish", style: { retrieve: "drag" } }));
    expect(bottom(dragged)).toMatchObject({ stays: 0, walked: bottom(jig).walked });
    const held = adviseRig(asked("jig", { style: { retrieve: "hold" } }));
    expect(bottom(held)).toMatchObject({ stays: STAYS.worked, walked: 0 });
  });

  test("in water that hardly runs the speeds are those about a tenth of a metre a second", () => {
    const slow = bottom(advice, { water: { ...water, meanSpeed: 0.01 } }).at;
    const spot = contactOf({ ...water, meanSpeed: 0.04 }, bottomDragged(advice, advice.lure.body), {
      lineDiameter: 0.00022,
      distance: 10,
      tipHeight: 2.4,
      presentation: "across",
    });
    expect(slow(0.04).touch).toBeCloseTo(spot.touch, 9);
    expect(slow(0.26)).toEqual(slow(5));
    expect(slow(0.2)).not.toEqual(slow(0.26));
  });
});

test("a float: its share of the surface, lift and lead as it fishes at each speed; another setting or hold where asked", () => {
  const advice = adviseRig(asked("float"));
  const float = (change: Partial<BehaviourOptions> = {}) => {
    const found = behaviourOf(options(advice, change));
    if (found.kind !== "float") throw new Error(found.kind);
    return found;
  };
  const fished = (meanSpeed: number, setting = advice.setting, hold = advice.holdBack, depth = water.depth) => {
    const rig = fishFloat({ ...water, depth, meanSpeed }, advice.hung, setting, advice.shotting, hold);
    return { ratio: rig.surfaceSpeed > 0 ? rig.floatSpeed / rig.surfaceSpeed : 1, lift: rig.lift, lead: rig.lead };
  };
  const { length, fall, at } = float();
  expect(length).toBeCloseTo(advice.setting + advice.leader, 12);
  expect(length).toBeLessThan(water.depth);
  for (const times of TIMES.slice(1)) {
    const [own, expected] = [at(0.5 * times), fished(0.5 * times)];
    for (const name of ["ratio", "lift", "lead"] as const) expect(own[name]).toBeCloseTo(expected[name], 9);
  }
  const dragged = { pieces: 1, piece: shotMass(advice.shot), metal: advice.hung.metal };
  expect(fall).toBeCloseTo(bottomDragged(dragged, advice.hung.bait).fall, 12);
  // Set deeper than the water it is worked out as if it were so deep.
  const deep = float({ setting: 1.8, holdBack: 0.2 });
  expect(deep.length).toBeCloseTo(1.8 + advice.leader, 12);
  const expected = fished(0.5, 1.8, 0.2, 1.8 + advice.leader);
  for (const name of ["ratio", "lift", "lead"] as const) expect(deep.at(0.5)[name]).toBeCloseTo(expected[name], 9);
  expect(float({ holdBack: 0.3 }).at(0.5).ratio).toBeCloseTo(0.7, 2);
});

describe("what swims", () => {
  const lines = [0.5, 2, 4, 7, 10, 14, 20];

  test("a plug: its own speed against the current, what the reel does with it; its depth by the line that is out", () => {
    for (const meanSpeed of [0.2, 1.2]) {
      const advice = adviseRig(asked("plug", {}, { meanSpeed }));
      const { plug } = advice;
      const found = swum(advice);
      expect(found).toMatchObject({ least: plug.best, clear: 0 });
      expect(found.most).toBe(advice.direction === "with" ? Math.max(advice.retrieve, plug.best) : plug.best);
      const through = Math.max(plug.best, plug.least);
      // One that floats rises when it is left: it sinks by its lip alone.
      expect(found.fall).toBeCloseTo(0.3 * through, 12);
      const lip = lipForce(plug);
      for (const line of lines)
        expect(found.depthAt(line)).toBeCloseTo(plugDepth(plug, lip, 0.00022, through, line), 9);
      expect(found.depthAt(5.5)).toBeCloseTo((found.depthAt(4) + found.depthAt(7)) / 2, 9);
      expect(found.depthAt(99)).toBe(found.depthAt(20));
    }
    const own = { grams: 9, dives: 2, buoyancy: -1, least: 0.9, best: 0.7 };
    const sinking = adviseRig(asked("plug", { tackle: { plug: own } }));
    expect(swum(sinking).fall).toBeCloseTo(0.3 * 0.9 + 0.1, 12);
    const still = adviseRig(asked("plug", { tackle: { plug: { ...own, buoyancy: 0 } } }));
    expect(swum(still).fall).toBeCloseTo(0.3 * 0.9 + 0.1, 12);
  });

  test("a spinner: its blade's speed up to what the reel does, a hand off the bed, as deep as its tip lets it", () => {
    const advice = adviseRig(asked("spinner"));
    const found = swum(advice, { distance: 30 });
    expect(found).toMatchObject({ least: advice.blade, most: 1.6, fall: 0.5, clear: 0.15 });
    // A cast of thirty metres is looked at to half as far again.
    for (const line of [...lines.slice(0, -1), 45])
      expect(found.depthAt(line)).toBeCloseTo(
        spinnerDepth({ grams: advice.grams, distance: line, lineDiameter: 0.00022 }, advice.blade, TIP[advice.tip]),
        9,
      );
    expect(found.depthAt(99)).toBe(found.depthAt(45));
  });
});

test("of what was asked and advised: its own line, the tip of its rod, the reel, and that what lies is waited on", () => {
  for (const species of ["channel-catfish", "brown-trout"] as const) {
    const request = parseRigRequest(asked("sinker", { species, tackle: { perTurn: 0.5, rodLength: 4 } }));
    const advice = adviseRig(asked("sinker", { species, tackle: { perTurn: 0.5, rodLength: 4 } }));
    expect(behaviourOptions(request, advice, 14)).toEqual({
      advice,
      water: request.water,
      lineDiameter: advice.line.main.diameter,
      distance: 14,
      tipHeight: 0.7 * 4,
      presentation: "across",
      factor: undefined,
      soaks: true,
      reel: 0.5 * 2.5,
    });
  }
});
