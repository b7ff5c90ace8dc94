import { cautionsOf, leaveTheWater } from "./cautions";
import { HOUR, type Series, seriesFrom } from "./series";
import { gaugeNow } from "./summary";
import { stageTrendAt, trendAt } from "./trend";

const stage = (hours: number, level: (k: number) => number): Series =>
  seriesFrom(
    "stage",
    Array.from({ length: hours + 1 }, (_, k): [number, number] => [k * HOUR, level(k)]),
  );
const now = (series: Series[], at: number) => gaugeNow({ station: { id: "g", name: "G" }, series }, at * HOUR);
const cautions = (series: Series[], at: number) =>
  cautionsOf({
    now: now(series, at),
    damNote: "",
    tide: null,
    light: "day",
    sinceThunder: null,
    weather: null,
    fish: { id: "brown-trout", restAbove: 20 },
  });

test("a gauge that gives stage only has its trend, in metres an hour, wherever its zero lies", () => {
  for (const zero of [0, -3, 120]) {
    const series = stage(48, (k) => zero + (k < 24 ? 0.4 : 0.4 + 0.15 * (k - 24)));
    expect(stageTrendAt(series, 48 * HOUR)).toMatchObject({
      limb: "rising",
      ratePerHour: expect.closeTo(0.15, 9) as number,
      hours: expect.closeTo(24, 0) as number,
    });
    expect(now([series], 48)).toMatchObject({
      discharge: null,
      trend: "rising",
      ratePerHour: null,
      stageRatePerHour: expect.closeTo(0.15, 9) as number,
    });
    expect(now([series], 20).trend).toBe("steady");
  }
});

test("a fast rise of the stage sends everybody off the water, as one of the flow does", () => {
  const rising = (rate: number) => [stage(24, (k) => 0.5 + rate * k)];
  expect(cautions(rising(0.12), 24)).toEqual([{ kind: "rising", metresPerHour: expect.closeTo(0.12, 9) as number }]);
  expect(leaveTheWater(cautions(rising(0.12), 24))).toBe(true);
  expect(cautions(rising(0.09), 24)).toEqual([]);
  expect(cautions(rising(-0.2), 24)).toEqual([]);
});

test("a millimetre an hour is none; where the flow is read it speaks, and not the stage", () => {
  expect(
    stageTrendAt(
      stage(24, (k) => 1 + 0.001 * k),
      24 * HOUR,
    )!.limb,
  ).toBe("steady");
  const flow = seriesFrom(
    "discharge",
    Array.from({ length: 25 }, (_, k): [number, number] => [k * HOUR, 5 * Math.exp(-0.01 * k)]),
  );
  const both = now([flow, stage(24, (k) => 1 + 0.2 * k)], 24);
  expect(both).toMatchObject({
    trend: "falling",
    ratePerHour: expect.closeTo(trendAt(flow, 24 * HOUR)!.ratePerHour, 12) as number,
  });
  expect(both.stageRatePerHour).toBeUndefined();
});
