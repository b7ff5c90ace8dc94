import { type Message, message, type MessageValues } from "./message";

/**
 * A fault in what was handed in: what is wrong, as data, and where. Every reader and model throws this and only this
 * for bad input; the words floor tells it (src/words/messages.ts).
 */
export interface Fault extends Message {
  file?: string;
  /** Line of the file, from 1. */
  line?: number;
  /** Where in a structured document: `bed.z[4]`. */
  path?: string;
}

type Where = Omit<Fault, keyof Message>;

export class InputError extends Error {
  readonly fault: Fault;

  constructor(code: string, values: MessageValues = {}, where: Where = {}) {
    super(code);
    this.name = "InputError";
    this.fault = { ...message(code, values), ...where };
  }
}
