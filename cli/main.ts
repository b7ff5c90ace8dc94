import { type Fault, InputError } from "../src/core/quantity/fault";
import { message } from "../src/core/quantity/message";
import "../src/words/command-line";
import { messageText } from "../src/words/messages";
import { WholeFile } from "./command";
import { commandNamed, NAMES } from "./commands";
import { parseArguments } from "./arguments";

/** Runs one command: its JSON on standard output and 0, or one line of JSON on standard error and 2. */
export async function main(args: readonly string[]): Promise<number> {
  const [name, ...rest] = args;
  try {
    if (!name || name === "help" || name === "--help" || name === "-h") {
      process.stdout.write(`${await help(rest[0])}\n`);
      return 0;
    }
    const command = await commandNamed(name);
    if (!command) throw new InputError("unknown-command", { name: name.slice(0, 100), known: NAMES });
    if (rest.includes("--help")) {
      process.stdout.write(`${await help(name)}\n`);
      return 0;
    }
    const result = await command.run(parseArguments(rest, command.options));
    await write(result instanceof WholeFile ? result.content : `${JSON.stringify(result)}\n`);
    return 0;
  } catch (error) {
    process.stderr.write(`${JSON.stringify({ error: written(faultFor(error)) })}\n`);
    return 2;
  }
}

/** A reader that has gone away wants no more: that ends quietly. */
process.stdout.on("error", (error: NodeJS.ErrnoException) => {
  if (error.code !== "EPIPE") throw error;
});

const write = (text: string | Uint8Array): Promise<void> =>
  new Promise((done) => process.stdout.write(text, () => done()));

/** A fault as the contract has it: code, message, and where. */
function written({ code, values, ...where }: Fault) {
  const { file, line, path } = where;
  return {
    code,
    message: messageText({ code, values: short(values) as Fault["values"] }),
    ...(file === undefined ? {} : { file: short(file) }),
    ...(line === undefined ? {} : { line }),
    ...(path === undefined ? {} : { path: short(path) }),
  };
}

/** Most of a text given that a message repeats, characters. */
const REPEATED = 100;

/** A value with every text in it cut. */
function short(value: unknown): unknown {
  if (typeof value === "string") return value.length > REPEATED ? `${value.slice(0, REPEATED - 1)}…` : value;
  if (Array.isArray(value)) return value.map(short);
  if (value && typeof value === "object")
    return Object.fromEntries(Object.entries(value).map(([name, inner]) => [name, short(inner)]));
  return value;
}

/** Any fault as one line; a defect of ours says so, without a stack. */
function faultFor(error: unknown): Fault {
  if (error instanceof InputError) return error.fault;
  const detail = error instanceof Error ? error.message.split("\n")[0] : String(error);
  return message("internal", { detail });
}

async function help(name: string | undefined): Promise<string> {
  const one = name ? await commandNamed(name) : undefined;
  if (name && !one) throw new InputError("unknown-command", { name: name.slice(0, 100), known: NAMES });
  if (one) return `heron ${name} ${one.usage}\n\n${one.about}`;
  const lines = await Promise.all(
    NAMES.map(async (command) => `  heron ${command} ${(await commandNamed(command))!.usage}`),
  );
  return `Low Heron on the command line. Reads files or standard input (-) and writes one JSON document in SI units.\n\n${lines.join("\n")}\n\nRun heron help COMMAND for details. Bad input: exit 2 and one line of JSON on standard error.`;
}
