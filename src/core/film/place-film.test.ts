import { calibrate } from "../flow/calibrate";
import { rasteriseReach } from "../flow/rasterise";
import { solveSteady } from "../flow/steady";
import { DEMO_REACHES } from "../../demo/river";
import { surfaceOf } from "../../testing/film-scene";
import type { Arrow } from "./film-speeds";
import { compareFilm, evenArrows, filmHeading, filmReadings, firstPlacement, placeFilm } from "./place-film";

const [reach] = DEMO_REACHES;
const field = solveSteady(rasteriseReach(reach!, 1), { discharge: 6.5, downstream: reach!.downstream });
const surface = surfaceOf(field, [0, 0]);
/** What a film of the water round the split stone would show, on a plane of its own, turned and moved. */
const TURN = 0.7;
const [c, s] = [Math.cos(TURN), Math.sin(TURN)];
const arrows: Arrow[] = [];
for (let x = 50; x <= 70; x++)
  for (let y = 12; y <= 24; y++) {
    const flow = surface([x, y]);
    if (!flow) continue;
    arrows.push({
      x: c * x - s * y - 40,
      y: s * x + c * y - 5,
      u: c * flow[0] - s * flow[1],
      v: s * flow[0] + c * flow[1],
      quality: ((7 * x + 3 * y) % 10) / 10,
    });
  }

test("a film is put where its water fits, turned back, and agrees there", () => {
  const placement = firstPlacement(arrows, field);
  const placed = placeFilm({ arrows, seams: [] }, placement);
  const [first] = placed.arrows;
  expect(Math.abs(placement.turn + (TURN * 180) / Math.PI)).toBeLessThan(8);
  expect(Math.hypot(first!.x - 50, first!.y - 12)).toBeLessThan(1.5);
  const { alike } = compareFilm(placed.arrows, field);
  expect(alike).toBeGreaterThan(0.6);
  // Elsewhere it does not: the comparison can fail.
  const astray = placeFilm(
    { arrows, seams: [] },
    { at: [placement.at[0] + 40, placement.at[1]], turn: placement.turn },
  );
  expect(compareFilm(astray.arrows, field).alike).toBeLessThan(alike - 0.25);
});

test("in its own place the model is as fast as the film; where the film is slower, it says so", () => {
  const own = { at: [60, 18] as const, turn: 0 };
  const exact = arrows.map((arrow) => {
    const [x, y] = [arrow.x + 40, arrow.y + 5];
    return { ...arrow, x: c * x + s * y, y: c * y - s * x, u: c * arrow.u + s * arrow.v, v: c * arrow.v - s * arrow.u };
  });
  expect(compareFilm(exact, field).ratio).toBeCloseTo(1, 1);
  const slow = exact.map((arrow) => ({ ...arrow, u: 0.8 * arrow.u, v: 0.8 * arrow.v }));
  expect(compareFilm(slow, field).ratio).toBeCloseTo(1.25, 1);
  expect(compareFilm(placeFilm({ arrows: exact, seams: [] }, { ...own, at: [60, 300] }).arrows, field)).toMatchObject({
    inside: 0,
    of: exact.length,
  });
  expect(Math.abs(filmHeading(exact))).toBeLessThan(20);
});

test("readings: at most so many, spread, in the water, at the flow of the film", () => {
  const { arrows: placed } = placeFilm({ arrows, seams: [] }, firstPlacement(arrows, field));
  const at = Date.parse("2026-05-14T13:40:00Z");
  const readings = filmReadings(evenArrows(placed), field, { most: 24, discharge: 6.5123, at });
  expect(readings.length).toBeGreaterThan(8);
  expect(readings.length).toBeLessThanOrEqual(24);
  for (const one of readings) {
    expect(one).toMatchObject({ kind: "surface-speed", discharge: 6.512, at: "2026-05-14T13:40:00.000Z" });
    const truth = surface([one.x, one.y]);
    expect(truth).toBeDefined();
    for (const other of readings)
      if (other !== one) expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeGreaterThan(1);
  }
  expect(filmReadings([], field, { most: 24, discharge: 6.5, at })).toEqual([]);
});

test("arrows in one row, that have no area, are spread too", () => {
  const row = Array.from({ length: 80 }, (_, k): Arrow => ({ x: 0.5 * k, y: 0, u: 1, v: 0, quality: k / 80 }));
  expect(Number.isFinite(firstPlacement(row, field).turn)).toBe(true);
  const placed = placeFilm({ arrows: row, seams: [] }, { at: [75, 15], turn: 0 }).arrows;
  const readings = filmReadings(placed, field, { most: 24, discharge: 6.5, at: 0 });
  expect(readings.length).toBeGreaterThan(5);
  expect(readings.length).toBeLessThanOrEqual(24);
});

test("seams go with the arrows", () => {
  const seam = {
    points: [[arrows[0]!.x, arrows[0]!.y]] as [number, number][],
    speedDifference: 0.3,
    sharpness: 0.4,
    slowSide: "left" as const,
  };
  const placed = placeFilm({ arrows, seams: [seam] }, { at: [30, 10], turn: 33 });
  expect(placed.seams[0]!.points[0]![0]).toBeCloseTo(placed.arrows[0]!.x, 9);
  expect(placed.seams[0]!.points[0]![1]).toBeCloseTo(placed.arrows[0]!.y, 9);
});

test("readings of a film fit the roughness of a bed that was laid too rough", () => {
  const { arrows: placed } = placeFilm({ arrows, seams: [] }, firstPlacement(arrows, field));
  const readings = filmReadings(evenArrows(placed), field, { most: 24, discharge: 6.5, at: 0 });
  const truth = reach!.roughness as number;
  const work = calibrate({ ...reach!, roughness: 1.35 * truth }, readings, 1);
  let step = work.next();
  while (!step.done) step = work.next();
  const { fitted, misfit, reach: found } = step.value;
  expect(fitted).toContain("roughness");
  expect(misfit.after).toBeLessThan(misfit.before);
  expect(Math.abs((found.roughness as number) / truth - 1)).toBeLessThan(0.2);
});
