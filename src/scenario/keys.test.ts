import { speciesById } from "../core/fish/species";
import { type Reach, reachSchema } from "../core/flow/reach-schema";
import type { GaugeNow } from "../core/gauge/summary";
import { conditionsOf, USUAL } from "./conditions";
import { bedKey, cellOf, fieldKey, roundFlow } from "./field";
import { keyOf } from "./key";
import { lookKey, readingKey, readingRequest } from "./reading";
import { rigKey } from "./rig";

const reach: Reach = {
  schema: "low-heron/reach@1",
  id: "r",
  name: "Run",
  roughness: 0.035,
  bed: { kind: "grid", nx: 3, ny: 3, cell: 1, z: new Array(9).fill(0) as number[] },
  downstream: { kind: "normal", slope: 0.003 },
  features: [{ kind: "boulder", id: "a", x: 1, y: 1, diameter: 1, height: 1 }],
};
const conditions = conditionsOf(undefined, undefined, undefined, { discharge: 4, light: "auto" });

test("a key tells apart what differs, in any part, and only that", () => {
  expect(keyOf("a", { b: 1 })).toBe(keyOf("a", { b: 1 }));
  expect(keyOf("a", { b: 1 })).not.toBe(keyOf("a", { b: 2 }));
  expect(keyOf("a", "b")).not.toBe(keyOf("a,b"));
  expect(keyOf(1, undefined)).not.toBe(keyOf(1, null, 2));
});

test("the field's key hangs on bed, flow and cell; not on names, ids or roofs over the water", () => {
  const key = (one: Reach, discharge = 4, cell?: number) => fieldKey({ reach: one, discharge, cell });
  expect(key(reach)).toBe(key({ ...reach, name: "Other" }));
  expect(key({ ...reach, features: [{ ...reach.features![0]!, id: "b", name: "pulpit" }] })).toBe(key(reach));
  const roof = { kind: "overhang" as const, x: 2, y: 2, length: 2, width: 1, angle: 0 };
  expect(key({ ...reach, features: [...reach.features!, roof] })).toBe(key(reach));
  const others = [
    key({ ...reach, roughness: 0.04 }),
    key({ ...reach, downstream: { kind: "normal", slope: 0.004 } }),
    key({ ...reach, features: [{ ...reach.features![0]!, x: 1.5 } as never] }),
    key(reach, 5),
    key(reach, 4, 0.5),
  ];
  expect(new Set([key(reach), ...others]).size).toBe(6);
  expect(bedKey(reach)).not.toBe(bedKey({ ...reach, id: "s" }));
  expect(cellOf(reach)).toBe(1);
  expect([roundFlow(6.666), roundFlow(1234.5), roundFlow(0.012345)]).toEqual([6.67, 1230, 0.0123]);
});

test("a reading's key changes with the fish, with each of its figures, and with clarity, warmth, light and roofs", () => {
  const request = readingRequest(speciesById("brown-trout"), conditions, reach.features);
  const variants = [
    request,
    readingRequest(speciesById("walleye"), conditions, reach.features),
    { ...request, species: { ...request.species, forkLength: request.species.forkLength + 1 } },
    { ...request, visibleDepth: 0.4 },
    { ...request, temperature: 4 },
    { ...request, light: "night" as const },
    { ...request, features: [] },
    { ...request, likings: [{ key: "depth 1", factor: 2 }] },
  ];
  expect(new Set(variants.map(lookKey)).size).toBe(variants.length);
  expect(readingKey("f1", request)).not.toBe(readingKey("f2", request));
});

test("a rig's key changes with the water and the tackle", () => {
  const request = {
    method: "float" as const,
    species: "brown-trout",
    water: { depth: 1, meanSpeed: 0.4, visibleDepth: 1, temperature: 10 },
    tackle: { leader: 0.4 },
  };
  expect(rigKey({ ...request, tackle: { leader: 0.5 } })).not.toBe(rigKey(request));
  expect(rigKey({ ...request, water: { ...request.water, depth: 1.1 } })).not.toBe(rigKey(request));
});

test("conditions come from the gauge, from what is chosen, or are the usual ones; nobody plans for night by itself", () => {
  const now = { discharge: 7, visibleDepth: 0.5, waterTemperature: 9 } as GaugeNow;
  const noon = Date.UTC(2026, 5, 21, 12);
  const place = { latitude: 52, longitude: 0 };
  expect(conditionsOf(now, noon, place, { discharge: null, light: "auto" })).toEqual({
    discharge: 7,
    visibleDepth: 0.5,
    clarityFrom: { kind: "now" },
    temperature: 9,
    light: "day",
    at: noon,
  });
  // Another flow is not read with today's water unless nothing else is known, and then that is said.
  const usual = { visibleDepth: 1.44, from: "turbidity", readings: 40, limb: "falling" } as const;
  expect(conditionsOf(now, noon, place, { discharge: 3, light: "auto" }, usual)).toMatchObject({
    visibleDepth: 1.4,
    clarityFrom: { kind: "record", usual },
  });
  expect(conditionsOf(now, noon, place, { discharge: null, light: "auto" }, usual).visibleDepth).toBe(0.5);
  expect(conditionsOf(now, noon, place, { discharge: 3, light: "auto" }).clarityFrom).toEqual({ kind: "today" });
  expect(conditionsOf(undefined, noon, place, { discharge: 3, light: "auto" }).clarityFrom).toEqual({ kind: "usual" });
  expect(conditionsOf(now, noon, place, { discharge: 3, light: "night" })).toMatchObject({
    discharge: 3,
    light: "night",
  });
  const midnight = noon + 12 * 3_600_000;
  expect(conditionsOf(now, midnight, place, { discharge: null, light: "auto" }).light).toBe("day");
  // On the day of most light the sun sets past eight in universal time at 52 N on the meridian: by then it is dusk.
  expect(conditionsOf(now, noon + 8.6 * 3_600_000, place, { discharge: null, light: "auto" }).light).toBe("twilight");
  expect(conditionsOf(undefined, undefined, undefined, { discharge: null, light: "auto" })).toMatchObject(USUAL);
});

test("whatever a reach holds either changes its field's key, or is known not to move the water", () => {
  const DRY = ["schema", "name", "readings", "latitude", "longitude", "bearing"];
  const changed: Record<keyof Reach, unknown> = {
    schema: "low-heron/reach@2",
    id: "s",
    name: "Other",
    bed: { ...reach.bed, cell: 2 },
    roughness: 0.05,
    downstream: { kind: "stage", value: 1 },
    features: [],
    readings: [{ x: 1, y: 1, kind: "depth", value: 1, discharge: 4, at: "2026-01-01T00:00:00Z" }],
    latitude: 50,
    longitude: 8,
    bearing: 90,
  };
  expect(Object.keys(changed).sort()).toEqual(Object.keys(reachSchema.shape).sort());
  const still = Object.entries(changed).filter(
    ([name, value]) => bedKey({ ...reach, [name]: value }) === bedKey(reach),
  );
  expect(still.map(([name]) => name)).toEqual(DRY);
});
