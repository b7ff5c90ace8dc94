import type { Arguments, Options } from "./arguments";

/** One command of the headless application. */
export interface Command {
  usage: string;
  about: string;
  options: Options;
  run: (args: Arguments) => unknown;
}
