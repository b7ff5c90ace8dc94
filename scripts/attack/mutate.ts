/** Damage to a text or to bytes, as files come to harm and as malice would have it. */
import { stream } from "../../src/core/quantity/seeded";

export type Random = () => number;
export const randomOf = (seed: number): Random => stream(seed);
export const pick = <T>(items: readonly T[], random: Random): T => items[Math.floor(random() * items.length)]!;
const upTo = (most: number, random: Random): number => Math.floor(random() * (most + 1));

/** What numbers, words and separators may turn into. */
const WORDS = [
  "1e308",
  "-1e308",
  "NaN",
  "Infinity",
  "-0",
  "1e-320",
  "99999999999999999999",
  "0x10",
  "1,5",
  "1.234,5",
  "\u2212" + "3",
  '"',
  '""',
  "'",
  "#",
  "\t",
  "\r",
  "\n",
  "\r\n",
  ";",
  ",",
  "|",
  "\u0000",
  "\uFEFF",
  "\uFFFD",
  "\u2028",
  "<",
  ">",
  "&amp;",
  "<!DOCTYPE a>",
  "]]>",
  "{",
  "}",
  "[",
  "]",
  "null",
  "true",
  "__proto__",
  "constructor",
  "../",
  "%",
  "=1+1",
  "9999-12-31T23:59:59Z",
  "0000-00-00",
  "1969-12-31T00:00:00Z",
  "Ice",
  "",
];

/** A text with one to eight pieces of damage. */
export function damaged(text: string, random: Random): string {
  let out = text;
  for (let turn = 1 + upTo(7, random); turn > 0; turn--) {
    const at = upTo(out.length, random);
    const to = Math.min(out.length, at + upTo(random() < 0.8 ? 20 : 2000, random));
    const part = out.slice(at, to);
    switch (Math.floor(random() * 9)) {
      case 0:
        out = out.slice(0, at) + out.slice(to);
        break;
      case 1:
        out = out.slice(0, at) + part + out.slice(at);
        break;
      case 2:
        out = out.slice(0, at) + pick(WORDS, random) + out.slice(at);
        break;
      case 3:
        out = out.slice(0, at) + pick(WORDS, random) + out.slice(to);
        break;
      case 4:
        out =
          out.slice(0, at) +
          pick([" ", "a", "0", '"', ",", "\n", "<a>"], random).repeat(upTo(5000, random)) +
          out.slice(at);
        break;
      case 5:
        out = out.slice(0, at);
        break;
      case 6:
        out = out.replaceAll("\n", pick(["\r", "\r\n", "", "\n\n"], random));
        break;
      case 7:
        out = out.slice(at) + out.slice(0, at);
        break;
      default:
        out = out.slice(0, at) + String.fromCharCode(upTo(65_535, random)) + out.slice(at + 1);
    }
  }
  return out;
}

/** Bytes with some flipped, cut out, doubled or cut off. */
export function damagedBytes(bytes: Uint8Array, random: Random): Uint8Array {
  let out = bytes.slice();
  for (let turn = 1 + upTo(5, random); turn > 0; turn--) {
    if (out.length === 0) return out;
    const at = upTo(out.length - 1, random);
    const to = Math.min(out.length, at + upTo(64, random));
    const kind = random();
    if (kind < 0.6) out[at] = upTo(255, random);
    else if (kind < 0.75) out = Uint8Array.from([...out.subarray(0, at), ...out.subarray(to)]);
    else if (kind < 0.9) out = Uint8Array.from([...out.subarray(0, to), ...out.subarray(at)]);
    else out = out.slice(0, at);
  }
  return out;
}

/** JSON data with values changed, dropped, doubled, or put elsewhere. */
export function damagedData(data: unknown, random: Random): unknown {
  const VALUES = [
    null,
    0,
    -1,
    1e308,
    -1e17,
    1e-320,
    4e9,
    "",
    "x".repeat(300),
    true,
    [],
    {},
    [[]],
    "NaN",
    { kind: "grid" },
  ];
  if (random() < 0.06) return pick(VALUES, random);
  if (Array.isArray(data)) {
    const items = data.length > 200 ? data : data.map((one) => (random() < 0.3 ? damagedData(one, random) : one));
    if (random() < 0.1) return items.slice(upTo(items.length, random));
    if (random() < 0.05) return [...items, ...items];
    return items;
  }
  if (data && typeof data === "object") {
    const entries = Object.entries(data).flatMap(([name, value]): [string, unknown][] => {
      if (random() < 0.04) return [];
      if (random() < 0.04) return [[pick(["__proto__", "x".repeat(200), "kind", "id"], random), value]];
      return [[name, random() < 0.5 ? damagedData(value, random) : value]];
    });
    return Object.fromEntries(entries);
  }
  if (typeof data === "number" && random() < 0.5) return data * pick([0, -1, 1e3, 1e9, 1e-9, 1e300, 0.5, 2], random);
  return data;
}
