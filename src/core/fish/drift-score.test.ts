import { blankField } from "../../testing/reach-samples";
import { turbidityFromVisibleDepth } from "../gauge/clarity";
import type { Cover } from "../water/cover";
import { foragerOf } from "./foraging";
import { netEnergy } from "./net-energy";
import { medianOf, scoreOf } from "./score";
import { speciesById } from "./species";
import type { DriftFeeder } from "./species-schema";
import { along } from "./suitability";

/** The score of a drift feeder told anew: energy above nothing x cover x refuge x what its season wants. */
const [nx, ny, cell] = [12, 8, 0.5];
const cells = nx * ny;
const field = blankField(nx, ny, cell);
for (let k = 0; k < cells; k++) {
  // Still and thin on one side, a torrent on the other.
  field.depth[k] = 0.1 + 0.12 * Math.floor(k / nx);
  field.u[k] = 0.05 + 0.28 * Math.floor(k / nx);
  field.roughness[k] = 0.035;
}
const drift = Float64Array.from({ length: cells }, (_, k) => 1 + (k % 3) / 4);
const cover = { total: Float32Array.from({ length: cells }, (_, k) => (k % 7) / 7) } as unknown as Cover;
const refuge = Float32Array.from({ length: cells }, (_, k) => (k % 5) / 5);
const at = { temperature: 12, visibleDepth: 1, light: "day" as const };
const trout = speciesById("brown-trout") as DriftFeeder;
const score = (species: DriftFeeder) =>
  scoreOf(
    field,
    species,
    at,
    () => drift,
    cover,
    () => refuge,
  );
const energyOf = (species: DriftFeeder) =>
  netEnergy(
    field,
    drift,
    foragerOf(species, { temperature: 12, turbidity: turbidityFromVisibleDepth(1), light: "day" }),
    species,
  );

test("energy x (0.65 + 0.35 cover) x (0.85 + 0.15 refuge); below nothing it is nothing", () => {
  const { net } = energyOf(trout);
  const found = score(trout);
  expect(found.factors.season).toBeUndefined();
  let [positive, negative] = [0, 0];
  net.forEach((value, k) => {
    if (Number.isNaN(value)) return expect(found.score[k]).toBeNaN();
    if (value > 0) positive++;
    else negative++;
    const expected = Math.max(0, value) * (0.65 + 0.35 * cover.total[k]!) * (0.85 + 0.15 * refuge[k]!);
    return expect(found.score[k]).toBeCloseTo(expected, 12);
  });
  expect(positive).toBeGreaterThan(10);
  expect(negative).toBeGreaterThan(3);
});

test("its reasons hold its own drift, energy, and how that stands to the middle of what pays", () => {
  const { net } = energyOf(trout);
  const middle = medianOf(net.filter((value) => value > 0));
  const { reasons } = score(trout);
  for (const k of [20, 37, 60])
    expect(reasons(k)).toEqual([
      { kind: "drift", share: drift[k] },
      { kind: "energy", net: net[k], timesMedian: net[k]! / middle },
    ]);
});

test("in a season a fish wants its own depth and speed, by its curves", () => {
  const depth: [number, number][] = [
    [0.2, 0],
    [0.6, 1],
  ];
  const speed: [number, number][] = [
    [0.1, 1],
    [0.6, 0.2],
  ];
  const both = { ...trout, wants: { depth, speed } } as unknown as DriftFeeder;
  const { focalSpeed } = energyOf(both);
  const plain = score(trout);
  for (const [species, of] of [
    [both, (k: number) => along(depth, field.depth[k]!) * along(speed, focalSpeed[k]!)],
    [{ ...both, wants: { depth } } as unknown as DriftFeeder, (k: number) => along(depth, field.depth[k]!)],
    [{ ...both, wants: { speed } } as unknown as DriftFeeder, (k: number) => along(speed, focalSpeed[k]!)],
  ] as const) {
    const found = score(species);
    for (let k = 0; k < cells; k++) {
      if (Number.isNaN(plain.score[k]!)) continue;
      expect(found.factors.season![k]).toBeCloseTo(of(k), 10);
      expect(found.score[k]).toBeCloseTo(plain.score[k]! * of(k), 10);
    }
  }
});

test("where nothing pays nothing stands to the middle", () => {
  const cold = { ...field, u: field.u.map(() => 0) };
  const { reasons } = scoreOf(
    cold,
    trout,
    at,
    () => drift,
    cover,
    () => refuge,
  );
  expect(reasons(40)[1]).toMatchObject({ kind: "energy", timesMedian: null });
});
