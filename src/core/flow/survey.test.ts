import { DEMO_REACHES } from "../../demo/river";
import { DEMO_STATION } from "../../demo/station";
import { sounderLog, SOUNDER_DRAFT } from "../../standins/sounder";
import { seriesFrom } from "../gauge/series";
import { readSoundings } from "../formats/soundings-file";
import { sample } from "./grid";
import { rasteriseReach } from "./rasterise";
import { nearestIn } from "./nearest";
import { headingBetween, metresPerDegree, toPlane } from "./plane";
import { checkReach } from "./reach";
import { solveSteady } from "./steady";
import { survey, type SurveyInput } from "./survey";

describe("the plane under a survey", () => {
  test.each([
    // Length of a degree on the WGS 84 ellipsoid, m (NGA, American Practical Navigator, table of the length of a
    // degree).
    [0, 110574, 111320],
    [45, 111132, 78847],
    [60, 111412, 55800],
  ])("a degree at latitude %d", (latitude, north, east) => {
    const metres = metresPerDegree(latitude);
    expect(Math.abs(metres.latitude - north)).toBeLessThan(1);
    expect(Math.abs(metres.longitude - east)).toBeLessThan(1);
  });

  test.each([20, 135, 250, 359])(
    "the longest axis of a line that heads %d degrees, from its first place to its last",
    (heading) => {
      const a = (heading * Math.PI) / 180;
      const places = Array.from({ length: 30 }, (_, k) => ({ a: 3 * k * Math.sin(a), b: 3 * k * Math.cos(a) }));
      expect(headingBetween(toPlane("projected", places))).toBeCloseTo(heading, 6);
    },
  );
});

/** A plane of soundings, x down and y across, on a grid of 3 m. */
const plain = (depth: (x: number, y: number) => number): SurveyInput => ({
  frame: "reach",
  measure: "depth",
  soundings: Array.from({ length: 21 * 7 }, (_, k) => ({
    a: 3 * Math.floor(k / 7),
    b: 3 * (k % 7),
    value: depth(3 * Math.floor(k / 7), 3 * (k % 7)),
    line: k + 1,
  })),
});

test("the nearest marked cell is that of a search through all of them, within a fraction of a cell", () => {
  const [nx, ny] = [37, 29];
  const marked = Uint8Array.from({ length: nx * ny }, (_, k) => ((k * 7919) % 101 === 0 ? 1 : 0));
  const [nearest, apart] = nearestIn(marked, nx, ny);
  for (let k = 0; k < nx * ny; k++) {
    let least = Infinity;
    for (let m = 0; m < nx * ny; m++)
      if (marked[m]) least = Math.min(least, Math.hypot((m % nx) - (k % nx), Math.floor(m / nx) - Math.floor(k / nx)));
    expect(marked[nearest[k]!]).toBe(1);
    expect(apart[k]! - least).toBeLessThan(0.3);
  }
});

describe("a survey", () => {
  test("the fall of the water tilts the bed, the transducer's depth adds to it", () => {
    const { points, bed } = survey(
      plain(() => 1),
      { waterSurfaceSlope: 0.003, transducerDraft: 0.2 },
    );
    for (const { x, z } of points) expect(z).toBeCloseTo(-1.2 - 0.003 * x, 10);
    expect(bed.points).toHaveLength(147);
  });

  test("soundings of different hours come to one water level by the gauge", () => {
    const hour = 3_600_000;
    const stage = seriesFrom(
      "stage",
      Array.from({ length: 8 }, (_, k) => [k * hour, 0.5 + 0.05 * k]),
    );
    const input = plain(() => 0);
    // The bed is flat at -1 m under the stage of hour 3; the river rises 0.05 m an hour while it is sounded.
    input.soundings.forEach((one, k) =>
      Object.assign(one, { time: k * 2 * 60_000, value: 1 + 0.05 * ((k * 2) / 60 - 3) }),
    );
    const { points, levelled } = survey(input, { waterSurfaceSlope: 0, transducerDraft: 0, stage });
    const [low, high] = [Math.min(...points.map(({ z }) => z)), Math.max(...points.map(({ z }) => z))];
    expect(high - low).toBeLessThan(1e-9);
    expect(levelled!.to - levelled!.from).toBeCloseTo(0.05 * ((146 * 2) / 60), 6);
    expect(levelled!.without).toBe(0);
    delete input.soundings[0]!.time;
    expect(survey(input, { waterSurfaceSlope: 0, transducerDraft: 0, stage }).levelled!.without).toBe(1);
  });

  test("a hundred thousand soundings are thinned and told, not refused", () => {
    const stage = seriesFrom("stage", [
      [0, 1],
      [3_600_000, 1.1],
    ]);
    const soundings = Array.from({ length: 130_000 }, (_, k) => ({
      a: (k % 1000) * 0.12,
      b: Math.floor(k / 1000) * 0.12,
      value: 1,
      time: k * 20,
      line: k + 1,
    }));
    const found = survey(
      { frame: "reach", measure: "depth", soundings },
      { waterSurfaceSlope: 0, transducerDraft: 0, stage },
    );
    expect(found.points.length).toBeLessThanOrEqual(20_000);
    expect(found.length).toBeCloseTo(119.9, 0);
    expect(found.levelled!.to - found.levelled!.from).toBeCloseTo((0.1 * 130_000 * 20) / 3_600_000, 3);
  });

  test("a shout of the sounder stands out and is left out; a true ledge does not and stays", () => {
    const ledge = (_: number, y: number) => (y < 9 ? 1 : 2.2);
    expect(survey(plain(ledge), { waterSurfaceSlope: 0, transducerDraft: 0 }).outliers).toBe(0);
    const shouted = plain((x, y) => (x === 30 && y === 6 ? 5 : ledge(x, y)));
    const found = survey(shouted, { waterSurfaceSlope: 0, transducerDraft: 0 });
    expect(found.points.filter((one) => one.outlier)).toMatchObject([{ x: 30, y: 6, line: 73 }]);
    expect(found.bed.points).toHaveLength(146);
    expect(survey(shouted, { waterSurfaceSlope: 0, transducerDraft: 0, keepOutliers: true }).bed.points).toHaveLength(
      147,
    );
  });

  test("spacing, density and area of an even grid; a hole in it is a gap", () => {
    const even = survey(
      plain(() => 1),
      { waterSurfaceSlope: 0, transducerDraft: 0 },
    );
    expect(even.spacing).toBeCloseTo(3, 10);
    expect(even.area).toBeCloseTo(60 * 18, 6);
    expect(even.density).toBeCloseTo((100 * 147) / (60 * 18), 6);
    expect(even.gaps.share).toBe(0);
    const holed = plain(() => 1);
    const without = { ...holed, soundings: holed.soundings.filter(({ a, b }) => Math.hypot(a - 30, b - 9) > 8) };
    const { gaps } = survey(without, { waterSurfaceSlope: 0, transducerDraft: 0 });
    expect(gaps.corners.length).toBeGreaterThan(0);
    for (const [x, y] of gaps.corners) expect(Math.hypot(x - 30, y - 9)).toBeLessThan(9.5);
  });

  test("the inside of a bend is not bridged", () => {
    const bend: SurveyInput = { frame: "projected", measure: "depth", soundings: [] };
    const soundings = Array.from({ length: 61 * 5 }, (_, k) => {
      const [turn, r] = [(Math.PI * Math.floor(k / 5)) / 60, 36 + 2 * (k % 5)];
      return { a: -r * Math.cos(turn), b: r * Math.sin(turn), value: 1.2, line: k + 1 };
    });
    const { area, bed } = survey({ ...bend, soundings }, { waterSurfaceSlope: 0, transducerDraft: 0, heading: 90 });
    expect(area).toBeCloseTo(((44 ** 2 - 36 ** 2) * Math.PI) / 2, -2);
    const grid = rasteriseReach(
      checkReach({
        schema: "low-heron/reach@1",
        id: "b",
        name: "b",
        bed,
        roughness: 0.03,
        downstream: { kind: "normal", slope: 0.001 },
      }),
      1,
    );
    // Land stands in the middle of the bend.
    expect(sample(grid.z, grid.nx, grid.ny, 1, 44, grid.ny / 2)).toBeGreaterThan(2);
  });

  test("a demo boat's log gives the reach back: bed within a hand, and its flow", () => {
    const reach = { ...DEMO_REACHES[0]!, features: [] };
    const fall = 0.0028;
    const log = sounderLog(reach, { ...DEMO_STATION, heading: 200 }, Date.UTC(2026, 5, 1, 9), fall, 0.5);
    const file = readSoundings(log);
    const found = survey(file, { waterSurfaceSlope: fall, transducerDraft: SOUNDER_DRAFT });
    expect(Math.min(Math.abs(found.heading - 200), 20)).toBeLessThan(5);
    expect(file.notes.map(({ code }) => code)).toContain("lost-bottom");
    expect(found.outliers).toBeGreaterThan(0);
    const known = survey(file, { waterSurfaceSlope: fall, transducerDraft: SOUNDER_DRAFT, heading: 200 });
    const grid = rasteriseReach(reach);
    const [length, breadth] = [grid.nx * grid.cell, grid.ny * grid.cell];
    // Where the survey's frame lies on the reach's: its first line ran 1.5 m below the top; its edge is where the boat
    // first turned.
    const apart = known.points
      .filter((one) => !one.outlier)
      .map(({ x, y, z }) => {
        const edge = (breadth - known.breadth) / 2;
        return Math.abs(
          z + 0.5 + fall * (length - 1.3) - sample(grid.z, grid.nx, grid.ny, grid.cell, x + 1.3, y + edge),
        );
      })
      .sort((a, b) => a - b);
    expect(apart[Math.floor(apart.length / 2)]!).toBeLessThan(0.12);
    const sounded = checkReach({
      schema: "low-heron/reach@1",
      id: "s",
      name: "s",
      bed: { ...known.bed, cell: 1 },
      roughness: 0.034,
      downstream: { kind: "normal", slope: fall },
    });
    const [own, again] = [
      solveSteady(rasteriseReach(reach, 1), { discharge: 6, downstream: reach.downstream }),
      solveSteady(rasteriseReach(sounded), { discharge: 6, downstream: sounded.downstream }),
    ];
    const volume = (field: typeof own) => field.depth.reduce((sum, h) => sum + h, 0) / field.nx;
    expect(Math.abs(volume(again) / volume(own) - 1)).toBeLessThan(0.12);
  });
});

test("two soundings a continent apart are a slip, and are refused before anything is laid over them", () => {
  const far = (a: number, b: number) => ({
    frame: "geographic" as const,
    measure: "depth" as const,
    soundings: [
      { a: -6, b: 53, value: 1, line: 2 },
      { a: -6.0001, b: 53.0001, value: 1.2, line: 3 },
      { a, b, value: 1.1, line: 4 },
    ],
  });
  const options = { waterSurfaceSlope: 0.002, transducerDraft: 0 };
  for (const place of [
    [170, -53],
    [-6, 54],
    [-7, 53],
  ] as const)
    expect(() => survey(far(place[0], place[1]), options)).toThrow(
      expect.objectContaining({ fault: expect.objectContaining({ code: "too-far-apart" }) as object }) as Error,
    );
  expect(survey(far(-6.0002, 53), options).points).toHaveLength(3);
});

test.each([
  ["in one place", [0, 0, 0], [0, 0, 0]],
  ["along one line", [0, 10, 20], [5, 5, 5]],
])("soundings %s make no bed, and are refused as such", (_, east, north) => {
  const soundings = east.map((a, k) => ({ a, b: north[k]!, value: 1 + k / 10, line: k + 2 }));
  const input: SurveyInput = { frame: "projected", measure: "depth", soundings };
  expect(() => survey(input, { waterSurfaceSlope: 0.002, transducerDraft: 0, heading: 90 })).toThrow(
    "soundings-in-line",
  );
});
