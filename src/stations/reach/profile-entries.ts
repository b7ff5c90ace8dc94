import { z } from "zod";
import { type Curve, type Species, speciesSchema } from "../../core/fish/species-schema";
import { pathOf, messageOf } from "../../core/quantity/issue";
import { parseNumber } from "../../core/quantity/number";
import { parseQuantity } from "../../core/quantity/units";
import { tell } from "../../words/messages";

/** One figure of a profile as a field: where it is in the species, and how it is written. */
export interface Entry {
  /** Path in the species, parted by dots: the field's own name. */
  path: string;
  label: string;
  hint?: string;
  kind: "text" | "number" | "curve";
  measure?: keyof typeof MEASURES;
}

/** How a measure is kept: its dimension, the unit that a bare number is in, and how many of it make one of SI. */
const MEASURES = {
  cm: ["length", "cm", 100],
  m: ["length", "m", 1],
  mm: ["length", "mm", 1000],
  degC: ["temperature", "degC", 1],
} as const;

const number = (path: string, label: string, measure?: Entry["measure"]): Entry => ({
  path,
  label,
  kind: "number",
  measure,
});

const COMMON: readonly Entry[] = [
  { path: "name", label: "Name", kind: "text" },
  number("forkLength", "Length looked for, cm", "cm"),
  number("territory", "Keeps clear of the next, m", "m"),
  number("leastDepth", "Least depth it holds in, m", "m"),
  number("focalHeight", "Height over the bed, m", "m"),
  number("restAbove", "Left alone above, °C", "degC"),
];

const curve = (path: string, label: string): Entry => ({
  path,
  label,
  hint: "x worth, x worth, …; worth from 0 to 1",
  kind: "curve",
});

const SUITS: readonly Entry[] = [
  curve("suitability.depth.warm", "Depth in warm water, m"),
  curve("suitability.depth.cold", "Depth in cold water, m"),
  curve("suitability.speed.warm", "Speed at the fish in warm water, m/s"),
  curve("suitability.speed.cold", "Speed at the fish in cold water, m/s"),
];

const BY_MODEL: Record<Species["model"], readonly Entry[]> = {
  drift: [number("preyLength", "Length of its food, mm", "mm")],
  ambush: [
    ...SUITS,
    number("ambush.reach", "Fast water serves within, m", "m"),
    number("ambush.weight", "How much hangs on fast water, 0 to 1"),
    number("cover.stone", "How much hangs on stone, 0 to 1"),
    number("cover.wood", "How much hangs on wood, 0 to 1"),
    number("cover.ledge", "How much hangs on a ledge, 0 to 1"),
    number("shy", "How much it shuns light, 0 to 1"),
  ],
  travel: [
    ...SUITS,
    number("passage.depth", "Least depth it passes, m", "m"),
    number("passage.speed", "Greatest speed it passes, m/s"),
  ],
};

/** The fields of a fish, by its model. */
export const entriesOf = (species: Species): readonly Entry[] => [...COMMON, ...BY_MODEL[species.model]];

const steps = (path: string): string[] => path.split(".");
const read = (species: Species, path: string): unknown =>
  steps(path).reduce<unknown>((at, step) => (at as Record<string, unknown>)[step], species);
const write = (at: unknown, [step, ...rest]: readonly string[], value: unknown): unknown =>
  step === undefined ? value : { ...(at as object), [step]: write((at as Record<string, unknown>)[step], rest, value) };

/** A figure of the species as text. */
export function entryTextOf(species: Species, { path, kind }: Entry): string {
  const value = read(species, path);
  if (kind === "curve") return (value as Curve).map(([x, y]) => `${x} ${y}`).join(", ");
  return kind === "number" ? String(Number((value as number).toPrecision(4))) : String(value ?? "");
}

type Read = { ok: true; value: unknown } | { ok: false; fault: string };

/** What was typed, in the unit that the profile keeps; a measure may be given in any unit. */
function valueOf(text: string, { kind, measure }: Entry): Read {
  if (kind === "text") return { ok: true, value: text.trim() };
  if (kind === "curve") {
    const points = text.split(",").map((pair) => pair.trim().split(/\s+/).map(Number));
    return points.every((pair) => pair.length === 2 && pair.every(Number.isFinite))
      ? { ok: true, value: points }
      : { ok: false, fault: "Pairs such as “0.4 0.2, 1 1”." };
  }
  const [dimension, unit, each] = measure ? MEASURES[measure] : ([undefined, undefined, 1] as const);
  const parsed = dimension ? parseQuantity(text, dimension, unit) : parseNumber(text);
  return parsed.ok
    ? { ok: true, value: Number((parsed.value * each).toPrecision(6)) }
    : { ok: false, fault: tell(parsed.message) };
}

/** A name of a field as the form keeps it: a dot would part it. */
export const fieldName = ({ path }: Pick<Entry, "path">): string => path.replaceAll(".", "_");

/** From the texts of all fields to a species by the schema that every profile is held to. */
export const profileSchemaFor = (base: Species, own: { id: string; source: string }) =>
  z.record(z.string(), z.string()).transform((texts, context): Species => {
    const entries = entriesOf(base);
    let species: unknown = { ...base, ...own };
    for (const entry of entries) {
      const found = valueOf(texts[fieldName(entry)] ?? "", entry);
      if (found.ok) species = write(species, steps(entry.path), found.value);
      else context.addIssue({ code: "custom", message: found.fault, path: [fieldName(entry)] });
    }
    if (context.issues.length > 0) return z.NEVER;
    const parsed = speciesSchema.safeParse(species);
    if (parsed.success) return parsed.data;
    for (const issue of parsed.error.issues) {
      const entry = entries.find(({ path }) => pathOf(issue).startsWith(path)) ?? entries[0]!;
      context.addIssue({ code: "custom", message: tell(messageOf(issue)), path: [fieldName(entry)] });
    }
    return z.NEVER;
  });
