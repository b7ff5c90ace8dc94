import { FAMILIES } from "../fish/species-record";
import { readTackle, writeTackle } from "../formats/tackle-csv";
import { InputError } from "../quantity/fault";
import { OUNCE } from "../quantity/units";
import { adviseRig } from "./advise";
import type { RigRequest } from "./request";
import { fallSpeed } from "./fall";
import { tackleFor } from "./from-box";
import { snagsNear } from "./near-snags";
import { starterBox } from "./starter-box";
import { type TackleDraft, type TackleItem, tackleItemSchema } from "./tackle-item";

const stamp = { schema: "low-heron/tackle@1" as const, updatedAt: "2026-05-01T00:00:00Z" };
let made = 0;
const item = (draft: Partial<TackleDraft> & Pick<TackleDraft, "kind">): TackleItem => ({
  ...stamp,
  id: `t${made++}`,
  name: draft.kind,
  count: 1,
  ...draft,
});

describe("a piece of tackle", () => {
  test("says what its kind must, and nothing of another", () => {
    const fits = (draft: Partial<TackleDraft> & Pick<TackleDraft, "kind">) =>
      tackleItemSchema.safeParse(item(draft)).success;
    expect(fits({ kind: "head", grams: 3 })).toBe(true);
    expect(fits({ kind: "head" })).toBe(false);
    expect(fits({ kind: "head", grams: 3, dives: 2 })).toBe(false);
    expect(fits({ kind: "head", grams: -3 })).toBe(false);
    expect(fits({ kind: "plug", grams: 9, dives: 2, buoyancy: -1 })).toBe(true);
    expect(fits({ kind: "hook", hook: -1 })).toBe(true);
    expect(fits({ kind: "hook", hook: 2.5 })).toBe(false);
  });

  test("every box to begin with is sound, and serves its fish", () => {
    for (const family of FAMILIES) {
      const box = starterBox(family, "walleye").map((draft) => item(draft));
      for (const one of box) expect(tackleItemSchema.safeParse(one).error).toBeUndefined();
      expect(box.filter(({ kind }) => kind === "rod").length).toBeGreaterThan(0);
      expect(box.filter(({ kind }) => kind === "head").length).toBeGreaterThan(2);
    }
  });
});

describe("from the box", () => {
  const water = { depth: 1.5, meanSpeed: 0.4, bedRoughness: 0.1, visibleDepth: 1, temperature: 14 };
  const rigOf = <M extends RigRequest["method"]>(method: M, box: readonly TackleItem[], species = "brown-trout") =>
    adviseRig({ method, species, water, tackle: tackleFor(method, water.depth, box) });

  test("nothing in it leaves everything to what is usual", () => {
    expect(tackleFor("float", 1, [])).toEqual({});
  });

  test("what is used up, or taken out, is not rigged with", () => {
    const box = [
      item({ kind: "head", grams: 2, metal: "tungsten" }),
      item({ kind: "head", grams: 4, count: 0 }),
      { ...item({ kind: "head", grams: 8 }), deleted: true },
    ];
    expect(tackleFor("jig", 1, box)).toMatchObject({ heads: [2], metal: "tungsten" });
  });

  test("the shot plan takes the angler's own sizes by their own names, and no more than there are", () => {
    const box = [
      item({ kind: "float", capacity: 3, length: 0.12 }),
      item({ kind: "shot", name: "big", grams: 0.8, metal: "tin", count: 2 }),
      item({ kind: "shot", name: "small", grams: 0.2, metal: "tin", count: 30 }),
    ];
    const { shot, capacity, deepenBy } = rigOf("float", box);
    expect(capacity).toBe(3);
    expect(deepenBy).toBeCloseTo(0.12, 6);
    expect(new Set(shot.map(({ size }) => size))).toEqual(new Set(["big", "small"]));
    expect(shot.filter(({ size }) => size === "big").reduce((sum, { count }) => sum + count, 0)).toBeLessThanOrEqual(2);
  });

  test("the lightest float that bears the bait is taken; one that cannot bear it is refused", () => {
    const floats = [1, 3.5, 8].map((capacity) => item({ kind: "float", capacity }));
    expect(rigOf("float", floats).capacity).toBe(3.5);
    expect(rigOf("float", floats.slice(0, 2)).capacity).toBe(3.5);
    expect(() => rigOf("float", floats.slice(0, 1))).toThrow("float-too-small");
  });

  test("a timed drop decides how a head falls with that body", () => {
    const body = item({
      kind: "body",
      length: 0.04,
      form: "curl-tail",
      drop: { grams: (OUNCE / 16) * 1000, metal: "lead", depth: 3, seconds: 10 },
    });
    const { falling, fall } = rigOf("jig", [body, item({ kind: "head", grams: (OUNCE / 16) * 1000, metal: "lead" })]);
    expect(fall).toBeCloseTo(0.3, 1);
    expect(fallSpeed(falling)).toBeCloseTo(fall, 9);
  });

  test("long rods for floats, short ones for lures; the reel's turns; the plug that suits the depth", () => {
    const box = [
      item({ kind: "rod", length: 2 }),
      item({ kind: "rod", length: 4 }),
      item({ kind: "reel", perTurn: 0.5 }),
      item({ kind: "line", test: 4, material: "braid" }),
      item({ kind: "plug", grams: 5, dives: 0.8 }),
      item({ kind: "plug", grams: 9, dives: 2 }),
      item({ kind: "spinner", grams: 5, blade: 4 }),
    ];
    expect(tackleFor("float", 1.5, box).rodLength).toBe(4);
    expect(tackleFor("jig", 1.5, box).rodLength).toBe(2);
    expect(tackleFor("plug", 1.5, box).plug).toMatchObject({ dives: 2 });
    expect(tackleFor("plug", 0.6, box).plug).toMatchObject({ dives: 0.8 });
    expect(tackleFor("spinner", 1.5, box).spinner).toEqual({ grams: 5, least: 0.3 + 0.04 * 4 });
    const { turns, retrieve } = rigOf("spinner", box).up;
    expect(turns).toBeCloseTo(retrieve / 0.5, 9);
  });
});

describe("a box as CSV", () => {
  test("out and in again it is the same, names that look like formulas too", () => {
    const box = starterBox("trout", "brown-trout").map((draft) => item(draft));
    box.push(
      item({
        kind: "body",
        name: "=1+1",
        length: 0.05,
        form: "tube",
        drop: { grams: 3, metal: "tin", depth: 2, seconds: 4 },
      }),
      item({ kind: "hook", name: "@home", hook: -2, count: null }),
    );
    const text = writeTackle(box);
    expect(text).not.toMatch(/(^|,)[=@]/m);
    const { items, rejected, lines } = readTackle(text);
    expect(rejected).toEqual([]);
    expect(lines).toEqual({ read: box.length, gaps: 0, rejected: 0 });
    const plain = box.map(({ schema, id, updatedAt, ...rest }) => rest);
    expect(items.map((one) => JSON.parse(JSON.stringify(one)))).toEqual(
      plain.map((one) =>
        Object.fromEntries(
          Object.entries(one).map(([name, value]) => [
            name,
            typeof value === "number" ? expect.closeTo(value, 6) : value,
          ]),
        ),
      ),
    );
  });

  test("cells may carry their own units; kinds may stand in the plural; hooks are read as they are sold", () => {
    const { items, rejected } = readTackle(
      'Kind;Name;Count;Grams;Test;Hook;Metal\nHeads;minnow;3;1/8 oz;;;Lead\nline;old;;;"8 lb";;\nhook;big;10;;;2/0;\n',
    );
    expect(rejected).toEqual([]);
    expect(items[0]).toMatchObject({ kind: "head", count: 3, metal: "lead" });
    expect(items[0]!.grams).toBeCloseTo(3.5437, 3);
    expect(items[1]).toMatchObject({ kind: "line", count: null });
    expect(items[1]!.test).toBeCloseTo(3.6287, 3);
    expect(items[2]!.hook).toBe(-1);
  });

  test("lines that are no piece are refused with their number, the others taken", () => {
    const { items, rejected, lines } = readTackle(
      "kind,name,grams,count\nhead,good,2,1\nkite,blue,2,1\nhead,,2,1\nhead,heavy,lots,1\nhead,half,2,1.5\n",
    );
    expect(items).toHaveLength(1);
    expect(rejected.map(({ line }) => line)).toEqual([3, 4, 5, 6]);
    expect(lines).toEqual({ read: 1, gaps: 0, rejected: 4 });
  });

  test("a table without kinds or names is refused whole", () => {
    for (const text of ["name,grams\nx,2\n", "kind,grams\nhead,2\n", ""])
      expect(() => readTackle(text)).toThrow(InputError);
  });
});

describe("snags about a place, from the reach's own objects", () => {
  const log = { kind: "log" as const, id: "l", x: 20, y: 10, length: 4, width: 0.6, angle: 0, height: 0.5 };
  const jam = { kind: "log-jam" as const, id: "j", x: 40, y: 10, length: 4, width: 3, angle: 0, height: 1 };
  const weed = {
    kind: "patch" as const,
    id: "w",
    x: 60,
    y: 10,
    length: 6,
    width: 4,
    angle: 0,
    substrate: "weed" as const,
  };
  const near = (x: number, y: number) => snagsNear([log, jam, weed], { x, y });

  test("some beside a log, many beside a jam, weed beside a bed of it, none away from all", () => {
    expect(near(20, 12)).toEqual({ snags: "some", weed: false });
    expect(near(40, 13.5)).toEqual({ snags: "many", weed: false });
    expect(near(60, 11)).toEqual({ snags: "none", weed: true });
    expect(near(30, 10)).toEqual({ snags: "none", weed: false });
    expect(snagsNear(undefined, { x: 0, y: 0 })).toEqual({ snags: "none", weed: false });
  });
});

describe("baits and hooks of one's own", () => {
  const water = { depth: 1.2, meanSpeed: 0.3, bedRoughness: 0.1, visibleDepth: 3, temperature: 10 };
  const float = (tackle: RigRequest["tackle"], visibleDepth = 3) =>
    adviseRig({ method: "float", species: "brown-trout", water: { ...water, visibleDepth, prey: "insects" }, tackle });

  test("a bait that floats is pinned by a shot half-way down the leader that outweighs it, and its float is filled all the same", () => {
    const buoyant = { name: "bread", grams: 0.6, density: 700, diameter: 0.012 };
    const rig = float({ bait: buoyant });
    const pin = rig.shot.at(-1)!;
    expect(pin.below).toBeCloseTo(rig.setting + rig.leader / 2, 9);
    // It floats by 0.6 g (999.7 / 700 - 1), in tin 0.3 g: the next size over 1.2 times that.
    expect(pin.grams).toBe(0.4);
    expect(rig.reasons.map(({ code }) => code)).toContain("bait-pinned");
    expect(rig.lure.bait).toBe("bread");
    const total = rig.shot.reduce((sum, { grams, count }) => sum + grams * count, 0);
    // It bears the float up by what it floats by: more shot than the float's own.
    expect(total).toBeGreaterThan(rig.capacity);
    // Pinned it rides at half of its leader over the shot at most.
    expect(rig.baitHeight).toBeLessThan(rig.shotHeight + 0.1);
  });

  test("clear water and a bait on a fine leader: a small shot on it; none under a jig, nor in coloured water", () => {
    expect(float({}).reasons.map(({ code }) => code)).toContain("leader-shot");
    expect(float({}, 0.4).reasons.map(({ code }) => code)).not.toContain("leader-shot");
  });

  test("the nearest hook in the box is taken, and said to be another than is usual", () => {
    const rig = float({ hooks: [4, 16] });
    expect(rig.lure.size).toMatchObject({ hook: 16 });
    expect(rig.reasons.find(({ code }) => code === "hook-nearest")!.values).toEqual({ wanted: 12, hook: 16 });
    expect(float({ hooks: [12] }).reasons.map(({ code }) => code)).not.toContain("hook-nearest");
  });

  test("from the box: the first bait by its own name, a ball of its mass; hooks by number", () => {
    const box = [item({ kind: "bait", name: "maggots", grams: 0.3 }), item({ kind: "hook", hook: 14 })];
    const { bait, hooks } = tackleFor("float", 1, box);
    expect(hooks).toEqual([14]);
    expect(bait).toEqual({ name: "maggots", grams: 0.3 });
    // On the hook it is flesh: 0.3 g at 1080 kg/m3 are 0.278 ml, a ball of 8.1 mm.
    expect(float({ bait }).hung.bait).toMatchObject({ grams: 0.3, density: 1080 });
    expect(float({ bait }).hung.bait.diameter).toBeCloseTo(0.0081, 4);
    expect(tackleFor("jig", 1, box)).toEqual({});
  });
});
