"use client";
import { type Numbered, numberLies, type NumberedPlace } from "../../scenario/lie-identity";
import type { Lie } from "../../core/fish/read";
import type { Reach } from "../../core/flow/reach-schema";
import { bedKey, cellOf } from "../../scenario/field";
import { keyOf } from "../../scenario/key";
import { lookKey, type ReachReading, readingKey, type ReadingRequest } from "../../scenario/reading";
import { reader } from "../../workers/clients";
import { answered } from "../kept-answers";
import { Queue } from "../queue";
import { type Stage, useStage, valueOf } from "../query";
import type { NamedField } from "./kept-fields";

const queue = new Queue();

/** A reading whose lies have numbers that stay with their places, under the name of the field it is of. */
export interface NumberedReading extends Omit<ReachReading, "lies"> {
  lies: Numbered<Lie>[];
  key: string;
  of: NamedField;
}

/** Numbers given so far, by bed and fish: "lie 3" stays the same place when the flow moves and its rank changes. */
const numbers = new Map<string, NumberedPlace[]>();
const MOST_SCOPES = 40;

/** Is it a solved field on the finest cells, and no picture on the way to one? */
const isWhole = ({ origin, field }: NamedField, reach: Reach): boolean =>
  (origin === "solved" || origin === "nearest") && field.cell <= cellOf(reach) * 1.001;

function numbered(reading: ReachReading, key: string, of: NamedField, reach: Reach, scope: string): NumberedReading {
  const { lies, known } = numberLies(reading.lies, numbers.get(scope) ?? []);
  // A picture on the way to the answer takes the numbers that are known; it gives none away.
  if (isWhole(of, reach)) {
    numbers.delete(scope);
    numbers.set(scope, known);
    if (numbers.size > MOST_SCOPES) numbers.delete(numbers.keys().next().value!);
  }
  return { ...reading, lies, key, of };
}

/** Reads a field in the worker, its turn come; the lies with their numbers. */
export async function readInTurn(
  of: NamedField,
  reach: Reach,
  request: ReadingRequest,
  signal: AbortSignal,
): Promise<NumberedReading> {
  const key = readingKey(of.key, request);
  const read = async () =>
    valueOf(await queue.run(() => reader.ask(async (api) => api.read(of.field, request)), signal));
  // A picture on the way to the answer is not seen again.
  const reading = await (isWhole(of, reach) ? answered("reading", key, read) : read());
  return numbered(reading, key, of, reach, keyOf(bedKey(reach), request.species.id));
}

/** The reading of a field for a fish on a day, worked out in the worker. */
export function useReading(
  shown: NamedField | undefined,
  reach: Reach | undefined,
  request: ReadingRequest | undefined,
): Stage<NumberedReading> {
  const ready = shown && reach && request;
  const key = ready && readingKey(shown.key, request);
  const bed = reach && bedKey(reach);
  return useStage(
    "reading",
    key,
    (signal) => readInTurn(shown!, reach!, request!, signal),
    // Only the flow may differ from an answer still shown: another fish, bed, clarity or hour is another question.
    ready && keyOf(bed, lookKey(request)),
  );
}
