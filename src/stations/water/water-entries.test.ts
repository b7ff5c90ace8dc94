import type { StationRecord } from "../../core/book/records";
import { blankWater } from "../../store/gauges";
import { knowledgeOf, ratingWords, waterEntries, type WaterEntries, waterSchema } from "./water-entries";

const station = { id: "s", name: "Weir", latitude: 53.2, longitude: -7.4 } as StationRecord;
const empty = waterEntries({ ...station, latitude: null, longitude: null }, blankWater("s"), undefined, "metric");
const parsed = (change: Partial<WaterEntries>) => waterSchema("metric").safeParse({ ...empty, ...change });
const faultAt = (change: Partial<WaterEntries>) => {
  const result = parsed(change);
  return result.error?.issues.map((issue) => [issue.path.join("."), issue.message]);
};
const known = (change: Partial<WaterEntries>, bands?: never[]) =>
  knowledgeOf(parsed(change).data!, new Set(Object.keys(change)), bands);

test("what is known goes into the fields and comes back as it was", () => {
  const water = {
    ...blankWater("s"),
    altitude: 120,
    damNote: "siren",
    fullPool: 3.25,
    beachSlope: 0.1,
    constituents: [{ name: "M2", amplitude: 1.2, phase: 145 }],
    gaugings: [0.3, 0.5, 0.8, 1.1].map((stage) => ({ stage, discharge: 10 * stage ** 2 })),
  };
  const typed = ["stage (m), discharge (m3/s)", ...water.gaugings.map((one) => `${one.stage}, ${one.discharge}`)];
  const entries = waterEntries(station, water, undefined, "metric");
  expect(entries).toMatchObject({ latitude: "53.2", longitude: "−7.4", altitude: "120 m", oneIn: "10" });
  const back = knowledgeOf(waterSchema("metric").parse(entries), new Set(Object.keys(entries)), undefined);
  expect(back.place).toEqual({ latitude: 53.2, longitude: -7.4 });
  expect(back.water).toEqual({
    altitude: 120,
    damNote: "siren",
    fullPool: 3.25,
    beachSlope: 0.1,
    constituents: water.constituents,
    gaugings: water.gaugings,
    gaugingsText: typed.join("\n"),
  });
});

test("pairs of a rating stay as they were typed, with their units, whoever looks at them; bare ones are in the units of who types", () => {
  const feet = "stage (ft), discharge (cfs)\n1.0, 30\n1.5, 74\n2.0, 145\n3.0, 370";
  const kept = knowledgeOf(waterSchema("us").parse({ ...empty, pairs: feet }), new Set(["pairs"]), undefined).water;
  // 1 ft is 0.3048 m, 1 cfs 0.028316846592 m3/s (international foot).
  expect(kept.gaugings![0]!.stage).toBeCloseTo(0.3048, 10);
  expect(kept.gaugings![0]!.discharge).toBeCloseTo(30 * 0.028316846592, 10);
  const known = { ...blankWater("s"), ...kept };
  for (const system of ["us", "metric"] as const)
    expect(waterEntries(station, known, undefined, system).pairs).toBe(feet);
  const bare = feet.split("\n").slice(1).join("\n");
  const inFeet = knowledgeOf(waterSchema("us").parse({ ...empty, pairs: bare }), new Set(["pairs"]), undefined).water;
  expect(inFeet).toEqual(kept);
  const inMetres = knowledgeOf(parsed({ pairs: bare }).data!, new Set(["pairs"]), undefined).water;
  expect(inMetres.gaugings![0]).toEqual({ stage: 1, discharge: 30 });
  expect(inMetres.gaugingsText).toMatch(/^stage \(m\), discharge \(m3\/s\)\n1\.0, 30/);
});

test("the tide is typed in feet or metres, and is the same tide", () => {
  const us = waterSchema("us").parse({ ...empty, tide: "M2 3.937008 145" }).tide;
  expect(us).toEqual([{ name: "M2", amplitude: expect.closeTo(1.2, 6), phase: 145 }]);
  const known = { ...blankWater("s"), constituents: [{ name: "M2", amplitude: 1.2, phase: 145 }] };
  expect(waterEntries(station, known, undefined, "us").tide).toBe("M2 3.93701 145");
  expect(waterEntries(station, known, undefined, "metric").tide).toBe("M2 1.2 145");
});

test("only what was touched is written: what another page says of the rest stays", () => {
  expect(known({ damNote: "siren" })).toEqual({ water: { damNote: "siren" } });
  expect(known({ latitude: "53", longitude: "-7" })).toEqual({
    water: {},
    place: { latitude: 53, longitude: -7 },
  });
  expect(known({}, [])).toEqual({ water: { bands: [] } });
});

test("the way to the reach: a ratio of catchments with a lag, given or by the kinematic wave", () => {
  expect(known({ areaRatio: "0.4", lag: "-2" }).transfer).toEqual({ areaRatio: 0.4, lag: -2 });
  // 6000 m at 5/3 of 0.5 m/s takes two hours (Lighthill & Whitham 1955).
  expect(known({ areaRatio: "0.4", distance: "6000 m", speed: "0.5 m/s" }).transfer).toEqual({
    areaRatio: 0.4,
    lag: 2,
  });
  expect(known({ areaRatio: "" }).transfer).toBeNull();
});

test.each<[Partial<WaterEntries>, string, RegExp]>([
  [{ latitude: "91" }, "latitude", /−90 to 90/],
  [{ longitude: "181" }, "longitude", /−180 to 180/],
  [{ altitude: "7000 m" }, "altitude", /6.?000/],
  [{ altitude: "high" }, "altitude", /doesn’t start with a number/],
  [{ oneIn: "0.05" }, "oneIn", /0.1 to 10000/],
  [{ tide: "M2 lots 3" }, "tide", /Line 1: give a constituent/],
  [{ pairs: "0.3, 0.5\n0.5, 2" }, "pairs", /three|3/],
  [{ pairs: "0.3, 0.5\n0.5, -2\n0.8, 6\n1, 9" }, "pairs", /./],
  [{ lag: "300" }, "lag", /240/],
  [{ lag: "2" }, "areaRatio", /Enter it too/],
  [{ areaRatio: "1", distance: "6000 m" }, "speed", /both the distance/],
  [{ areaRatio: "1", speed: "1 m/s" }, "distance", /both the distance/],
  [{ areaRatio: "1", distance: "9000000 m", speed: "0.1 m/s" }, "distance", /240 hours/],
  [{ areaRatio: "0" }, "areaRatio", /above 0/],
])("%j is refused at “%s”", (change, path, words) => {
  expect(faultAt(change)).toContainEqual([path, expect.stringMatching(words)]);
});

test("the pairs say their curve as they are written, or nothing while they bear none", () => {
  expect(ratingWords("", "metric")).toMatch(/from stage/);
  expect(ratingWords("0.3, 0.5", "metric")).toBeUndefined();
  // Q = 12 (h - 0.1)^2, exactly.
  const pairs = [0.3, 0.5, 0.8, 1.1].map((h) => `${h}, ${12 * (h - 0.1) ** 2}`).join("\n");
  expect(ratingWords(pairs, "metric")).toMatch(
    /^Q = 12\.0 \(h − 0\.10\)\^2\.00, 4 pairs, ±0 %; a guess beyond 18\.0 m³\/s\.$/,
  );
});
