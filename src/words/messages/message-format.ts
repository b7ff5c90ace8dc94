import type { UnitSystem } from "../quantity";
import type { Message, MessageValue, MessageValues } from "../../core/quantity/message";
import { figureText, type Shown, showText } from "../quantity";

/** What a sentence is made with: quantities in the wanted units, and other messages. */
export interface MessageFormat {
  system: UnitSystem;
  /** A quantity, SI, with its unit. */
  of: (value: MessageValue, kind: Shown) => string;
  tell: (message: MessageValue) => string;
}

/** Sentences by the code of what is to be said. */
export type Words = Readonly<Record<string, (p: MessageValues, say: MessageFormat) => string>>;

const isMessage = (value: MessageValue): value is Message =>
  typeof value === "object" && value !== null && "code" in value;

export const messageFormat = (
  system: UnitSystem,
  tell: (message: Message, system: UnitSystem) => string,
): MessageFormat => ({
  system,
  of: (value, kind) => showText(typeof value === "number" ? value : null, kind, system),
  tell: (value) => (isMessage(value) ? tell(value, system) : String(value ?? "")),
});

export const listed = (values: MessageValue): string => (Array.isArray(values) ? values.map(String).join(", ") : "");

/** Columns of a file by name; those without one are told as empty. */
export const columns = (names: MessageValue): string =>
  Array.isArray(names) ? names.map((name) => String(name) || "(empty)").join(", ") : "";

export const fixed = (value: MessageValue, digits: number): string => figureText(Number(value), digits);

/** The first refused line of a file that holds nothing usable. */
export const firstRefused = (p: MessageValues, say: MessageFormat): string =>
  p.reason ? `: ${p.line ? `line ${String(p.line)}, ` : ""}${say.tell(p.reason)}` : "";
