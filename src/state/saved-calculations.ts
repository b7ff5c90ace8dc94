import { answersSize } from "../store/answers";
import { database } from "../store/database";
import { answers } from "./kept-answers";

/** What was worked out and is kept: flows that are solved, and bytes of answers about them. */
export interface Calculations {
  fields: number;
  bytes: number;
}

export async function savedCalculations(): Promise<Calculations> {
  const of = answers();
  const bytes = of ? await answersSize(of).catch(() => 0) : 0;
  return { fields: await database().fields.count(), bytes };
}

/** Frees their space: all of it is worked out again when it is wanted. */
export async function deleteCalculations(): Promise<void> {
  await answers()?.answers.clear();
  await database().fields.clear();
}
