"use client";
import { AnswerStore, keepAnswer, keptAnswer } from "../store/answers";
import { database } from "../store/database";
import { type Stage, useStage } from "./query";

/** A browser that does not say within so long what it keeps is not waited for, ms: working it out is never held up. */
const PATIENCE = 1000;

/** Models of this build; answers of others are not used. */
const MODELS = process.env.NEXT_PUBLIC_MODELS ?? "unbuilt";

let store: AnswerStore | undefined;
/** The browser has refused, or does not answer. */
let refused = false;
/** Where answers are kept; nowhere with a log in memory, or where the browser refuses. */
export const answers = (): AnswerStore | undefined =>
  refused || database().inMemory ? undefined : (store ??= new AnswerStore(MODELS));

const late = (): Promise<"late"> => new Promise((resolve) => setTimeout(() => resolve("late"), PATIENCE));

async function kept(key: string): Promise<{ value: unknown } | undefined> {
  const from = answers();
  if (!from) return undefined;
  const asked = keptAnswer(from, key, Date.now());
  const found = await Promise.race([asked, late()]).catch(() => "failed" as const);
  if (found !== "late" && found !== "failed") return found;
  // Nothing but time is lost. One that is only slow, as on a phone that has just woken, is asked again once it answers.
  refused = true;
  asked.then(
    () => (refused = false),
    () => undefined,
  );
  return undefined;
}

/**
 * The answer to a question that was worked out before, by any page of this version, or else worked out now and kept.
 * @param key all that the answer hangs on
 * @param signal of who asks: aborted, the answer is not kept
 */
export async function answered<T>(
  stage: string,
  key: string,
  work: () => Promise<T>,
  signal?: AbortSignal,
): Promise<T> {
  const full = `${stage} ${key}`;
  const before = await kept(full);
  if (before) return before.value as T;
  const value = await work();
  // What nobody waits for any more may be of a log that has changed meanwhile.
  const to = signal?.aborted ? undefined : answers();
  // It is shown before it is kept; what cannot be kept is worked out again.
  if (to) keepAnswer(to, full, value, Date.now()).catch(() => undefined);
  return value;
}

/** One stage of the scenario under its key, kept from before or worked out. */
export const useKeptStage = <T>(
  name: string,
  key: string | false | null | undefined,
  run: (signal: AbortSignal) => Promise<T>,
  scope?: string | false | null,
): Stage<T> => useStage(name, key, (signal) => answered(name, key as string, () => run(signal), signal), scope);
