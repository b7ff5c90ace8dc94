import type { z } from "zod";
import { type Fault, InputError } from "./fault";
import { type Message, message } from "./message";

type Issue = z.core.$ZodIssue;

/** Where an issue lies, as `bed.z[4]`. */
export const pathOf = (issue: Pick<Issue, "path">): string =>
  issue.path
    .map((step) => (typeof step === "number" ? `[${step}]` : `.${String(step)}`))
    .join("")
    .replace(/^\./, "");

/** A rule's name, and what its sentence tells. */
type Custom = { rule?: string; values?: Message["values"] } | undefined;

/** Longest text of a value that is shown. */
const SHOWN = 40;

/** What was read, as it can be shown: a number or a text; undefined of what is neither, or is not known. */
function readOf({ input }: Issue): string | number | undefined {
  if (typeof input === "number" || typeof input === "bigint") return Number(input);
  return typeof input === "string" ? input.slice(0, SHOWN) : undefined;
}

/** What a schema found wrong with one value, as a message; the value is known where the schema reports its input. */
export function messageOf(issue: Issue): Message {
  const read = readOf(issue);
  switch (issue.code) {
    case "invalid_type":
      return message("wrong-type", { expected: issue.expected, missing: issue.input === undefined, read });
    case "too_small":
      return message("under-least", { least: Number(issue.minimum), allowed: issue.inclusive, of: issue.origin, read });
    case "too_big":
      return message("over-most", { most: Number(issue.maximum), allowed: issue.inclusive, of: issue.origin, read });
    case "invalid_value":
      return message("not-one-of", { known: issue.values.map(String) });
    case "unrecognized_keys":
      return message("unknown-keys", { keys: issue.keys });
    case "invalid_format":
      return message("wrong-format", { format: issue.format });
    case "custom":
      return message(String((issue.params as Custom)?.rule ?? "not-valid"), (issue.params as Custom)?.values);
    default:
      return message("not-valid");
  }
}

/**
 * The fault of data that a schema refused: the first issue, at its path.
 * @throws InputError with `code`, its values `path` and `issue`
 */
export function refuse(error: z.ZodError, code: string, where: Pick<Fault, "file" | "line"> = {}): never {
  const issue = error.issues[0]!;
  const path = pathOf(issue);
  throw new InputError(code, { path, issue: messageOf(issue) }, { ...where, path });
}
