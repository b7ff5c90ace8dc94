import { blankField } from "../../testing/reach-samples";
import type { Feature } from "../flow/reach-schema";
import { mainCurrent } from "../water/main-current";
import { castFault, clearOfWood } from "./cast-line";
import { boatFor } from "./boat";
import { standsFor } from "./stands";
import { targetsFor } from "./targets";

/** A river 30 m wide between low banks, 0.8 m deep, running to the right; all rules: common practice, no source. */
function river() {
  const field = blankField(100, 40, 1);
  field.roughness.fill(0.03);
  for (let k = 0; k < 100 * 40; k++) {
    const y = Math.floor(k / 100) + 0.5;
    if (y > 5 && y < 35) [field.depth[k], field.u[k], field.bed[k]] = [0.8, 0.5, -0.8];
    else field.bed[k] = 0.3;
  }
  return field;
}

const log = (x: number, y: number, angle: number): Feature => ({
  kind: "log",
  id: "log",
  x,
  y,
  length: 6,
  width: 0.5,
  angle,
  height: 0.4,
});
const ways = (features: readonly Feature[] = [], others: readonly { x: number; y: number }[] = []) => ({
  field: river(),
  features,
  others,
});

describe("a cast line", () => {
  test("runs into wood that lies across it, not into wood along its side or behind its end", () => {
    expect(castFault(ways([log(55, 20, 90)]), [60, 20], [50, 20])).toBe("wood");
    expect(castFault(ways([log(55, 22, 0)]), [60, 20], [50, 20])).toBeUndefined();
    expect(castFault(ways([log(48, 20, 90)]), [60, 20], [50, 20])).toBeUndefined();
  });

  test("may end under a hanging tree, and not go on behind it", () => {
    const tree: Feature = { kind: "overhang", id: "tree", x: 52, y: 20, length: 4, width: 4, angle: 0 };
    expect(castFault(ways([tree]), [60, 20], [52, 20])).toBeUndefined();
    expect(castFault(ways([tree]), [60, 20], [46, 20])).toBe("wood");
  });

  test("does not lie over a stone or a bar that stands out of the water; the bank it starts from is no hindrance", () => {
    const bar = ways();
    for (let j = 18; j < 22; j++) bar.field.depth[j * 100 + 55] = 0;
    expect(castFault(bar, [60, 20], [50, 20])).toBe("dry");
    expect(castFault(bar, [60, 25], [50, 25])).toBeUndefined();
    expect(castFault(ways(), [50, 2], [50, 10])).toBeUndefined();
  });

  test("does not pass over a nearer fish; one beside it, behind the angler or at its end does not matter", () => {
    expect(castFault(ways([], [{ x: 55, y: 20.5 }]), [60, 20], [50, 20])).toBe("nearer-lie");
    for (const other of [
      { x: 55, y: 21.5 },
      { x: 62, y: 20 },
      { x: 50.5, y: 20 },
      { x: 46, y: 20 },
    ])
      expect(castFault(ways([], [other]), [60, 20], [50, 20])).toBeUndefined();
  });

  test("one gets as far up-current as the wood lets one", () => {
    expect(clearOfWood([log(46, 20, 90)], [50, 20], [40, 20])).toBeCloseTo(3.4, 0);
    expect(clearOfWood([log(46, 30, 90)], [50, 20], [40, 20])).toBeCloseTo(10, 6);
  });
});

const fish = { x: 50, y: 20, upCurrent: [-1, 0] as const, eyeDepth: 0.6, visibleDepth: 2, height: 1.8 };

describe("a stand", () => {
  test("is not given where every line to the lie would run through wood, and says so", () => {
    const ring = [0, 45, 90, 135, 180, 225, 270, 315].map((turn): Feature => {
      const a = (turn * Math.PI) / 180;
      return { ...log(50 + 2.4 * Math.cos(a), 20 + 2.4 * Math.sin(a), turn + 90), id: `log-${turn}` } as Feature;
    });
    const { stands, none } = standsFor(river(), { ...fish, features: ring, fall: 5 });
    expect(stands).toEqual([]);
    expect(none).toEqual({ "from-below": "wood", "from-above": "wood" });
    expect(boatFor(river(), { ...fish, features: ring, fall: 5 }, [])).toBeUndefined();
  });

  test("is moved to where the line is clear of another lie", () => {
    const [plain] = standsFor(river(), fish).stands;
    const other = { x: (plain!.x + fish.x) / 2, y: (plain!.y + fish.y) / 2 };
    const [moved] = standsFor(river(), { ...fish, others: [other] }).stands;
    expect(moved!.school).toBe("from-below");
    expect(Math.hypot(moved!.x - plain!.x, moved!.y - plain!.y)).toBeGreaterThan(1);
  });
});

describe("targets by drill", () => {
  const options = {
    x: 50,
    y: 20,
    height: 0.15,
    from: [58, 24] as const,
    fall: 0.5,
    main: mainCurrent(river()),
    ways: ways(),
  };
  const cast = (drill: "drift" | "walk" | "soak", casts: number) =>
    targetsFor(river(), [], { ...options, drill, casts });

  test.each([1, 2, 3, 7, 12, 18])(
    "the list adds up to the %d casts that were promised, the lie among them",
    (casts) => {
      for (const drill of ["drift", "walk"] as const) {
        const list = cast(drill, casts);
        expect(list.reduce((sum, one) => sum + one.casts, 0)).toBe(casts);
        expect(list.every((one) => one.casts > 0)).toBe(true);
        expect(list.some(({ x, y }) => Math.hypot(x - 50, y - 20) < 1e-6)).toBe(true);
      }
    },
  );

  test("a bait is laid a step up-current of the fish and on the bottom; a lure is walked in lanes across the current", () => {
    const [bait, ...more] = cast("soak", 1);
    expect(more).toEqual([]);
    expect(bait).toMatchObject({ line: "bait", casts: 1 });
    expect(bait!.x).toBeCloseTo(49, 1);
    expect(bait!.y).toBeCloseTo(20, 1);
    const lanes = cast("walk", 6);
    expect(lanes.map(({ line }) => line)).toEqual(["lane", "lie", "lane"]);
    for (const { x } of lanes) expect(x).toBeCloseTo(50, 1);
    expect(lanes.map(({ y }) => y).sort()).toEqual([18.8, 20, 21.2].map((y) => expect.closeTo(y, 1)));
  });

  test("behind wood the lure lands below the wood, and comes too high", () => {
    const behind = { ...ways([log(48, 20, 90)]) };
    const [lie] = targetsFor(river(), [], { ...options, drill: "drift", casts: 1, fall: 0.15, ways: behind });
    expect(lie!.landing.point[0]).toBeGreaterThan(48.2);
    expect(lie!.landing.short).toBe(true);
  });
});
