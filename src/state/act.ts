"use client";
import { asFault } from "../core/quantity/answer";
import type { Fault } from "../core/quantity/fault";
import { message } from "../core/quantity/message";
import type { Undo } from "../store/change";
import { tellFault } from "../words/messages";
import { say, useNotices } from "./notices";
import { useSettings } from "./settings";

/** Any error of the browser's database as a fault in the application's words. */
function storeFault(error: unknown): Fault {
  const name = (error as { name?: string } | null)?.name;
  const inner = (error as { inner?: { name?: string } } | null)?.inner?.name;
  if (name === "QuotaExceededError" || inner === "QuotaExceededError") return message("disk-full");
  const fault = asFault(error);
  return fault.code === "internal" ? message("not-kept", { detail: String(fault.values.detail) }) : fault;
}

/** Tells a fault where nothing else stands for it. */
export function sayFault(error: unknown): void {
  useNotices.getState().say(tellFault(storeFault(error), useSettings.getState().system), undefined, true);
}

/** The fault of a failed command, for a dialog that keeps what was typed. */
export const faultText = (error: unknown): string => tellFault(storeFault(error), useSettings.getState().system);

/** Runs work whose end nobody awaits: a failure is told as a notice. Event handlers go through here. */
export function act(work: () => Promise<unknown>): void {
  // Begun at once: an event must be prevented before its handler returns.
  try {
    work().catch(sayFault);
  } catch (error) {
    sayFault(error);
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
    sayFault(error);
    return false;
  }
}
