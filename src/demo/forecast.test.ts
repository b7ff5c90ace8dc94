import { backtest } from "../core/gauge/backtest";
import { seriesOf } from "../core/gauge/summary";
import { demoGauge } from "./book";

test("on the made-up record, a year held out: better than the plain sayings, and the 80 % band holds 70 to 90 %", () => {
  for (const now of [Date.UTC(2026, 10, 25, 8), Date.UTC(2026, 5, 1)]) {
    const tracks = backtest(seriesOf(demoGauge(now), "discharge")!);
    expect(tracks.map((track) => track.hours)).toEqual([3, 6, 12, 24, 48, 72, 120]);
    for (const track of tracks) {
      expect(track.cases).toBeGreaterThan(150);
      expect(track.medianError).toBeLessThan(
        Math.min(track.persistenceError, track.yesterdayError, track.lastWeekError),
      );
      expect(track.coverage80).toBeGreaterThan(0.7);
      expect(track.coverage80).toBeLessThan(0.9);
    }
  }
});
