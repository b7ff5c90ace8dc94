import { readFileSync, statSync } from "node:fs";
import { InputError } from "../src/core/quantity/fault";

/** Options of a command: true where it takes a value. */
export type Options = Record<string, boolean>;

export interface Arguments {
  positional: string[];
  values: Record<string, string>;
  flags: Set<string>;
}

export function parseArguments(args: readonly string[], options: Options): Arguments {
  const known: Options = { ...options, progress: false };
  const parsed: Arguments = { positional: [], values: {}, flags: new Set() };
  for (let k = 0; k < args.length; k++) {
    const arg = args[k]!;
    if (!arg.startsWith("--")) {
      parsed.positional.push(arg);
      continue;
    }
    const [name, inline] = arg.slice(2).split(/=(.*)/s) as [string, string | undefined];
    if (!(name in known))
      throw new InputError(
        "unknown-option",
        `--${name} is not an option here. Known: ${Object.keys(known)
          .map((one) => `--${one}`)
          .join(", ")}.`,
        { path: `--${name}` },
      );
    if (!known[name]) {
      parsed.flags.add(name);
      continue;
    }
    const value = inline ?? args[++k];
    if (value === undefined) throw new InputError("missing-value", `--${name} wants a value.`, { path: `--${name}` });
    parsed.values[name] = value;
  }
  return parsed;
}

export function only(args: Arguments, what: string): string {
  const [first, second] = args.positional;
  if (first === undefined) throw new InputError("missing-argument", `Give ${what}.`);
  if (second !== undefined) throw new InputError("too-many-arguments", `Only one argument is taken: ${what}.`);
  return first;
}

/** A number option; `fallback` where it was not given, an error where it must be. */
export function numberOption(args: Arguments, name: string, fallback?: number): number {
  const text = args.values[name];
  if (text === undefined) {
    if (fallback !== undefined) return fallback;
    throw new InputError("missing-option", `--${name} must be given.`, { path: `--${name}` });
  }
  const value = Number(text);
  if (text.trim() === "" || !Number.isFinite(value))
    throw new InputError("bad-number", `--${name} must be a number; it is “${text}”.`, { path: `--${name}` });
  return value;
}

export function instantOption(args: Arguments, name: string): number | undefined {
  const text = args.values[name];
  if (text === undefined) return undefined;
  const time = /^\d{4}-\d{2}-\d{2}([T ].*)?$/.test(text)
    ? Date.parse(/[zZ]|[+-]\d{2}:?\d{2}$/.test(text.slice(10)) ? text : `${text}Z`)
    : NaN;
  if (Number.isNaN(time))
    throw new InputError("bad-time", `--${name} must be an ISO 8601 time; it is “${text}”.`, { path: `--${name}` });
  return time;
}

const LARGEST = 256 * 1024 * 1024;

/** Bytes of a file, or of standard input for "-". */
export function readBytes(path: string): Buffer {
  try {
    if (path !== "-") {
      const stat = statSync(path);
      if (stat.isDirectory()) throw new InputError("unreadable", `${path} is a folder.`, { file: path });
      if (stat.size > LARGEST) throw new InputError("too-large", `${path} is larger than 256 MB.`, { file: path });
    }
    return readFileSync(path === "-" ? 0 : path);
  } catch (error) {
    if (error instanceof InputError) throw error;
    throw new InputError(
      "unreadable",
      `${path} cannot be read: ${(error as NodeJS.ErrnoException).code ?? "unknown"}.`,
      { file: path },
    );
  }
}

export const readText = (path: string): string => readBytes(path).toString("utf8");
