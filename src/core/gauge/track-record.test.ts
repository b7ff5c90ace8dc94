import { backtest, BACKTEST_HOURS } from "./backtest";
import { figures, nearestOf, pathOf, recordOf, start, STEPS, wandering, wholeOnes } from "../../testing/plain-forecast";
import { STEP } from "./forecast";
import { recessionLaw } from "./recession-law";

test("the track record is that of each held-out step tried by itself with what was known then", () => {
  const lnQ = wandering(900, 16);
  lnQ[640] = NaN;
  lnQ[880] = NaN;
  const skills = backtest(recordOf(lnQ));
  // The last third is held out.
  const first = 900 - 900 / 3;
  const known = wholeOnes(lnQ);
  const scaledBy = known.filter((n) => n + STEPS <= first);
  const law = recessionLaw([...lnQ.keys()].slice(0, first + 1).map((n) => ({ time: start + n * STEP, lnQ: lnQ[n]! })))!;
  const tried = BACKTEST_HOURS.map(() => [] as { error: number; still: number; held: boolean; tenth: number }[]);
  for (let k = first; k < lnQ.length; k++) {
    if (figures(lnQ, k).some(Number.isNaN)) continue;
    const before = known.filter((n) => n + STEPS <= k);
    if (before.length < 730) continue;
    const taken = nearestOf(lnQ, figures(lnQ, k), before, scaledBy);
    const lower = taken.filter((n) => lnQ[n]! < lnQ[k]!).length;
    const paths = taken.map((n) => pathOf(lnQ, n, lnQ[k]!, lower < 6 ? law.b : 1));
    BACKTEST_HOURS.forEach((hours, c) => {
      const h = hours / 6;
      const change = lnQ[k + h]! - lnQ[k]!;
      if (Number.isNaN(change)) return;
      const sorted = paths.map((path) => path[h - 1]!).sort((a, b) => a - b);
      // Hyndman & Fan 1996, type 7.
      const at = (q: number) => {
        const [low, share] = [Math.floor(59 * q), (59 * q) % 1];
        return sorted[low]! * (1 - share) + sorted[low + 1]! * share;
      };
      tried[c]!.push({
        error: Math.abs(Math.exp(at(0.5)) / Math.exp(change) - 1),
        still: Math.abs(1 / Math.exp(change) - 1),
        held: at(0.1) <= change && change <= at(0.9),
        tenth: Math.min(9, Math.floor(sorted.filter((x) => x < change).length / 6)),
      });
    });
  }
  const middle = (values: number[]) => {
    const sorted = values.sort((a, b) => a - b);
    const half = sorted.length / 2;
    return sorted.length % 2 ? sorted[Math.floor(half)]! : (sorted[half - 1]! + sorted[half]!) / 2;
  };
  expect(skills.map(({ hours }) => hours)).toEqual([12, 24, 48]);
  skills.forEach((skill, c) => {
    const own = tried[c]!;
    expect(skill.cases).toBe(own.length);
    expect(skill.medianError).toBeCloseTo(middle(own.map(({ error }) => error)), 9);
    expect(skill.persistenceError).toBeCloseTo(middle(own.map(({ still }) => still)), 9);
    expect(skill.coverage80).toBeCloseTo(own.filter(({ held }) => held).length / own.length, 12);
    expect(skill.tenths).toEqual(
      Array.from({ length: 10 }, (_, tenth) => own.filter((one) => one.tenth === tenth).length),
    );
  });
});

test("thirty held-out steps make a track record, fewer make none", () => {
  // One state past 730 for each step that can be tried; twelve hours need two steps more.
  const length = 730 + 4 + STEPS;
  const casesOf = (more: number) =>
    backtest(recordOf(wandering(length + more, 17))).map(({ hours, cases }) => [hours, cases]);
  expect(casesOf(31)).toEqual([[12, 30]]);
  expect(casesOf(30)).toEqual([]);
});
