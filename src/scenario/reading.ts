import type { Liking } from "../core/book/preference";
import type { Reading } from "../core/fish/read";
import type { Species } from "../core/fish/species-schema";
import type { Feature } from "../core/flow/reach-schema";
import type { Wading } from "../core/water/wading";
import type { Conditions } from "./conditions";
import { keyOf } from "./key";

/** Second stage: what a field shows, and where a fish would hold in it. */
export interface ReadingRequest {
  /** As it lives at this time of its year. */
  species: Species;
  visibleDepth: number;
  temperature: number;
  light: Conditions["light"];
  features: readonly Feature[] | undefined;
  /** What this river's own fish like beside the model (core/book/preference.ts); undefined: the model alone. */
  likings?: readonly Pick<Liking, "key" | "factor">[];
}

/** A reading with what may be waded. */
export interface ReachReading extends Reading {
  wading: Wading;
}

export const readingRequest = (
  species: Species,
  { visibleDepth, temperature, light }: Pick<Conditions, "visibleDepth" | "temperature" | "light">,
  features: readonly Feature[] | undefined,
  likings?: ReadingRequest["likings"],
): ReadingRequest => ({ species, visibleDepth, temperature, light, features, ...(likings?.length && { likings }) });

/** What a fish and a day make of any field of a reach: the part of the key that the flow does not change. */
export const lookKey = (request: ReadingRequest): string => keyOf(request);

export const readingKey = (field: string, request: ReadingRequest): string => keyOf("reading", field, lookKey(request));
