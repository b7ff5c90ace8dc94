"use client";
import type { Undo } from "../store/change";
import { isStoreFailure, mayBeRepeated, storeFault } from "../store/failure";
import { faultText } from "../words/messages";
import { goOnInMemory } from "./memory-day";
import { say, useNotices } from "./notices";
import { useSettings } from "./settings";

/** What could not be kept. */
export interface Unkept {
  text: string;
  /** Does it in memory, and goes on there: where the browser's store failed, and not what was to be kept. */
  inMemory?: () => void;
  /** Does it once more, where that may help. */
  retry?: () => void;
}

/** Why something could not be kept, and what else can be done with it; `again` does it once more. */
export const unkept = (error: unknown, again: () => Promise<unknown>): Unkept => ({
  text: faultText(storeFault(error), useSettings.getState().system),
  inMemory: isStoreFailure(error) ? () => act(() => goOnInMemory(again)) : undefined,
  retry: mayBeRepeated(error) ? () => act(again) : undefined,
});

/** Tells a fault where nothing else stands for it, with the ways on for what may be done again. */
function sayFault(error: unknown, again: () => Promise<unknown>): void {
  const { text, inMemory } = unkept(error, again);
  const notices = useNotices.getState();
  if (!mayBeRepeated(error)) return notices.say(text, undefined, true);
  const memory = inMemory && { label: "Use a temporary log", run: inMemory };
  notices.wait(text, { label: "Retry", run: () => act(again) }, memory);
}

/** Tells of a failure that costs only time: what is worked out anew when it is next wanted. */
export const sayLost = (error: unknown): void =>
  useNotices.getState().say(faultText(storeFault(error), useSettings.getState().system), undefined, true);

/** Runs work whose end nobody awaits: a failure is told as a notice. Event handlers go through here. */
export function act(work: () => Promise<unknown>): void {
  // Begun at once: an event must be prevented before its handler returns.
  try {
    work().catch((error: unknown) => sayFault(error, work));
  } catch (error) {
    sayFault(error, work);
  }
}

/**
 * Runs a command and says that it is done, with its undo; or tells its fault.
 * @returns whether it was done
 */
export async function perform(command: () => Promise<Undo>, done?: string, afterUndo?: () => void): Promise<boolean> {
  try {
    const undo = await command();
    if (done !== undefined)
      say(done, {
        label: "Undo",
        run: () => act(() => undo().then(() => afterUndo?.())),
      });
    return true;
  } catch (error) {
    sayFault(error, () => perform(command, done, afterUndo));
    return false;
  }
}
