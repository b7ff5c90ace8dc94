import { isWithin } from "../trace/channel";
import { type Camera, cameraPlane, filmOf, type Scene } from "../../testing/film-scene";
import { filmMarks } from "./film-ground";
import { filmReader, type FilmedWater } from "./film-reader";
import { filmSpeeds } from "./film-speeds";
import type { Frame } from "./frame";
import { inverse, type Point, project } from "./homography";
import { planViewOf } from "./plan-view";

/** From the bank of a straight stream, 5 m wide, that runs along x. */
const CAMERA: Camera = {
  width: 400,
  height: 225,
  fieldOfView: 70,
  at: [0, 8],
  high: 3,
  heading: -90,
  tilt: 28,
  roll: 1,
};
const CORNERS: Point[] = [
  [-3.5, 0],
  [3.5, 0],
  [2.6, 5],
  [-2.6, 5],
];
const FILM = CORNERS.map((corner) => project(inverse(cameraPlane(CAMERA)), corner));
const far = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1]);
const [A, B, C, D] = CORNERS as [Point, Point, Point, Point];
const MARKS = filmMarks(
  {
    knownBy: "distances",
    points: FILM,
    distances: { ab: far(A, B), bc: far(B, C), cd: far(C, D), da: far(D, A), ac: far(A, C) },
  },
  CAMERA,
);
const scene = (speed: (y: number) => number, change: Partial<Scene> = {}): Scene => ({
  surface: ([, y]) => (y < 0 || y > 5 ? undefined : [speed(y), 0]),
  low: [-5, -2],
  high: [5, 7],
  framesPerSecond: 30,
  seconds: 1.2,
  shake: 2,
  noise: 4,
  marks: 16,
  seed: 3,
  ...change,
});

function measure(one: Scene, alter: (frame: Frame) => Frame = (frame) => frame): FilmedWater {
  let reader: ReturnType<typeof filmReader> | undefined;
  for (const raw of filmOf(one, CAMERA)) {
    const frame = alter(raw);
    reader ??= filmReader(MARKS, frame, one.seconds);
    reader.add(frame);
  }
  const work = reader!.measure();
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}
/** The film's plane has A at its corner and C to the right of it: back to where it was filmed. */
const back = (x: number, y: number): Point => {
  const turn = Math.atan2(C[1] - A[1], C[0] - A[0]);
  return [A[0] + x * Math.cos(turn) - y * Math.sin(turn), A[1] + x * Math.sin(turn) + y * Math.cos(turn)];
};
/** Share of the arrows within 15 %, or 0.05 m/s. */
const right = (film: FilmedWater, speed: (y: number) => number) =>
  film.arrows.filter((arrow) => {
    const truth = speed(back(arrow.x, arrow.y)[1]);
    return Math.abs(Math.hypot(arrow.u, arrow.v) - truth) <= Math.max(0.05, 0.15 * truth);
  }).length / film.arrows.length;

const SHEARED = (y: number) => 0.3 + 0.2 * y;
let measured: FilmedWater | undefined;
/** A film that two tests look at: rendering takes seconds. */
const clear = () => (measured ??= measure(scene(SHEARED)));

test("sheared water, hand-held and noisy: speeds are right, and all run the same way", () => {
  const film = clear();
  expect(film.lost).toBeLessThan(2);
  expect(film.arrows.length).toBeGreaterThan(0.8 * film.places);
  expect(right(film, SHEARED)).toBeGreaterThan(0.9);
  for (const { x, y } of film.arrows) expect(isWithin(CORNERS, back(x, y))).toBe(true);
});

test("fast water beside slow: the seam is found within a metre, on the line between them", () => {
  const speed = (y: number) => (y < 2.5 ? 1.2 : 0.3);
  const film = measure(scene(speed, { framesPerSecond: 60, seconds: 1.5 }));
  const points = film.seams.flatMap((seam) => seam.points.map(([x, y]) => back(x, y)));
  expect(points.length).toBeGreaterThan(3);
  for (const [, y] of points) expect(Math.abs(y - 2.5)).toBeLessThan(1);
});

test("dazzled water is left out, and told; what is seen beside it is right", () => {
  const middle = project(inverse(cameraPlane(CAMERA)), [0, 2.5]);
  const glare = (frame: Frame): Frame => ({
    ...frame,
    grey: frame.grey.map((value, k) => {
      const [x, y] = [k % frame.width, Math.floor(k / frame.width)];
      return Math.hypot(x - middle[0], 2 * (y - middle[1])) < 40 ? 255 : value;
    }),
  });
  const dazzled = measure(scene(SHEARED), glare);
  expect(dazzled.unseen).toBeGreaterThan(clear().unseen + 5);
  expect(right(dazzled, SHEARED)).toBeGreaterThan(0.85);
});

test("water without a mark on it shows nothing; still water, under a trembling hand, next to nothing", () => {
  const bare = measure(scene(() => 0.8, { marks: 0 }));
  expect(bare.arrows.length).toBeLessThan(0.05 * bare.places);
  const still = measure(scene(() => 0, { noise: 2 }));
  const speeds = still.arrows.map(({ u, v }) => Math.hypot(u, v)).toSorted((p, q) => p - q);
  expect(speeds[Math.floor(speeds.length / 2)] ?? 0).toBeLessThan(0.2);
});

test("a film of a few frames is refused; frames without what stands still are lost, and counted", () => {
  expect(() => measure(scene(() => 0.5, { seconds: 0.2 }))).toThrow(
    expect.objectContaining({ fault: expect.objectContaining({ code: "film-too-short" }) }),
  );
  let count = 0;
  const film = measure(
    scene(() => 0.5),
    (frame) => (++count % 10 === 0 ? { ...frame, grey: new Uint8Array(frame.grey.length).fill(90) } : frame),
  );
  expect(film.lost).toBeGreaterThanOrEqual(3);
  expect(film.lost).toBeLessThan(9);
  expect(right(film, () => 0.5)).toBeGreaterThan(0.85);
});

test("what is not known of the ground is asked for, by its points", () => {
  const distances = { ab: 7, bc: 5, cd: null, da: 5, ac: 8 };
  expect(() => filmMarks({ knownBy: "distances", points: FILM, distances }, CAMERA)).toThrow(
    expect.objectContaining({
      fault: expect.objectContaining({ code: "film-distance-missing", values: { from: "c", to: "d" } }),
    }),
  );
  const level = {
    knownBy: "level" as const,
    points: FILM,
    distance: 4,
    level: [
      [0, 10],
      [400, 12],
    ] as Point[],
    fieldOfView: 70,
  };
  // Corners above the level line are no water.
  expect(() =>
    filmReader(
      filmMarks(
        {
          ...level,
          water: [
            [0, 0],
            [400, 0],
            [400, 200],
            [0, 200],
          ],
        },
        CAMERA,
      ),
      filmOf(
        scene(() => 1),
        CAMERA,
      ).next().value as Frame,
      2,
    ),
  ).toThrow(expect.objectContaining({ fault: expect.objectContaining({ code: "film-area-size" }) }));
});

test("water that nothing happens on, as a tight video code makes it, is told as such, and not as hidden", () => {
  const view = planViewOf(MARKS.toPlane, MARKS.water);
  const frames = Array.from({ length: 14 }, (_, k) => ({
    seen: new Uint8Array(view.nx * view.ny).fill(90),
    seconds: k / 30,
  }));
  const work = filmSpeeds(view, frames);
  let step = work.next();
  while (!step.done) step = work.next();
  expect(step.value).toMatchObject({ arrows: [], unseen: 0, indistinct: step.value.places });
});
