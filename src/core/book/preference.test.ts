import { stream } from "../quantity/seeded";
import type { LieKind } from "./bank-records";
import type { Effort } from "./effort";
import { fishOf } from "../../testing/made-season";
import { classesOf, learnPreference, likedAs, PRIOR_FISH, tryPreference } from "./preference";
import { sampleEffort, sampleStretch } from "../../testing/book-samples";

const place = (kind: LieKind, depth: number, speed: number, share: number) => ({ kind, rank: 1, share, depth, speed });
const visit = (session: string, hours: number, fish: number, read: ReturnType<typeof place>): Effort =>
  sampleEffort(session, hours, null, fish, {
    stretch: sampleStretch(`${session}-${read.kind}-${read.depth}`, { read }),
  });

/** Anglers whose fish like one depth more than the model has it, and are else as the model says. */
function season(sessions: number, liked: number, random: () => number): Effort[] {
  return Array.from({ length: sessions }, (_, k) => `s${k}`).flatMap((session) =>
    [0.5, 0.9, 1.2, 1.7].map((depth) => {
      const share = 0.4 + 0.6 * random();
      const rate = 0.6 * share * (depth === 1.2 ? liked : 1);
      return visit(session, 1, fishOf(rate, 1, 0.25, random), place("run", depth, 0.3, share));
    }),
  );
}

test("a place is in one class of depth, of speed and of sort; edges belong to the class above", () => {
  expect(classesOf({ kind: "deep", depth: 1, speed: 0.1 })).toEqual(["depth 3", "speed 1", "kind deep"]);
  expect(classesOf({ kind: "run", depth: 0.1, speed: 0 })).toEqual(["depth 0", "speed 0", "kind run"]);
});

test("nothing fished, or nothing caught, leaves the model as it is", () => {
  expect(learnPreference([])).toEqual({ likings: [], hours: 0, fish: 0 });
  const blank = learnPreference([visit("a", 3, 0, place("deep", 1.2, 0.3, 1))]);
  expect(blank.likings.map(({ factor }) => factor)).toEqual([1, 1, 1]);
  expect(likedAs(blank.likings, { kind: "deep", depth: 1.2, speed: 0.3 })).toBe(1);
});

test("fish as the model lets expect move nothing", () => {
  const efforts = [visit("a", 2, 4, place("deep", 1.2, 0.3, 1)), visit("b", 2, 2, place("run", 0.5, 0.15, 0.5))];
  for (const { factor, fish, expected } of learnPreference(efforts).likings) {
    expect(factor).toBeCloseTo(1, 6);
    expect(fish).toBeCloseTo(expected, 9);
  }
});

test("one class alone is its fish and the prior over what is expected and the prior, by hand", () => {
  // Two places alike but for their depth, both of full score: 9 and 1 fish where 5 and 5 are expected. With the others'
  // factors at 1 and the scale that of both: f = (4 + y) / (4 + e f') comes to a fixed point; checked by its own
  // equation.
  const efforts = [visit("a", 5, 9, place("run", 0.5, 0.3, 1)), visit("b", 5, 1, place("run", 1.2, 0.3, 1))];
  const { likings } = learnPreference(efforts);
  const [shallow, deep] = ["depth 1", "depth 3"].map((key) => likings.find((one) => one.key === key)!.factor);
  const scale = 10 / (5 * shallow! + 5 * deep!);
  expect(shallow).toBeCloseTo((PRIOR_FISH.value + 9) / (PRIOR_FISH.value + 5 * scale), 4);
  expect(deep).toBeCloseTo((PRIOR_FISH.value + 1) / (PRIOR_FISH.value + 5 * scale), 4);
  expect(shallow! / deep!).toBeGreaterThan(2);
});

test("simulated anglers' known preference is recovered as sessions grow, and the ranking gets better on those unseen", () => {
  const ratio = (sessions: number, seed: number) => {
    const preference = learnPreference(season(sessions, 4, stream(seed)));
    const at = (depth: number) => likedAs(preference.likings, { kind: "run", depth, speed: 0.3 });
    return at(1.2) / at(0.9);
  };
  const mean = (sessions: number) => {
    const all = Array.from({ length: 12 }, (_, k) => Math.log(ratio(sessions, 100 + k)));
    return Math.exp(all.reduce((a, b) => a + b) / all.length);
  };
  const [few, some, many] = [3, 20, 120].map(mean);
  expect(few).toBeGreaterThan(1.1);
  expect(some).toBeGreaterThan(few!);
  expect(many).toBeGreaterThan(some!);
  expect(many! / 4).toBeGreaterThan(0.8);
  expect(many! / 4).toBeLessThan(1.2);
  const trial = tryPreference(season(60, 4, stream(5)))!;
  expect(trial.better).toBe(true);
  expect(trial.after).toBeGreaterThan(trial.before + 0.05);
});

test("where the fish are as the model has them, learning does not claim to rank better by much; too few say nothing", () => {
  let [gained, claimed] = [0, 0];
  for (let seed = 0; seed < 40; seed++) {
    const trial = tryPreference(season(40, 1, stream(300 + seed)))!;
    gained += trial.after - trial.before;
    if (trial.better) claimed++;
  }
  expect(gained / 40).toBeLessThan(0.02);
  // One in ten by the stated chance, and its spread.
  expect(claimed / 40).toBeLessThan(0.2);
  expect(tryPreference(season(1, 4, stream(1)))).toBeNull();
});

describe("the trial by hand", () => {
  /** Pairs of places of one session in the right order, by the model and as all the other sessions taught. */
  function triedPlainly(efforts: readonly Effort[]) {
    const names = [...new Set(efforts.map(({ session }) => session))].sort();
    let [pairs, before, after] = [0, 0, 0];
    const gains = new Map<string, number>();
    const agrees = (right: number, told: number) => (told === 0 ? 0.5 : told * right > 0 ? 1 : 0);
    names.forEach((name, n) => {
      // Sessions are dealt to five parts in turn: a part is learnt about from the four others.
      const { likings } = learnPreference(efforts.filter(({ session }) => names.indexOf(session) % 5 !== n % 5));
      const own = efforts.filter(({ session }) => session === name);
      let gain = 0;
      own.forEach((a, k) =>
        own.slice(k + 1).forEach((b) => {
          const right = a.catches.length / a.hours - b.catches.length / b.hours;
          if (right === 0) return;
          const plain = (one: Effort) => Math.max(0.1, one.stretch!.read!.share);
          const moved = (one: Effort) => plain(one) * likedAs(likings, one.stretch!.read!);
          pairs++;
          before += agrees(right, plain(a) - plain(b));
          after += agrees(right, moved(a) - moved(b));
          gain += agrees(right, moved(a) - moved(b)) - agrees(right, plain(a) - plain(b));
        }),
      );
      gains.set(name, gain);
    });
    const all = [...gains.values()];
    const mean = all.reduce((a, b) => a + b) / all.length;
    const error = Math.sqrt(all.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (all.length - 1) / all.length);
    return { pairs, before: before / pairs, after: after / pairs, better: mean > 0 && mean >= 1.282 * error };
  }

  const round = (trial: ReturnType<typeof triedPlainly> | null) =>
    trial && { ...trial, before: trial.before.toFixed(12), after: trial.after.toFixed(12) };

  test.each([
    [1, 7, 1],
    [2, 9, 4],
    [3, 12, 1.5],
    [4, 12, 5],
    [5, 14, 1],
    [6, 16, 2],
  ])("seed %i: %i sessions whose fish like one depth %f times as well", (seed, sessions, liked) => {
    const random = stream(seed);
    // Places of equal scores, of no score and of unlike hours among them.
    const efforts = season(sessions, liked, random).map((effort, k) => ({
      ...effort,
      hours: 0.5 + (k % 3) / 2,
      stretch: {
        ...effort.stretch!,
        read: { ...effort.stretch!.read!, share: k % 5 === 0 ? 0.02 : Math.round(effort.stretch!.read!.share * 5) / 5 },
      },
    }));
    expect(round(tryPreference(efforts))).toEqual(round(triedPlainly(efforts)));
  });

  test("what was not read, or has no hours, is no place of it", () => {
    const efforts = season(12, 4, stream(7));
    const nothing = [
      { ...efforts[0]!, stretch: undefined },
      { ...efforts[1]!, hours: 0 },
      { ...efforts[2]!, stretch: { ...efforts[2]!.stretch!, read: undefined } },
    ];
    expect(tryPreference([...efforts, ...nothing])).toEqual(tryPreference(efforts));
    expect(learnPreference([...efforts, ...nothing])).toEqual(learnPreference(efforts));
    expect(learnPreference(efforts).likings.map(({ key }) => key)).toEqual([
      "depth 1",
      "depth 2",
      "depth 3",
      "depth 4",
      "kind run",
      "speed 2",
    ]);
  });

  test("ten pairs are enough to say, nine are not", () => {
    const one = (session: string, fish: number[]) =>
      fish.map((count, k) => visit(session, 1, count, place("run", 0.2 + 0.3 * k, 0.3, 1)));
    // Five unlike places make ten pairs; two alike among them, nine.
    expect(tryPreference([...one("a", [0, 1, 2, 3, 4])])).toMatchObject({ pairs: 10, before: 0.5 });
    expect(tryPreference([...one("a", [0, 1, 2, 3, 3])])).toBeNull();
  });
});
