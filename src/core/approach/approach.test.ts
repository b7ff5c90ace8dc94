import { blankField } from "../../testing/reach-samples";
import { Body, Equator, Horizon, Observer } from "astronomy-engine";
import type { Field } from "../flow/grid";
import { roughnessHeight, speedAtHeight } from "../flow/profile";
import { boatFor } from "./boat";
import { landingFor } from "./landing";
import { mainCurrent } from "../water/main-current";
import { findLedges } from "../water/ledges";
import type { Seam } from "../water/seams";
import { shadowLength, shadowReaches, type Sun, sunOver } from "./shadow";
import { seesOver } from "./sight";
import { type StandQuestion, standsFor } from "./stands";
import { targetsFor } from "./targets";

interface Place {
  depth: number;
  u: number;
  v: number;
}
/** A river 30 m wide between low banks, running to the right. */
function river(at: (x: number, y: number) => Partial<Place> = () => ({})): Field {
  const [nx, ny, cell] = [100, 40, 1];
  const field = blankField(nx, ny, cell);
  field.roughness.fill(0.03);
  for (let k = 0; k < nx * ny; k++) {
    const [x, y] = [(k % nx) + 0.5, Math.floor(k / nx) + 0.5];
    const wet = y > 5 && y < 35;
    const one = { depth: 0.8, u: 0.5, v: 0, ...at(x, y) };
    if (wet) [field.depth[k], field.u[k], field.v[k], field.bed[k]] = [one.depth, one.u, one.v, -one.depth];
    else field.bed[k] = 0.3;
  }
  return field;
}
const fish: StandQuestion = { x: 50, y: 20, upCurrent: [-1, 0], eyeDepth: 0.6, visibleDepth: 2, height: 1.8 };

describe("the landing point", () => {
  test("in even water the sweep is the time of the fall through each layer times its speed (closed form of the log law)", () => {
    const [depth, mean, fall, height] = [0.8, 0.5, 0.4, 0.15];
    const ks = roughnessHeight(Math.fround(0.03), depth);
    // The integral of the log law from z1 to h, over the fall speed.
    const z0 = ks / 30;
    const whole = (z: number) => z * (Math.log(z / z0) - 1);
    const expected = ((mean / (Math.log(depth / z0) - 1)) * (whole(depth) - whole(height))) / fall;
    const landing = landingFor(river(), 60, 20, height, fall);
    expect(landing.seconds).toBeCloseTo((depth - height) / fall, 2);
    expect(Math.abs(landing.swept / expected - 1)).toBeLessThan(0.03);
    expect(landing.point[0]).toBeCloseTo(60 - landing.swept, 6);
    expect(landing.point[1]).toBeCloseTo(20, 6);
    // The mean over the layers fallen through lies between the speeds at its ends.
    expect(landing.swept / landing.seconds).toBeGreaterThan(speedAtHeight(mean, depth, ks, height));
    expect(landing.swept / landing.seconds).toBeLessThan(speedAtHeight(mean, depth, ks, depth));
  });

  test("a slower fall and a faster river are swept farther; where the river begins too near it comes too high, and says so", () => {
    const swept = (u: number, fall: number) =>
      landingFor(
        river(() => ({ u })),
        60,
        20,
        0.15,
        fall,
      ).swept;
    expect(swept(0.5, 0.25)).toBeGreaterThan(1.9 * swept(0.5, 0.5));
    expect(swept(1, 0.5)).toBeGreaterThan(1.9 * swept(0.5, 0.5));
    expect(
      landingFor(
        river(() => ({ depth: 1.2, u: 1 })),
        3,
        20,
        0.15,
        0.2,
      ).short,
    ).toBe(true);
    expect(landingFor(river(), 60, 20, 0.15, 0.5).short).toBe(false);
  });

  test("it follows a bent current, not a straight line", () => {
    const bent = river((x, y) => ({ u: -0.02 * (y - 80), v: 0.02 * (x - 50) }));
    const { point, swept } = landingFor(bent, 50, 20, 0.1, 0.08);
    expect(swept).toBeGreaterThan(5);
    // Solid rotation about (50, 80): the way stays 60 m from its middle.
    expect(Math.hypot(point[0] - 50, point[1] - 80)).toBeCloseTo(60, 1);
  });
});

describe("targets", () => {
  const seam: Seam = {
    points: [
      [44, 26],
      [50, 26],
      [56, 26],
    ],
    speedDifference: 0.4,
    sharpness: 0.5,
    slowSide: "right",
  };
  const options = {
    x: 50,
    y: 20,
    height: 0.15,
    from: [52, 31] as const,
    fall: 0.5,
    casts: 12,
    drill: "drift" as const,
    main: mainCurrent(river()),
    ways: { field: river(), features: [], others: [] },
  };

  test("near, middle, far along the current through the lie, nearer fish first; five to ten feet apart (common practice, no source)", () => {
    const own = targetsFor(river(), [], options);
    expect(own.map(({ name }) => name)).toEqual(["near", "middle", "far"]);
    const away = own.map(({ x, y }) => Math.hypot(x - 52, y - 31));
    expect(away).toEqual([...away].sort((a, b) => a - b));
    for (const { x } of own.filter((one) => Math.abs(one.x - 50) > 0.1)) {
      expect(Math.abs(x - 50)).toBeGreaterThan(5 * 0.3048);
      expect(Math.abs(x - 50)).toBeLessThan(10 * 0.3048);
    }
  });

  test("a seam that runs between angler and lie is fished first, on its slow side; one beyond the lie is not", () => {
    const targets = targetsFor(river(), [seam], options);
    expect(targets.map(({ line }) => line)).toEqual(["seam", "seam", "seam", "lie", "lie", "lie"]);
    for (const { y } of targets.slice(0, 3)) expect(y).toBeCloseTo(26.5, 1);
    const beyond = { ...seam, points: seam.points.map(([x]): [number, number] => [x, 12]) };
    expect(targetsFor(river(), [beyond], options).every(({ line }) => line === "lie")).toBe(true);
  });
});

describe("sun and shadow", () => {
  test.each([
    [53.2, -7.4],
    [-41.1, 175.3],
  ])("the way of shadows at %d, %d against a second, independent library (astronomy-engine)", (latitude, longitude) => {
    for (let hour = 0; hour < 24; hour += 3) {
      const at = Date.UTC(2026, 8, 10, hour);
      const bearing = 70;
      const observer = new Observer(latitude, longitude, 0);
      const equator = Equator(Body.Sun, new Date(at), observer, true, true);
      const horizon = Horizon(new Date(at), observer, equator.ra, equator.dec, "normal");
      const sun = sunOver(at, latitude, longitude, bearing);
      if (horizon.altitude < 1) {
        if (horizon.altitude < -1) expect(sun).toBeUndefined();
        continue;
      }
      // A shadow falls away from the sun: turned by the bearing of x.
      const away = ((horizon.azimuth + 180 - bearing) * Math.PI) / 180;
      expect(sun!.shadows[0]).toBeCloseTo(Math.cos(away), 2);
      expect(sun!.shadows[1]).toBeCloseTo(Math.sin(away), 2);
      expect(sun!.altitude).toBeCloseTo(horizon.altitude, 0);
    }
  });

  test("with the sun at 45 degrees a shadow is as long as its maker is tall; it reaches only what lies along it", () => {
    const sun: Sun = { altitude: 45, shadows: [-1, 0] };
    expect(shadowLength(1.8, sun)).toBeCloseTo(1.8, 10);
    expect(shadowLength(1.8, { ...sun, altitude: 10 })).toBeCloseTo(1.8 / Math.tan(Math.PI / 18), 6);
    expect(shadowReaches({ ...sun, altitude: 10 }, 1.8, [58, 20], { x: 50, y: 20 })).toBe(true);
    expect(shadowReaches({ ...sun, altitude: 10 }, 1.8, [58, 25], { x: 50, y: 20 })).toBe(false);
    expect(shadowReaches(sun, 1.8, [58, 20], { x: 50, y: 20 })).toBe(false);
  });

  test("a stand is chosen whose shadow falls clear of the fish, where there is one", () => {
    const low: Sun = { altitude: 9, shadows: [-1, 0] };
    const [plain] = standsFor(river(), fish).stands;
    const [shaded] = standsFor(river(), { ...fish, sun: low }).stands;
    expect(shaded!.shadow).toMatchObject({ reaches: false });
    expect(plain!.shadow).toBeNull();
    // From straight below with the sun behind, the shadow would lie on the fish.
    expect(Math.abs(shaded!.y - 20)).toBeGreaterThan(1.5);
  });
});

test("against a high bank or a hanging tree an outline is lost sooner than against the sky", () => {
  const distance = 7;
  expect(seesOver(0.6, 1.8, distance, 2)).toBe(true);
  expect(seesOver(0.6, 1.8, distance, 2, true)).toBe(false);
  const [open] = standsFor(river(), fish).stands;
  expect(open!.backed).toBe(false);
  const wooded = standsFor(river(), {
    ...fish,
    features: [
      { kind: "overhang", x: 50, y: 36, length: 100, width: 3, angle: 0 },
      { kind: "overhang", x: 50, y: 4, length: 100, width: 3, angle: 0 },
      { kind: "overhang", x: 66, y: 20, length: 6, width: 30, angle: 0 },
      { kind: "overhang", x: 34, y: 20, length: 6, width: 30, angle: 0 },
    ],
  });
  expect(wooded.stands.some((one) => one.backed)).toBe(true);
});

describe("a boat", () => {
  test("anchors up-current with the lie behind it, 45 degrees off at most, rope five times the depth by Pythagoras (common practice, no source)", () => {
    const boat = boatFor(
      river(() => ({ depth: 1.5 })),
      fish,
      [],
    )!;
    expect(boat.x).toBeLessThan(50);
    expect(boat.off).toBeLessThanOrEqual(45);
    expect(boat.hidden).toBe(true);
    expect(boat.rope).toBeCloseTo(7.5, 6);
    // Cast from the boat, the nearer target first.
    const away = boat.casts.map(({ x, y }) => Math.hypot(x - boat.x, y - boat.y));
    expect(away).toHaveLength(3);
    expect(away).toEqual([...away].sort((a, b) => a - b));
    expect(boat.x - boat.anchor[0]).toBeCloseTo(Math.sqrt(7.5 ** 2 - 1.5 ** 2), 0);
  });

  test("for a fish on a ledge it lies right on the step; in torrent, thin or dead water there is no place for it", () => {
    // 4 ft dropping to 7 or 8.
    const ledge = river((_, y) => ({ depth: 1.2 + 1.1 / (1 + Math.exp(-(y - 22) / 0.6)) }));
    const boat = boatFor(ledge, { ...fish, y: 22 }, findLedges(ledge))!;
    expect(boat.onLedge).toBe(true);
    expect(Math.abs(boat.y - 22)).toBeLessThanOrEqual(1.5);
    for (const water of [{ u: 1.6 }, { depth: 0.3 }, { u: 0.02 }])
      expect(
        boatFor(
          river(() => water),
          fish,
          [],
        ),
      ).toBeUndefined();
  });
});
