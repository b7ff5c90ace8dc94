import fc from "fast-check";
import { WATER_DENSITY } from "../quantity/provenance";
import { PRESENTATIONS } from "../tactics/purpose";
import { lineShape } from "./line-shape";
import { type Leash, linePull, SLACK } from "./line-pull";
import { hangingLine, hangingTouch } from "./vertical";

/** The whole line in equilibrium, held to closed forms and to the walk up the line. */

const drag = (diameter: number, speed: number, length: number) =>
  0.5 * WATER_DENSITY * 1.2 * diameter * speed ** 2 * length;

describe("a line under the rod", () => {
  // Closed form of a line in a uniform stream: W' = D / tan(angle), D the drag on the line that is in the water.
  const cases = [0.3, 0.6, 0.9].flatMap((speed) => [0.00012, 0.00022, 0.0004].map((mm) => [speed, mm] as const));

  test.each(cases)("at %f m/s on %f m of line the weight is its drag over the tangent of its angle", (speed, mm) => {
    const water = { depth: 8, meanSpeed: speed, bedRoughness: 0 };
    for (const angle of [15, 30, 45]) {
      const tan = Math.tan((angle * Math.PI) / 180);
      // What a straight line over the depth would need; the real one is longer, so that it leans a little more.
      const weight = drag(mm, speed, 8) / tan;
      const found = hangingLine(water, weight, mm);
      const wetted = drag(mm, speed, found.length);
      expect((weight * Math.tan((found.angle * Math.PI) / 180)) / wetted).toBeCloseTo(1, 1);
      expect(found.angle / angle).toBeGreaterThan(0.99);
      expect(found.angle / angle).toBeLessThan(1.1);
    }
  });

  test("exactly: tan(angle) = sinh(k h / W') for a weightless line in a uniform stream", () => {
    const water = { depth: 12, meanSpeed: 0.6, bedRoughness: 0 };
    for (const grams of [0.4, 0.7, 1.2]) {
      const k = drag(0.00022, 0.6, 1);
      const { angle } = hangingLine(water, grams, 0.00022);
      expect(Math.tan((angle * Math.PI) / 180) / Math.sinh((12 * k) / grams)).toBeCloseTo(1, 1);
    }
  });

  test("12 m of 0.22 mm line in 0.6 m/s: about 0.5 N, 45 degrees on about 55 g of lead and 30 on 95 (common practice)", () => {
    const water = { depth: 12, meanSpeed: 0.6, bedRoughness: 0 };
    expect(drag(0.00022, 0.6, 12)).toBeGreaterThan(0.45);
    expect(drag(0.00022, 0.6, 12)).toBeLessThan(0.65);
    const lead = (grams: number) => (grams / 1000) * 9.81 * (1 - WATER_DENSITY / 11_340);
    expect(hangingLine(water, lead(72), 0.00022).angle).toBeLessThan(46);
    expect(hangingLine(water, lead(50), 0.00022).angle).toBeGreaterThan(45);
    expect(hangingLine(water, lead(115), 0.00022).angle).toBeLessThan(31);
    expect(hangingLine(water, lead(95), 0.00022).angle).toBeGreaterThan(29);
  });

  test("from a boat that drifts at the water's own speed the line hangs straight; faster or slower it leans alike", () => {
    const water = { depth: 8, meanSpeed: 0.6, bedRoughness: 0 };
    const at = (boat: number) => hangingLine(water, 0.3, 0.0002, 1, boat).angle;
    expect(at(0.6)).toBeCloseTo(0, 6);
    expect(at(0.4)).toBeCloseTo(at(0.8), 6);
    expect(at(0.4)).toBeLessThan(at(0));
  });

  test("what floats, or is too light to be held, never hangs; touching falls from all of the time to none", () => {
    const water = { depth: 12, meanSpeed: 1.2, bedRoughness: 0.1 };
    expect(hangingLine(water, 0, 0.0003)).toEqual({ angle: 90, length: Infinity });
    expect(hangingLine(water, 0.01, 0.0003).angle).toBe(90);
    expect(hangingTouch(0)).toBe(1);
    expect(hangingTouch(30)).toBeCloseTo(0.5, 6);
    expect(hangingTouch(45)).toBeCloseTo(0.2, 2);
    expect(hangingTouch(90)).toBe(0);
  });
});

describe("a line from a stand", () => {
  const leash = (change: Partial<Leash> = {}): Leash => ({
    lineDiameter: 0.0002,
    distance: 10,
    tipHeight: 0.001,
    presentation: "across",
    ...change,
  });

  test("across even water: the pull of an exact bow of that length", () => {
    // Nearly all of it in the water: a chord of length c under a uniform load. The exact bow of a weightless line in a
    // stream has tension k c / (2 asinh(t)) where its length is c t / asinh(t).
    const water = { depth: 0.4, meanSpeed: 0.8, bedRoughness: 0 };
    const { along, across, up, drag: total } = linePull(water, leash());
    const chord = Math.hypot(10, 0.401);
    expect(total / drag(0.0002, 0.8, chord * (0.4 / 0.401))).toBeCloseTo(1, 2);
    let [low, high] = [0.01, 3];
    for (let n = 0; n < 60; n++) {
      const t = (low + high) / 2;
      if (t / Math.asinh(t) - 1 < SLACK.value) low = t;
      else high = t;
    }
    // Tension in the exact bow is the same all along.
    const exact = total / (2 * Math.asinh(low));
    expect(Math.hypot(across, up) / (exact * Math.cos(Math.atan(low)))).toBeCloseTo(1, 1);
    expect(along / (exact * Math.sin(Math.atan(low)))).toBeCloseTo(1, 1);
  });

  test("the walk up the line from such a pull ends at the rod tip, in the current's own plane", () => {
    // Down the current the walk is plane: it begins with the pull on the weight and must come to the tip.
    const water = { depth: 3, meanSpeed: 0.7, bedRoughness: 0 };
    const tip = { distance: 7, tipHeight: 0.001 };
    const { along, up } = linePull(water, leash({ ...tip, presentation: "down" }));
    const length = Math.hypot(7, 3.001) * (1 + SLACK.value);
    const { shape } = lineShape(
      { passing: () => 0.7, length, lineDiameter: 0.0002, weights: [], end: { along: -along, down: up } },
      0,
    );
    const end = shape.at(-1)!;
    // The tip lies up-current of the weight, over it; the flat sag is a first order.
    expect(Math.hypot(Math.abs(end.x) - 7, end.z - 3.001) / length).toBeLessThan(0.2);
  });

  test("cast up the line is pressed down and cast down it lifts; the more line and current, the more it pulls", () => {
    const water = { depth: 2, meanSpeed: 0.7, bedRoughness: 0.1 };
    const at = (presentation: Leash["presentation"]) => linePull(water, leash({ presentation, tipHeight: 2 })).up;
    expect(at("up")).toBeLessThan(at("down"));
    fc.assert(
      fc.property(
        fc.constantFrom(...PRESENTATIONS),
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        fc.double({ min: 3, max: 18, noNaN: true }),
        (presentation, depth, meanSpeed, distance) => {
          const pull = (speed: number, lineDiameter: number) =>
            linePull(
              { depth, meanSpeed: speed, bedRoughness: 0.1 },
              { lineDiameter, distance, tipHeight: 2, presentation },
            );
          const plain = pull(meanSpeed, 0.0002);
          // Drag goes with the square of the speed and with the diameter, and every force with it.
          const faster = pull(2 * meanSpeed, 0.0002);
          const thicker = pull(meanSpeed, 0.0004);
          for (const part of ["along", "across", "up", "drag"] as const) {
            expect(faster[part]).toBeCloseTo(4 * plain[part], 6);
            expect(thicker[part]).toBeCloseTo(2 * plain[part], 6);
          }
          expect(thicker.angle).toBeCloseTo(plain.angle, 6);
        },
      ),
      { numRuns: 60 },
    );
    expect(linePull({ ...water, meanSpeed: 0 }, leash())).toMatchObject({ along: 0, across: 0, up: 0, drag: 0 });
  });
});
