import type { MessageValues } from "../../core/quantity/message";
import { listed, type Words } from "./message-format";

const TYPES: Readonly<Record<string, string>> = {
  number: "a number",
  int: "a whole number",
  string: "a text",
  array: "a list",
  object: "an object",
  boolean: "true or false",
  tuple: "a pair",
};

/** What was read, before what is wanted. */
const readFirst = ({ read }: MessageValues, then = ""): string =>
  read === undefined ? "" : `${typeof read === "number" ? String(read) : `“${String(read)}”`} was found, but ${then}`;

/** What a schema found wrong with one value. */
export const ISSUES: Words = {
  "wrong-type": (p) =>
    `${p.missing && p.read === undefined ? "nothing is there; " : readFirst(p)}${TYPES[String(p.expected)] ?? String(p.expected)} is needed`,
  "under-least": (p) =>
    p.of === "string" || p.of === "array"
      ? `at least ${p.least} wanted`
      : `${readFirst(p, "it ")}must be ${p.allowed ? `${p.least} or more` : `above ${p.least}`}`,
  "over-most": (p) =>
    p.of === "string" || p.of === "array"
      ? `at most ${p.most} allowed`
      : `${readFirst(p, "it ")}must be ${p.allowed ? `${p.most} or less` : `under ${p.most}`}`,
  "not-one-of": (p) => `must be one of ${listed(p.known)}`,
  "unknown-keys": (p) => `unknown: ${listed(p.keys)}`,
  "wrong-format": (p) => (p.format === "datetime" ? "must be an ISO 8601 instant" : "has the wrong format"),
  "not-valid": () => "is not valid",
  "must-ascend": () => "must ascend",
  "times-and-values": () => "times and values must be of one length",
  "beyond-its-kind": () => "is no reading of that kind",
  "ends-before-it-begins": () => "must not end before it begins",
  "no-such-stamp": () => "names a time that the series lacks",
  "not-the-reach": () => "must be the reach's own id",
  "bait-unknown": () => "needs a kind of bait or its weight",
  "measure-missing": () => "is missing for this kind of tackle",
  "measure-foreign": () => "doesn’t apply to this kind of tackle",
  "not-the-profile": () => "must be the profile's own id",
  "unknown-base": () => "must be a fish that this version knows",
};
