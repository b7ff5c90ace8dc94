import { XMLParser, XMLValidator } from "fast-xml-parser";
import { InputError } from "../quantity/fault";
import { demandText } from "./gauge-text";

export type XmlNode = Record<string, unknown>;

/** A parser without prefixes, entities or guessed numbers; the named elements always come as lists. */
export const xmlParser = (lists: readonly string[]): XMLParser =>
  new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: "@",
    removeNSPrefix: true,
    parseTagValue: false,
    parseAttributeValue: false,
    processEntities: false,
    trimValues: true,
    isArray: (name) => lists.includes(name),
  });

/** Parses XML that declares neither a document type nor entities; every fault is located. */
export function parseXml(source: string, parser: XMLParser, file?: string): XmlNode {
  demandText(source, file);
  if (/<!DOCTYPE|<!ENTITY/i.test(source))
    throw new InputError(
      "doctype",
      {},
      {
        file,
        line: source.slice(0, source.search(/<!(DOCTYPE|ENTITY)/i)).split("\n").length,
      },
    );
  const fault = XMLValidator.validate(source);
  if (fault !== true)
    throw new InputError(
      "not-xml",
      { detail: fault.err.msg },
      {
        file,
        line: fault.err.line,
      },
    );
  try {
    return parser.parse(source) as XmlNode;
  } catch (error) {
    // The validator passes some texts that the parser then refuses.
    throw new InputError("not-xml", { detail: error instanceof Error ? error.message : undefined }, { file });
  }
}

export const asNode = (value: unknown): XmlNode | undefined =>
  typeof value === "object" && value !== null && !Array.isArray(value) ? (value as XmlNode) : undefined;
export const listOf = (value: unknown): unknown[] =>
  Array.isArray(value) ? value : value === undefined ? [] : [value];
export const textOf = (value: unknown): string =>
  (typeof value === "string" ? value : String(asNode(value)?.["#text"] ?? "")).trim();
