import type { UnitSystem } from "./quantity";
import type { Fault } from "../core/quantity/fault";
import type { Message } from "../core/quantity/message";
import { BANK } from "./messages/bank";
import { APPLICATION } from "./messages/application";
import { ISSUES } from "./messages/issues";
import { LINES } from "./messages/lines";
import { MODELS } from "./messages/models";
import { READING } from "./messages/reading";
import { messageFormat, type Words } from "./messages/message-format";

/**
 * Every sentence, by the code of what it says; screens and the command line tell the same. Those of one station alone
 * join when it is opened (words/rig.ts), so that no other page loads them.
 */
export const WORDS: Record<string, Words[string]> = {
  ...READING,
  ...LINES,
  ...MODELS,
  ...ISSUES,
  ...BANK,
  ...APPLICATION,
};

/** Adds the sentences of a station. */
export const addWords = (more: Words): void => void Object.assign(WORDS, more);

/** A message as a sentence, or as part of one where it is a reason. */
export function messageText(message: Message, system: UnitSystem = "metric"): string {
  const words = WORDS[message.code];
  return words ? words(message.values, messageFormat(system, messageText)) : message.code;
}

/** A fault in a sentence, with its line where it has one. */
export const faultText = (fault: Fault, system: UnitSystem = "metric"): string =>
  `${messageText(fault, system)}${fault.line ? ` (line ${fault.line})` : ""}`;
