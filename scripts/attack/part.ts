/** What every part of the attack is made of. */
import { createHash } from "node:crypto";
import { InputError } from "../../src/core/quantity/fault";
import { faultText } from "../../src/words/messages";
import type { Random } from "./mutate";

/** One case: undefined when all is well, else what went wrong. */
type Case = (random: Random, k: number) => Promise<string | undefined> | string | undefined;

export interface Part {
  name: string;
  /** Share of the cases of a run. */
  share: number;
  trial: () => Case;
}

/** Cases whose input was taken, and not refused: an attack that is always refused at the door proves little. */
export const taken = { count: 0 };

/** Runs work that may refuse; anything but a fault told in a line is a failure. */
export function refusable(work: () => string | undefined): string | undefined {
  try {
    const wrong = work();
    taken.count++;
    return wrong;
  } catch (error) {
    return wrongFault(error);
  }
}

export function wrongFault(error: unknown): string | undefined {
  if (!(error instanceof InputError)) return `threw ${String((error as Error)?.stack ?? error).slice(0, 300)}`;
  const text = faultText(error.fault);
  if (text === error.fault.code) return `no words for ${error.fault.code}`;
  return undefined;
}

/** The hour of all that is made up. */
export const NOW = Date.UTC(2026, 4, 14, 14);
export const digest = (bytes: Uint8Array) => Promise.resolve(createHash("sha256").update(bytes).digest("hex"));
