import { stream } from "../quantity/seeded";
import { NOWHERE } from "./classes";
import { SI_SCALE } from "./rate-terms";
import { fishOf } from "../../testing/made-season";
import { DISPERSIONS, evidenceOf } from "./overdispersion";
import { sampleEffort, sampleRiver } from "../../testing/book-samples";
import { fdrThreshold, signalsOf } from "./signals";

const river = (discharge: number, temperature: number, trend: "rising" | "falling" | "steady", visibleDepth: number) =>
  sampleRiver({ discharge, waterTemperature: temperature, trend, visibleDepth });
const TRENDS = ["rising", "falling", "steady"] as const;

test("two fish are no pattern: too few hours to say, and how many it would take", () => {
  const random = stream(3);
  const efforts = [
    sampleEffort("a", 2, river(4, 10, "falling", 1), 2),
    sampleEffort("b", 2, river(9, 10, "rising", 1), 0),
  ];
  const [flow] = signalsOf(["flow"], efforts, SI_SCALE, NOWHERE, random);
  expect(flow).toMatchObject({ verdict: "too-few", p: null, best: null });
  const next = stream(9);
  const plain = Array.from({ length: 40 }, (_, k) =>
    sampleEffort(`s${k}`, 3.5, river(6, 12, TRENDS[k % 3]!, 1), fishOf(0.5, 3.5, 0, next)),
  );
  const many = signalsOf(["trend"], plain, SI_SCALE, NOWHERE, random)[0]!;
  // ln 2 at 1.645 + 0.842 standard errors, 4/y: y = 4 (2.487 / ln 2)^2 = 51.5 fish where fish come singly.
  expect((many.wanted! * 0.5) / 51.5).toBeGreaterThan(0.7);
  expect(many.verdict).not.toBe("supported");
});

test("the step-up procedure on the worked example of Benjamini & Hochberg 1995: the first four of fifteen at 5 %", () => {
  const p = [
    0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.324, 0.4262, 0.5719, 0.6528, 0.759, 1,
  ];
  expect(fdrThreshold(p, 0.05)).toBe(0.0095);
  expect(fdrThreshold([0.5, 0.9])).toBe(-1);
  expect(fdrThreshold([])).toBe(-1);
});

/** Sessions of one trend, each with its hours and fish. */
const of = (trend: "rising" | "falling" | "steady", ...bouts: readonly (readonly [hours: number, fish: number])[]) =>
  bouts.map(([hours, fish], k) => sampleEffort(`${trend}${k}`, hours, sampleRiver({ trend }), fish));

const askTrend = (efforts: readonly ReturnType<typeof sampleEffort>[], shuffles = 9999) =>
  signalsOf(["trend"], efforts, SI_SCALE, NOWHERE, stream(4), shuffles)[0]!;

/** All ways to share sessions out between two classes of so many. */
function halves(length: number, first: number): boolean[][] {
  if (length === 0) return first === 0 ? [[]] : [];
  return [
    ...(first > 0 ? halves(length - 1, first - 1).map((rest) => [true, ...rest]) : []),
    ...halves(length - 1, first).map((rest) => [false, ...rest]),
  ];
}

describe("the chance of shuffled sessions is that of all ways to share them out (Fisher 1935, the exact test)", () => {
  test("three with five fish each and three with none: two ways of twenty", () => {
    const { p, hours } = askTrend([...of("rising", [3, 5], [3, 5], [3, 5]), ...of("falling", [3, 0], [3, 0], [3, 0])]);
    expect(Math.abs(p! - 0.1)).toBeLessThan(0.012);
    expect(hours).toBe(18);
  });

  test.each([
    [
      [
        [2, 3],
        [4, 2],
        [3, 0],
      ],
      [
        [5, 1],
        [2, 0],
        [3, 1],
      ],
    ],
    [
      [
        [1, 6],
        [2, 1],
        [4, 5],
        [2, 0],
      ],
      [
        [6, 2],
        [3, 9],
        [1, 0],
      ],
    ],
    [
      [
        [6, 0],
        [1, 9],
        [2, 0],
      ],
      [
        [1, 0],
        [4, 7],
        [3, 0],
        [2, 0],
      ],
    ],
  ] as [hours: number, fish: number][][][])(
    "sessions of unequal hours, by Pearson's distance of every way: %j against %j",
    (first, second) => {
      const all = [...first!, ...second!];
      const total = (k: 0 | 1, own = all) => own.reduce((sum, one) => sum + one[k], 0);
      const rate = total(1) / total(0);
      const evidence = evidenceOf(all.map(([hours, events]) => ({ hours, events })));
      const dispersion = DISPERSIONS.value[evidence.indexOf(Math.max(...evidence))]!;
      const apart = (own: [number, number][]) => {
        const spread = own.reduce((sum, [hours]) => sum + rate * hours + dispersion * (rate * hours) ** 2, 0);
        return (total(1, own) - rate * total(0, own)) ** 2 / spread;
      };
      const distance = (way: readonly boolean[]) =>
        apart(all.filter((_, k) => way[k])) + apart(all.filter((_, k) => !way[k]));
      const ways = halves(all.length, first!.length).map(distance);
      const seen = distance(all.map((_, k) => k < first!.length));
      const exact = ways.filter((one) => one >= seen - 1e-9).length / ways.length;
      const { p } = askTrend([...of("rising", ...first!), ...of("falling", ...second!)]);
      expect(exact).toBeLessThan(0.95);
      // Three standard errors of 9999 shuffles.
      expect(Math.abs(p! - exact)).toBeLessThan(3 * Math.sqrt((exact * (1 - exact)) / 9999) + 1e-3);
    },
  );

  test("of nine shuffles none may come as far: one in ten, never nought", () => {
    const many = of("rising", ...Array.from({ length: 12 }, (): [number, number] => [3, 5]));
    const none = of("falling", ...Array.from({ length: 12 }, (): [number, number] => [3, 0]));
    expect(askTrend([...many, ...none], 9).p).toBe(0.1);
  });
});

describe("who takes part, and what it would take", () => {
  const EVEN: [number, number][] = [
    [3, 2],
    [3, 2],
    [3, 2],
  ];

  test("a class of three hours in three sessions does; of two sessions, or of fewer hours, it does not", () => {
    const with_ = (...bouts: [number, number][]) =>
      askTrend([...of("rising", ...EVEN), ...of("falling", ...EVEN), ...of("steady", ...bouts)], 9).hours;
    expect(with_([1, 0], [1, 0], [1, 0])).toBe(21);
    expect(with_([1, 0], [1, 0], [0.9, 0])).toBe(18);
    expect(with_([4, 0], [4, 0])).toBe(18);
  });

  test("two pieces of one session in one class are one of three sessions", () => {
    const twice = [...of("steady", [2, 1], [2, 1]), ...of("steady", [2, 1], [2, 1])];
    expect(askTrend([...of("rising", ...EVEN), ...of("falling", ...EVEN), ...twice], 9).hours).toBe(18);
    const thrice = [...of("steady", [2, 1], [2, 1]), ...of("steady", [2, 1], [2, 1], [2, 0])];
    expect(askTrend([...of("rising", ...EVEN), ...of("falling", ...EVEN), ...thrice], 9).hours).toBe(28);
  });

  test("five fish are something to share out, four are not; one class alone is no question", () => {
    const fish = (n: number) => [...of("rising", [3, n], [3, 1], [3, 0]), ...of("falling", [3, 1], [3, 0], [3, 0])];
    expect(askTrend(fish(2), 9)).toMatchObject({ p: null, verdict: "too-few", best: null });
    expect(askTrend(fish(3), 9).p).not.toBeNull();
    expect(askTrend(of("rising", [3, 4], [3, 4], [3, 4]), 9)).toMatchObject({ p: null, hours: 9, best: null });
  });

  test("hours for a doubling: 4 (2.487 / ln 2)^2 times hours a fish and an outing's share of the dispersion", () => {
    const power = (2.487 / Math.log(2)) ** 2;
    // Twelve fish in eighteen hours, two each: they do not bunch.
    expect(askTrend([...of("rising", ...EVEN), ...of("falling", ...EVEN)], 9).wanted!).toBeCloseTo(
      4 * power * (18 / 12),
      9,
    );
    const bunched: [number, number][] = [
      [2, 14],
      [4, 0],
      [3, 0],
      [3, 0],
    ];
    const evidence = evidenceOf([...bunched, ...bunched].map(([hours, events]) => ({ hours, events })));
    const dispersion = DISPERSIONS.value[evidence.indexOf(Math.max(...evidence))]!;
    expect(dispersion).toBeGreaterThan(0.5);
    expect(askTrend([...of("rising", ...bunched), ...of("falling", ...bunched)], 9).wanted!).toBeCloseTo(
      4 * power * (24 / 28 + dispersion * 3),
      9,
    );
    const blank = of("rising", [3, 0], [3, 0], [3, 0]);
    expect(askTrend([...blank, ...of("falling", [3, 0], [3, 0], [3, 0])], 9)).toMatchObject({ wanted: null, p: null });
  });

  test("enough hours without a sign are no sign; with fewer it is too few to say", () => {
    const alike = (sessions: number) => {
      const bouts = Array.from({ length: sessions }, (): [number, number] => [5, 5]);
      return askTrend([...of("rising", ...bouts), ...of("falling", ...bouts)], 99);
    };
    // 51.5 hours are wanted at a fish an hour.
    expect(alike(5)).toMatchObject({ verdict: "too-few", hours: 50, p: 1 });
    expect(alike(6)).toMatchObject({ verdict: "no-sign", hours: 60, p: 1 });
  });
});

describe("the best of what is supported", () => {
  const full = (fish: number): [number, number][] => Array.from({ length: 8 }, () => [2, fish]);

  test("the class with the most fish an hour, and how many times the rate of all others, with half a fish to each", () => {
    const efforts = [...of("rising", ...full(1)), ...of("falling", ...full(6)), ...of("steady", ...full(2))];
    const { verdict, best } = askTrend(efforts);
    expect(verdict).toBe("supported");
    expect(best).toMatchObject({ key: "falling", low: null, high: null });
    expect(best!.times).toBeCloseTo(48.5 / 16 / (24.5 / 32), 12);
  });

  test("spans of a figure are joined to four, two neighbours with the fewest hours together first", () => {
    const hours = [1, 5, 2, 2, 4, 3];
    // Eight fish in each session of 2 to 4 degrees, one elsewhere.
    const efforts = hours.flatMap((each, degree) =>
      Array.from({ length: 6 }, (_, k) =>
        sampleEffort(`d${degree}${k}`, each, sampleRiver({ waterTemperature: degree + 0.5 }), degree === 3 ? 9 : 1),
      ),
    );
    const scale = { ...SI_SCALE, temperature: [-1, 0, 1, 2, 3, 4, 5, 6] };
    const [signal] = signalsOf(["temperature"], efforts, scale, NOWHERE, stream(2));
    // 1 5 2 2 4 3: 2+2 are joined to 4, then 1+5 before 4+4 and 4+3: spans of 0-2, 2-4, 4-5 and 5-6 degrees.
    expect(signal).toMatchObject({ verdict: "supported", hours: 6 * 17, best: { key: "2-4", low: 2, high: 4 } });
    expect(signal!.best!.times).toBeCloseTo(60.5 / 24 / (24.5 / 78), 12);
  });

  test("each property is asked for itself, and the limit is drawn over all of them", () => {
    const efforts = [...of("rising", ...full(1)), ...of("falling", ...full(6))];
    const signals = signalsOf(["trend", "flow", "temperature"], efforts, SI_SCALE, NOWHERE, stream(2), 99);
    expect(signals.map(({ kind, verdict }) => [kind, verdict])).toEqual([
      ["trend", "supported"],
      ["flow", "too-few"],
      ["temperature", "too-few"],
    ]);
  });
});
