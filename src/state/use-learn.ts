"use client";
import { useMemo } from "react";
import type { RateKind } from "../core/book/rate-terms";
import type { Comparison, Rates } from "../core/book/rates";
import type { Signal } from "../core/book/signals";
import type { SmoothPoint } from "../core/book/smooth-rate";
import { keyOf } from "../scenario/key";
import type { LearnScope, Side } from "../store/learn-api";
import { waterWorker } from "../store/water-client";
import { rateScale } from "../words/rates";
import { useLogState } from "./log-state";
import { useKeptStage } from "./kept-answers";
import { type Stage, valueOf } from "./query";
import { useSettings } from "./settings";
import type { BookView } from "./use-book";

/** What is asked of the log, with the name of its state: an answer of an earlier book is none of this one. */
export interface Learning {
  scope: LearnScope;
  version: string | undefined;
}

export function useLearning(book: BookView, reach: string | null, minute: number): Learning {
  const { system } = useSettings();
  const version = useLogState();
  // The clock matters only while something is fished.
  const now = book.running ? minute : 0;
  return useMemo(
    () => ({
      scope: { reach, species: null, scale: rateScale(system), now },
      version: book.ready ? version : undefined,
    }),
    [reach, system, now, version, book.ready],
  );
}

const useAsked = <T>(name: string, { scope, version }: Learning, what: unknown, run: () => Promise<T>): Stage<T> =>
  useKeptStage(name, version && keyOf(name, what, scope, version), run, version && keyOf(name, what));

export const useRates = (learning: Learning, kind: RateKind): Stage<Rates> =>
  useAsked("rates", learning, kind, async () =>
    valueOf(await waterWorker.ask(async (api) => api.rates(kind, learning.scope))),
  );

export const useSignals = (learning: Learning): Stage<Signal[]> =>
  useAsked("signals", learning, null, async () =>
    valueOf(await waterWorker.ask(async (api) => api.signals(learning.scope))),
  );

export const useSmooth = (learning: Learning): Stage<SmoothPoint[]> =>
  useAsked("smooth", learning, null, async () =>
    valueOf(await waterWorker.ask(async (api) => api.smooth(learning.scope))),
  );

export const useComparison = (learning: Learning, one: Side, other: Side): Stage<Comparison | null> =>
  useAsked("compare", learning, [one, other], async () =>
    valueOf(await waterWorker.ask(async (api) => api.compare(one, other, learning.scope))),
  );
