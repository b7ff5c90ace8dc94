import { likedAs } from "../core/book/preference";
import { rankedAnew, type Reading, readWithScore } from "../core/fish/read";
import type { Field } from "../core/flow/grid";
import { wadingZones } from "../core/water/wading";
import type { ReachReading, ReadingRequest } from "./reading";

// Apart from reading.ts, so that a page carries the names of readings without the reader.

export function readReachWithScore(
  field: Field,
  request: ReadingRequest,
): { reading: ReachReading; score: Float64Array } {
  const { reading, score } = readWithScore(field, request);
  return { reading: { ...asLiked(reading, request.likings), wading: wadingZones(field) }, score };
}

/** The lies as this river's own fish have them: their scores moved, and ranked anew. */
function asLiked(reading: Reading, likings: ReadingRequest["likings"]): Reading {
  if (!likings?.length) return reading;
  const lies = reading.lies.map((lie) => {
    const liking = likedAs(likings, { kind: lie.place.kind, depth: lie.depth, speed: lie.focalSpeed });
    return { ...lie, score: lie.score * liking, factors: { ...lie.factors, liking } };
  });
  return { ...reading, lies: rankedAnew(lies) };
}

export const readReach = (field: Field, request: ReadingRequest): ReachReading =>
  readReachWithScore(field, request).reading;
