import type { UnitSystem } from "./quantity";
import type { Fault } from "../core/quantity/fault";
import type { Message } from "../core/quantity/message";
import { BANK } from "./messages/bank";
import { COMMANDS } from "./messages/commands";
import { ISSUES } from "./messages/issues";
import { LINES } from "./messages/lines";
import { MODELS } from "./messages/models";
import { READING } from "./messages/reading";
import { LURE } from "./messages/lure";
import { RIG } from "./messages/rig";
import { sayIn, type Words } from "./messages/say";

/** Every sentence, by the code of what it says; screens and the command line tell the same. */
export const WORDS: Words = { ...READING, ...LINES, ...MODELS, ...ISSUES, ...BANK, ...RIG, ...LURE, ...COMMANDS };

/** A message as a sentence, or as part of one where it is a reason. */
export function tell(message: Message, system: UnitSystem = "metric"): string {
  const words = WORDS[message.code];
  return words ? words(message.values, sayIn(system, tell)) : message.code;
}

/** A fault in a sentence, with its line where it has one. */
export const tellFault = (fault: Fault, system: UnitSystem = "metric"): string =>
  `${tell(fault, system)}${fault.line ? ` (line ${fault.line})` : ""}`;
