/** The river of the sequences on the bank and in the log. */
import { emptyBook } from "../../src/core/book/log-contents";
import { sampleSeries } from "../../src/testing/book-samples";
import { DAY } from "../../src/core/gauge/series";
import { demoBook } from "../../src/demo/book";
import { NOW } from "./part";

/** Europe's clocks go back in the night before the last Sunday of October: 25 October 2026, 01:00 UTC. */
export const AUTUMN = Date.UTC(2026, 9, 24, 12);
export const LIES = ["jam", "pool", "tail"];
export const WEEK = 7 * DAY;

/** A reach whose gauge goes up and down by the hour, for six weeks. */
export function riverBook() {
  const { stations, reaches } = demoBook(NOW);
  const from = AUTUMN - 3 * WEEK;
  const flow = (hour: number) => 6 * Math.exp(0.4 * Math.sin(hour / 5) + 0.3 * Math.sin(hour / 31));
  const series = sampleSeries(from)(
    Array.from({ length: 6 * 7 * 24 }, (_, hour) => [hour, flow(hour)] as const),
    new Date(from).toISOString(),
  );
  const [station, reach] = [stations[0]!, reaches.find((one) => one.station === stations[0]!.id && !one.transfer)!];
  return {
    ...emptyBook(),
    stations: [station],
    reaches: [reach],
    series: [{ ...series, station: station.id, parameter: "discharge" as const, unit: "m3/s" }],
  };
}

/** Sums by name, in the order of the names: two of them can be held side by side. */
export const sorted = (sums: Map<string, number>) => [...sums].sort(([a], [b]) => (a < b ? -1 : 1));
