import type { Arguments, Options } from "./arguments";

/** One command of the headless application. */
export interface Command {
  usage: string;
  about: string;
  options: Options;
  run: (args: Arguments) => unknown;
}

/** A file as the answer of a command, instead of a JSON document. */
export class WholeFile {
  constructor(readonly content: string | Uint8Array) {}
}
