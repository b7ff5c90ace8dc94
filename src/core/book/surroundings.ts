import type { Series } from "../gauge/series";
import { UNIT_OF } from "../gauge/series";
import type { Surroundings, AroundReach } from "./classes";
import type { ReachRecord, SeriesRecord, StationRecord, WaterRecord } from "./records";

/** A kept series as the gauge's sums read it. */
export const seriesOfRecord = ({
  parameter,
  times,
  values,
}: Pick<SeriesRecord, "parameter" | "times" | "values">): Series => ({
  parameter,
  unit: UNIT_OF[parameter],
  times: Float64Array.from(times),
  values: Float64Array.from(values, (value) => value ?? NaN),
});

/**
 * What is known of the waters of a book: where they lie, their tide and full pool, the glass at their gauge.
 * @param pressures air pressure by station
 */
export function surroundingsOf(
  book: {
    reaches: readonly ReachRecord[];
    stations: readonly StationRecord[];
    waters: readonly WaterRecord[];
  },
  pressures: ReadonlyMap<string, Series>,
  clockOf: Surroundings["clockOf"],
): Surroundings {
  const reaches = book.reaches.map(({ id, station, reach }): [string, AroundReach] => {
    const gauge = book.stations.find((one) => one.id === station && !one.deleted);
    const water = book.waters.find((one) => one.id === station && !one.deleted);
    return [
      id,
      {
        name: reach.name,
        latitude: reach.latitude ?? gauge?.latitude ?? null,
        longitude: reach.longitude ?? gauge?.longitude ?? null,
        pressure: station === null ? undefined : pressures.get(station),
        water,
      },
    ];
  });
  return { reaches: new Map(reaches), clockOf };
}
