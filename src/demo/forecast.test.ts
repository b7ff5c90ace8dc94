import { backtest } from "../core/gauge/backtest";
import { seriesOf } from "../core/gauge/summary";
import { demoGauge } from "./book";

test("on the made-up record, a year held out: better than stillness at 24 h, and the 80 % band holds 70 to 90 %", () => {
  for (const now of [Date.UTC(2026, 10, 25, 8), Date.UTC(2026, 5, 1)]) {
    const tracks = backtest(seriesOf(demoGauge(now), "discharge")!);
    expect(tracks.map((track) => track.hours)).toEqual([12, 24, 48]);
    for (const track of tracks) {
      expect(track.cases).toBeGreaterThan(500);
      expect(track.medianError).toBeLessThan(0.8 * track.persistenceError);
      expect(track.coverage80).toBeGreaterThan(0.7);
      expect(track.coverage80).toBeLessThan(0.9);
    }
  }
});
