import type { Arguments, Options } from "./arguments";
import { flow } from "./flow";
import { gauge } from "./gauge";
import { rates } from "./rates";
import { rating } from "./rating";
import { read } from "./read";
import { rig } from "./rig";
import { soundings } from "./soundings";

export interface Command {
  usage: string;
  about: string;
  options: Options;
  run: (args: Arguments) => unknown;
}

export const commands: Record<string, Command> = { gauge, rating, flow, read, rig, rates, soundings };
