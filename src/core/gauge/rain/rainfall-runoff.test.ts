import { DAY, HOUR } from "../series";
import { evaporationBy, summerAt } from "./evaporation";
import { firstState, runoffModel, runoffOf } from "./rainfall-runoff";

const sum = (values: Iterable<number>) => Array.from(values).reduce((total, value) => total + value, 0);
const PERRIN = { x1: 350, x2: 0, x3: 90, x4: 1.7 };

test("unit hydrographs are those of Perrin et al. 2003: sums of 1, the first curve to the power of 5/2", () => {
  const model = runoffModel({ ...PERRIN, x4: 2 }, DAY);
  expect(sum(model.slow)).toBeCloseTo(1, 12);
  expect(sum(model.quick)).toBeCloseTo(1, 12);
  expect(model.slow[0]).toBeCloseTo(0.5 ** 2.5, 12);
  expect(model.quick).toHaveLength(4);
  expect(model.quick[0]).toBeCloseTo(0.5 * 0.5 ** 2.5, 12);
  // Hourly the exponent is 5/4 (Mathevet 2005; from memory).
  expect(runoffModel({ ...PERRIN, x4: 4 }, HOUR).slow[0]).toBeCloseTo(0.25 ** 1.25, 12);
});

test("a full soil store seeps (1 - (1 + (4/9)^4)^(-1/4)) of itself in a day, hourly by 4/21 (Perrin et al. 2003)", () => {
  for (const [step, share] of [
    [DAY, 4 / 9],
    [HOUR, 4 / 21],
  ] as const) {
    const model = runoffModel(PERRIN, step);
    const state = { ...firstState(model), soil: PERRIN.x1 };
    runoffOf(model, state, 0, 0);
    expect(1 - state.soil / PERRIN.x1).toBeCloseTo(1 - (1 + share ** 4) ** -0.25, 12);
  }
});

test("no water is lost: without exchange and evaporation all rain runs off or is in the stores", () => {
  for (const step of [HOUR, DAY]) {
    const model = runoffModel({ ...PERRIN, x4: 7.3 }, step);
    const state = firstState(model);
    const held = () => state.soil + state.routing + sum(state.slow) + sum(state.quick);
    const before = held();
    const rain = Array.from({ length: 400 }, (_, k) => (k % 17 < 3 ? 4 + (k % 5) : 0));
    const runoff = sum(rain.map((mm) => runoffOf(model, state, mm, 0)));
    expect(runoff + held() - before).toBeCloseTo(sum(rain), 8);
  }
});

test("steady rain runs off as it falls in the end; evaporation takes its part and dries a river", () => {
  const model = runoffModel(PERRIN, DAY);
  const state = firstState(model);
  let runoff = 0;
  for (let day = 0; day < 5000; day++) runoff = runoffOf(model, state, 3, 0);
  expect(runoff).toBeCloseTo(3, 6);
  for (let day = 0; day < 5000; day++) runoff = runoffOf(model, state, 3, 1);
  expect(runoff).toBeLessThan(2.2);
  for (let day = 0; day < 5000; day++) runoff = runoffOf(model, state, 0, 2);
  expect(runoff).toBeLessThan(0.01);
});

test("evaporation is highest in the summer of its half of the earth, and never below zero", () => {
  const [july, january] = [Date.UTC(2025, 6, 20), Date.UTC(2025, 0, 20)].map(summerAt) as [number, number];
  expect(evaporationBy(july, { mean: 2, swing: 0.9 })).toBeGreaterThan(3.7);
  expect(evaporationBy(january, { mean: 2, swing: 0.9 })).toBeLessThan(0.3);
  expect(evaporationBy(january, { mean: 2, swing: -0.9 })).toBeGreaterThan(3.7);
  expect(evaporationBy(january, { mean: 2, swing: 1.5 })).toBe(0);
});
