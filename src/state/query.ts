"use client";
import { QueryClient, useQuery } from "@tanstack/react-query";
import { type Answer, asFault } from "../core/quantity/answer";
import type { Fault } from "../core/quantity/fault";

/**
 * Answers by their question: an answer is kept under its key alone and never shown under another. Nothing is asked
 * twice, nothing is asked again by itself, and no network is waited for.
 */
export const newQueryClient = (): QueryClient =>
  new QueryClient({
    defaultOptions: {
      queries: {
        retry: false,
        staleTime: Infinity,
        gcTime: 120_000,
        networkMode: "always",
        refetchOnMount: false,
        refetchOnReconnect: false,
        refetchOnWindowFocus: false,
        structuralSharing: false,
      },
    },
  });

/** What is known of one question. */
export interface Stage<T> {
  value: T | undefined;
  /** The value is that of the question before, while the newer answer is on its way. */
  earlier: boolean;
  /** The answer is on its way. */
  pending: boolean;
  fault: Fault | undefined;
  retry: () => void;
}

/** A failed answer as an error that carries its fault. */
class Refused extends Error {
  constructor(readonly fault: Fault) {
    super(fault.code);
  }
}

/** The value of an answer, or its fault thrown. */
export function valueOf<T>(answer: Answer<T>): T {
  if (!answer.ok) throw new Refused(answer.fault);
  return answer.value;
}

/**
 * One stage of the scenario under its key. With no key nothing is asked. An earlier answer is shown, and said to be so,
 * only while `kin` stays the same: what else than the flow has changed makes it no answer at all.
 */
export function useStage<T>(
  name: string,
  key: string | false | null | undefined,
  run: (signal: AbortSignal) => Promise<T>,
  scope?: string | false | null,
): Stage<T> {
  const query = useQuery<T, Error, T, readonly unknown[]>({
    queryKey: [name, scope || null, key || null],
    queryFn: ({ signal }) => run(signal),
    enabled: Boolean(key),
    placeholderData:
      // The question before it must be kin; then its answer stands, said to be the earlier one.
      (previous, before) => (scope && before?.queryKey[1] === scope ? previous : undefined),
  });
  return {
    value: key ? query.data : undefined,
    earlier: query.isPlaceholderData,
    pending: Boolean(key) && query.fetchStatus === "fetching",
    fault: query.error && key ? asFault(query.error) : undefined,
    retry: () => {
      query.refetch().catch(() => undefined);
    },
  };
}
