import { type Message, message } from "./message";

/** A number read from text, or why it is none. */
export type ParsedNumber = { ok: true; value: number } | { ok: false; message: Message };

export type DecimalMark = "." | ",";

const SPACES = /[\s\u00a0\u202f'’]/g;
/** Digits grouped by threes, by spaces or apostrophes. */
const GROUPED = /^\d{1,3}(?:[\s\u00a0\u202f'’]\d{3})+(?:[.,]\d+)?$/;
const FRACTION = /^(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/;
const EXPONENT = /^(\d+\.?\d*|\.\d+)e[+-]?\d+$/i;

/**
 * Which mark parts the decimals of a text, by the text alone; "none" without one, undefined where it could be either:
 * one comma before exactly three digits, and no nought before it ("1,234" is 1.234 or 1234).
 */
function markOf(text: string): DecimalMark | "none" | undefined {
  const [commas, points] = [text.split(",").length - 1, text.split(".").length - 1];
  if (commas === 0) return points === 0 ? "none" : points === 1 ? "." : ",";
  if (points > 0) return text.lastIndexOf(",") > text.lastIndexOf(".") ? "," : ".";
  if (commas > 1) return ".";
  return /^[1-9]\d{0,2},\d{3}$/.test(text) ? undefined : ",";
}

/** The decimal mark of a column of numbers: what its clear members use; undefined where none tells. */
export function decimalMarkOf(texts: Iterable<string>): DecimalMark | undefined {
  for (const text of texts) {
    const body = text.trim().replace(/^[+-]/, "");
    // A point before three digits tells as little as a comma does.
    const mark = /^[1-9]\d{0,2}\.\d{3}$/.test(body) ? undefined : markOf(body);
    if (mark === "." || mark === ",") return mark;
  }
  return undefined;
}

/** Digits with their groups taken out and a point for the decimal mark, or null where the groups are no threes. */
function plain(text: string, mark: DecimalMark): string | null {
  const group = mark === "." ? "," : ".";
  const [whole = "", decimals, ...more] = text.split(mark);
  if (more.length > 0 || decimals?.includes(group)) return null;
  const parts = whole.split(group);
  if (parts.length > 1 && !(parts[0]!.length <= 3 && parts[0] !== "" && parts.slice(1).every((p) => p.length === 3)))
    return null;
  return decimals === undefined ? parts.join("") : `${parts.join("")}.${decimals}`;
}

/**
 * Reads a number as people and files write it: `0,5`, `1.234,5`, `1,234.5`, `1 234`, `1 3/4`, `1/8`, `1e-3`. Where a
 * comma could be either mark it is asked about, never guessed; `mark` says which one it is, where that is known.
 */
export function parseNumber(text: string, mark?: DecimalMark): ParsedNumber {
  const trimmed = text.trim();
  if (trimmed === "") return refused("nothing-entered");
  const sign = /^[-\u2212]/.test(trimmed) ? -1 : 1;
  const body = trimmed.replace(/^[+\-\u2212]\s*/, "");
  const fraction = FRACTION.exec(body);
  if (fraction) {
    const [, whole = "0", top, bottom] = fraction;
    return finite(sign * (Number(whole) + Number(top) / Number(bottom)), trimmed);
  }
  if (EXPONENT.test(body)) return finite(sign * Number(body), trimmed);
  const digits = GROUPED.test(body) ? body.replace(SPACES, "") : body;
  if (!/^(?=.*\d)[\d.,]+$/.test(digits)) return refused("not-a-number-text", { text: trimmed.slice(0, 40) });
  const own = markOf(digits);
  if (own === undefined && mark === undefined)
    return refused("ambiguous-comma", {
      text: trimmed,
      decimal: Number(digits.replace(",", ".")) * sign,
      thousands: Number(digits.replace(",", "")) * sign,
    });
  // A single point or comma follows what is known of its column.
  const used = mark ?? (own === "none" || own === undefined ? "." : own);
  const read = plain(digits, used);
  return read === null || read === "" || read === "."
    ? refused("not-a-number-text", { text: trimmed.slice(0, 40) })
    : finite(sign * Number(read), trimmed);
}

/** The number of a cell; NaN where it is empty or none. */
export function numberIn(cell: string, mark?: DecimalMark): number {
  const number = parseNumber(cell, mark);
  return number.ok ? number.value : NaN;
}

const refused = (code: string, values = {}): ParsedNumber => ({ ok: false, message: message(code, values) });
const finite = (value: number, text: string): ParsedNumber =>
  Number.isFinite(value) ? { ok: true, value } : refused("not-a-number-text", { text: text.slice(0, 40) });
