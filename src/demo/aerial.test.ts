import { drawnOf } from "../core/trace/drawing";
import type { Mark } from "../core/trace/marks";
import { traceReach } from "../core/trace/traced-reach";
import { DEMO_AERIAL, demoAerial, demoAerialBanks, demoAerialDepth, demoAerialPlace } from "./aerial";

const { unit, stakes, width, height, discharge, slope } = DEMO_AERIAL;

/** The demo stream as a careful angler draws it, with so many depths. */
function drawnDemo(depths: number) {
  const { left, right } = demoAerialBanks(30);
  const mark = (kind: Mark["kind"], id: string, places: [number, number][], depth?: number): Mark => ({
    id,
    kind,
    places,
    ...(depth !== undefined && { measures: { depth } }),
  });
  const taken = Array.from({ length: depths }, (_, k) => {
    const at = demoAerialPlace((k + 0.5) / depths, k % 2 ? 0.68 : 0.32);
    return mark("depth", `d${k}`, [at], demoAerialDepth(at[0] * unit, at[1] * unit));
  });
  const drawing = {
    sheet: { width, height },
    scale: {
      kind: "length" as const,
      from: [...stakes.a] as [number, number],
      to: [...stakes.b] as [number, number],
      metres: stakes.metres,
      north: 0,
      at: null,
    },
    marks: [mark("left-bank", "l", left), mark("right-bank", "r", right), ...taken],
    discharge,
    slope,
  };
  return traceReach(drawnOf(drawing), { id: "d", name: "d", discharge, slope, roughness: 0.035, cell: 1 });
}

/** Mean error of ln depth over the stream, away from its edges. */
function error(traced: ReturnType<typeof drawnDemo>): number {
  const { nx, ny, cell } = traced.reach.bed as { nx: number; ny: number; cell: number };
  const heading = (traced.heading * Math.PI) / 180;
  const [de, dn] = [Math.sin(heading), Math.cos(heading)];
  const origin = [(stakes.a[0] + stakes.b[0]) / 2, (stakes.a[1] + stakes.b[1]) / 2] as const;
  let [sum, count] = [0, 0];
  for (let k = 0; k < nx * ny; k++) {
    const laid = traced.depth[k];
    const [x, y] = [((k % nx) + 0.5) * cell, (Math.floor(k / nx) + 0.5) * cell];
    const [e, n] = [traced.corner[0] + x * de + y * dn, traced.corner[1] + x * dn - y * de];
    const depth = demoAerialDepth(e + origin[0] * unit, origin[1] * unit - n);
    if (laid == null || depth < 0.15) continue;
    sum += Math.abs(Math.log(laid / depth));
    count++;
  }
  expect(count).toBeGreaterThan(1000);
  return sum / count;
}

test("the more depths are taken, the nearer the bed of the demo stream comes to the true one", () => {
  const [bare, twelve, forty] = [error(drawnDemo(0)), error(drawnDemo(12)), error(drawnDemo(40))];
  expect(twelve).toBeLessThan(0.7 * bare);
  expect(forty).toBeLessThan(0.12);
});

test("the picture is whole: opaque, its water darker where it is deeper", () => {
  const pixels = demoAerial();
  const light = ([x, y]: readonly [number, number]) => {
    const k = (Math.round(y) * width + Math.round(x)) * 4;
    expect(pixels[k + 3]).toBe(255);
    return pixels[k]! + pixels[k + 1]! + pixels[k + 2]!;
  };
  const places = Array.from({ length: 60 }, (_, k) => demoAerialPlace(0.1 + (k % 20) / 25, 0.2 + 0.2 * (k % 3)));
  const byDepth = places
    .map((at) => ({ depth: demoAerialDepth(at[0] * unit, at[1] * unit), light: light(at) }))
    .sort((a, b) => a.depth - b.depth);
  const mean = (part: typeof byDepth) => part.reduce((sum, one) => sum + one.light, 0) / part.length;
  expect(mean(byDepth.slice(-20))).toBeLessThan(mean(byDepth.slice(0, 20)) - 30);
});
