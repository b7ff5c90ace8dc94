import { madeRiver } from "../../../testing/rivers";
import { stream } from "../../quantity/seeded";
import { flowScale } from "../forecast/flow-scale";
import { DAY, HOUR } from "../series";
import { runoffModel } from "./rainfall-runoff";
import { type Catchment, errorsOfRunoff, fitRunoff, leftAfter, runoffIn, summersOf } from "./runoff-fit";

const START = Date.UTC(2024, 3, 1);
const rms = (errors: Float64Array, from: number) => {
  const own = errors.subarray(from);
  return Math.sqrt(own.reduce((sum, off) => sum + off * off, 0) / own.length);
};

/** A catchment that the model itself made, with the errors that gauges have. */
function made(step: number, days: number): Catchment {
  const { rain: hours } = madeRiver("rain", 7, days / 365);
  const each = step / HOUR;
  const rain = Float64Array.from({ length: Math.floor(hours.length / each) }, (_, k) =>
    hours.subarray(k * each, (k + 1) * each).reduce((sum, mm) => sum + mm, 0),
  );
  const truth = { model: runoffModel({ x1: 220, x2: 0, x3: 40, x4: 9 / each + 1 }, step), mean: 2.2, swing: 0.9 };
  const random = stream(3);
  const flow = runoffIn(truth, { step, rain }, summersOf({ start: START, step, rain })).map(
    (mm) => 30 * mm * Math.exp(0.02 * (random() - 0.5)),
  );
  const scale = flowScale(flow);
  return { start: START, step, rain, y: flow.map(scale.of), of: scale.of, back: scale.back };
}

test.each([
  ["hours", HOUR, 420],
  ["days", DAY, 480],
])(
  "a catchment that the model made is found again by its %s: the errors are a tenth of the flow's spread",
  (_, step, days) => {
    const catchment = made(step, days);
    const fit = fitRunoff(catchment)!;
    const errors = errorsOfRunoff(catchment, runoffIn(fit, catchment, summersOf(catchment)), fit.area);
    const settled = (70 * DAY) / step;
    const y = catchment.y.subarray(settled);
    const mean = y.reduce((sum, value) => sum + value, 0) / y.length;
    expect(rms(errors, settled)).toBeLessThan(
      0.25 *
        rms(
          y.map((value) => value - mean),
          0,
        ),
    );
    expect(fit.area).toBeGreaterThan(15);
    expect(fit.area).toBeLessThan(60);
  },
);

test("too little record, and a record without rain, bear no model", () => {
  const short = made(HOUR, 140);
  expect(fitRunoff(short)).toBeNull();
  const dry = made(HOUR, 400);
  expect(fitRunoff({ ...dry, rain: dry.rain.map(() => 0) })).toBeNull();
});

test("what is left of an error: all of one that stays, none of noise", () => {
  const random = stream(11);
  expect(leftAfter(new Float64Array(500).fill(0.3), 24)).toBeCloseTo(1, 12);
  expect(
    leftAfter(
      Float64Array.from({ length: 5000 }, () => random() - 0.5),
      24,
    ),
  ).toBeLessThan(0.05);
  const fading = Float64Array.from({ length: 60 }, (_, k) => 0.9 ** k);
  expect(leftAfter(fading, 5)).toBeCloseTo(0.9 ** 5, 12);
});
