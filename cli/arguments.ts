import { closeSync, openSync, readSync, statSync } from "node:fs";
import { parseArgs } from "node:util";
import { InputError } from "../src/core/quantity/fault";
import { parseNumber } from "../src/core/quantity/number";

/** Options of a command: true where it takes a value. */
export type Options = Record<string, boolean>;

export interface Arguments {
  positional: string[];
  values: Record<string, string>;
  flags: Set<string>;
}

/**
 * Options and positional arguments by Node's own parser; what it lets through loosely is refused here, by name.
 * @throws InputError for an unknown option or a missing value
 */
export function parseArguments(args: readonly string[], options: Options): Arguments {
  const known: Options = { ...options, progress: false };
  const { tokens } = parseArgs({
    args: [...args],
    options: Object.fromEntries(
      Object.entries(known).map(([name, takes]) => [name, { type: takes ? "string" : "boolean" }] as const),
    ),
    allowPositionals: true,
    strict: false,
    tokens: true,
  });
  const parsed: Arguments = { positional: [], values: {}, flags: new Set() };
  for (const token of tokens) {
    if (token.kind === "positional") parsed.positional.push(token.value);
    if (token.kind !== "option") continue;
    const { name, value } = token;
    if (!Object.hasOwn(known, name) || !token.rawName.startsWith("--"))
      throw new InputError(
        "unknown-option",
        { name: name.slice(0, 100), known: Object.keys(known).map((one) => `--${one}`) },
        { path: `--${name.slice(0, 100)}` },
      );
    if (!known[name]) parsed.flags.add(name);
    else if (value === undefined) throw new InputError("missing-value", { name }, { path: `--${name}` });
    else parsed.values[name] = value;
  }
  return parsed;
}

export function only(args: Arguments, what: string): string {
  const [first, second] = args.positional;
  if (first === undefined) throw new InputError("missing-argument", { what });
  if (second !== undefined) throw new InputError("too-many-arguments", { what });
  return first;
}

/** A text option that must be given. */
export function demandOption(args: Arguments, name: string): string {
  const text = args.values[name];
  if (text === undefined) throw new InputError("missing-option", { name }, { path: `--${name}` });
  return text;
}

/** A number option; `fallback` where it was not given, an error where it must be. */
export function numberOption(args: Arguments, name: string, fallback?: number): number {
  const text = args.values[name];
  if (text === undefined && fallback !== undefined) return fallback;
  const number = parseNumber(demandOption(args, name));
  if (!number.ok) throw new InputError("bad-number-option", { name, why: number.message }, { path: `--${name}` });
  return number.value;
}

/** A number option within limits. */
export function boundedOption(args: Arguments, name: string, low: number, high: number, fallback?: number): number {
  const value = numberOption(args, name, fallback);
  if (value < low || value > high)
    throw new InputError("out-of-range", { name, low, high, value }, { path: `--${name}` });
  return value;
}

/** One of a few words. */
export function choiceOption<T extends string>(args: Arguments, name: string, known: readonly T[], fallback: T): T {
  const text = args.values[name] ?? fallback;
  const found = known.find((one) => one === text);
  if (!found) throw new InputError("bad-choice", { name, known, text: text.slice(0, 100) }, { path: `--${name}` });
  return found;
}

export function instantOption(args: Arguments, name: string): number | undefined {
  const text = args.values[name];
  if (text === undefined) return undefined;
  const time = /^\d{4}-\d{2}-\d{2}([T ].*)?$/.test(text)
    ? Date.parse(/[zZ]|[+-]\d{2}:?\d{2}$/.test(text.slice(10)) ? text : `${text}Z`)
    : NaN;
  if (Number.isNaN(time))
    throw new InputError("bad-time-option", { name, text: text.slice(0, 100) }, { path: `--${name}` });
  return time;
}

/** A field of a million cells is about 100 MB. */
const LARGEST = 128 * 1024 * 1024;
const CHUNK = 1 << 20;
/** Most of a name that a message repeats. */
const TOLD = 100;

/** Bytes of a file, or of standard input for "-": no more than are allowed are ever held. */
export function readBytes(path: string, largest = LARGEST): Buffer {
  const file = path.slice(0, TOLD);
  try {
    if (path !== "-" && statSync(path).isDirectory()) throw new InputError("a-folder", { path: file }, { file });
    return readAll(path === "-" ? 0 : openSync(path, "r"), file, largest);
  } catch (error) {
    if (error instanceof InputError) throw error;
    throw new InputError(
      "unreadable",
      { path: file, code: (error as NodeJS.ErrnoException).code ?? "unknown" },
      { file },
    );
  }
}

function readAll(descriptor: number, file: string, largest: number): Buffer {
  const parts: Buffer[] = [];
  let size = 0;
  try {
    for (;;) {
      const part = Buffer.allocUnsafe(CHUNK);
      const read = readSome(descriptor, part);
      if (read === 0) return Buffer.concat(parts, size);
      size += read;
      if (size > largest)
        throw new InputError("input-too-large", { path: file, megabytes: largest / 1048576 }, { file });
      parts.push(part.subarray(0, read));
    }
  } finally {
    if (descriptor !== 0) closeSync(descriptor);
  }
}

/** Standard input may have nothing yet, or its end said by an error. */
function readSome(descriptor: number, into: Buffer): number {
  for (;;) {
    try {
      return readSync(descriptor, into);
    } catch (error) {
      const { code } = error as NodeJS.ErrnoException;
      if (code === "EOF") return 0;
      if (code !== "EAGAIN") throw error;
      Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 10);
    }
  }
}

export const readText = (path: string): string => readBytes(path).toString("utf8");
