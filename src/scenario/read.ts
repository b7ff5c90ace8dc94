import { readWithScore } from "../core/fish/read";
import type { Field } from "../core/flow/grid";
import { wadingZones } from "../core/water/wading";
import type { ReachReading, ReadingRequest } from "./reading";

// Apart from reading.ts, so that a page carries the names of readings without the reader.

export function readReachWithScore(
  field: Field,
  request: ReadingRequest,
): { reading: ReachReading; score: Float64Array } {
  const { reading, score } = readWithScore(field, request);
  return { reading: { ...reading, wading: wadingZones(field) }, score };
}

export const readReach = (field: Field, request: ReadingRequest): ReachReading =>
  readReachWithScore(field, request).reading;
