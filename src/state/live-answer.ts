"use client";
import { useLiveQuery } from "dexie-react-hooks";

/** What a question hangs on: plain values, so that two of them can be compared. */
type Question = readonly (string | number | boolean | null | undefined)[];

/**
 * What the browser's database answers to a question, and again whenever that changes. An answer belongs to its
 * question: while another is asked nothing is given (undefined), never what was answered before.
 * @param question all that `run` hangs on beyond the database
 */
export function useLiveAnswer<T>(run: () => Promise<T> | T, question: Question): T | undefined {
  const key = JSON.stringify(question);
  const answer = useLiveQuery(async () => ({ key, value: await run() }), [key]);
  return answer?.key === key ? answer.value : undefined;
}
