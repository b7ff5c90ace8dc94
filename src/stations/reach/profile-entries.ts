import { z } from "zod";
import { type Curve, type Species, speciesSchema } from "../../core/fish/species-schema";
import { pathOf, messageOf } from "../../core/quantity/issue";
import { parseNumber } from "../../core/quantity/number";
import { findUnit, fromSI, parseQuantity, toSI } from "../../core/quantity/units";
import { messageText } from "../../words/messages";
import type { UnitSystem } from "../../words/quantity";

/** One figure of a profile as a field: where it is in the species, and how it is written. */
export interface Entry {
  /** Path in the species, parted by dots: the field's own name. */
  path: string;
  label: string;
  hint?: string;
  kind: "text" | "number" | "curve";
  measure?: Measure;
}

/** How a measure is kept: its dimension and unit; and the unit that it is typed and shown in. */
const MEASURES = {
  cm: { dimension: "length", kept: "cm", shown: { metric: "cm", us: "in" } },
  m: { dimension: "length", kept: "m", shown: { metric: "m", us: "ft" } },
  mm: { dimension: "length", kept: "mm", shown: { metric: "mm", us: "in" } },
  degC: { dimension: "temperature", kept: "C", shown: { metric: "C", us: "F" } },
  mps: { dimension: "speed", kept: "m/s", shown: { metric: "m/s", us: "ft/s" } },
} as const;
type Measure = keyof typeof MEASURES;

/** From how a measure is kept to how it is shown, or back. */
function converted(value: number, measure: Measure | undefined, system: UnitSystem, back = false): number {
  if (!measure) return value;
  const [kept, shown] = [findUnit(MEASURES[measure].kept)!, findUnit(MEASURES[measure].shown[system])!];
  return back ? fromSI(toSI(value, shown), kept) : fromSI(toSI(value, kept), shown);
}

/** What a field is called, with the unit that a bare number in it has. */
export function entryLabel({ label, measure }: Entry, system: UnitSystem): string {
  if (!measure) return label;
  const unit = MEASURES[measure].shown[system];
  return `${label}, ${unit === "C" || unit === "F" ? `°${unit}` : unit}`;
}

const number = (path: string, label: string, measure?: Entry["measure"]): Entry => ({
  path,
  label,
  kind: "number",
  measure,
});

const COMMON: readonly Entry[] = [
  { path: "name", label: "Name", kind: "text" },
  number("forkLength", "Fish length", "cm"),
  number("territory", "Distance to the next fish", "m"),
  number("leastDepth", "Minimum depth", "m"),
  number("focalHeight", "Height above the bottom", "m"),
  number("restAbove", "Too warm above", "degC"),
];

const curve = (path: string, label: string, measure: Measure): Entry => ({
  path,
  label,
  measure,
  hint: "value and suitability, separated by commas; suitability 0 to 1",
  kind: "curve",
});

const SUITS: readonly Entry[] = [
  curve("suitability.depth.warm", "Depth, warm water", "m"),
  curve("suitability.depth.cold", "Depth, cold water", "m"),
  curve("suitability.speed.warm", "Speed at the fish, warm water", "mps"),
  curve("suitability.speed.cold", "Speed at the fish, cold water", "mps"),
];

const BY_MODEL: Record<Species["model"], readonly Entry[]> = {
  drift: [number("preyLength", "Prey length", "mm")],
  ambush: [
    ...SUITS,
    number("ambush.reach", "Fast water counts within", "m"),
    number("ambush.weight", "Weight of fast water, 0 to 1"),
    number("cover.stone", "Weight of stone, 0 to 1"),
    number("cover.wood", "Weight of wood, 0 to 1"),
    number("cover.ledge", "Weight of a ledge, 0 to 1"),
    number("shy", "Avoids light, 0 to 1"),
  ],
  travel: [
    ...SUITS,
    number("passage.depth", "Minimum depth to pass", "m"),
    number("passage.speed", "Maximum speed to pass", "mps"),
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
export function entryTextOf(species: Species, { path, kind, measure }: Entry, system: UnitSystem): string {
  const value = read(species, path);
  const shown = (one: number) => String(Number(converted(one, measure, system).toPrecision(4)));
  if (kind === "curve") return (value as Curve).map(([x, y]) => `${shown(x)} ${y}`).join(", ");
  return kind === "number" ? shown(value as number) : String(value ?? "");
}

type Read = { ok: true; value: unknown } | { ok: false; fault: string };

/** What was typed, in the unit that the profile keeps; a measure may be given in any unit. */
function valueOf(text: string, { kind, measure }: Entry, system: UnitSystem): Read {
  if (kind === "text") return { ok: true, value: text.trim() };
  const kept = (one: number) => Number(converted(one, measure, system, true).toPrecision(6));
  if (kind === "curve") {
    const points = text.split(",").map((pair) => pair.trim().split(/\s+/).map(Number));
    return points.every((pair) => pair.length === 2 && pair.every(Number.isFinite))
      ? { ok: true, value: points.map(([x, y]) => [kept(x!), y]) }
      : { ok: false, fault: "Enter pairs such as “0.4 0.2, 1 1”." };
  }
  if (!measure) {
    const plain = parseNumber(text);
    return plain.ok ? { ok: true, value: plain.value } : { ok: false, fault: messageText(plain.message) };
  }
  const { dimension, shown } = MEASURES[measure];
  const parsed = parseQuantity(text, dimension, shown[system]);
  if (!parsed.ok) return { ok: false, fault: messageText(parsed.message) };
  return { ok: true, value: kept(fromSI(parsed.value, findUnit(shown[system])!)) };
}

/** A name of a field as the form keeps it: a dot would part it. */
export const fieldName = ({ path }: Pick<Entry, "path">): string => path.replaceAll(".", "_");

/** From the texts of all fields to a species by the schema that every profile is held to. */
export const profileSchemaFor = (base: Species, own: { id: string; source: string }, system: UnitSystem) =>
  z.record(z.string(), z.string()).transform((texts, context): Species => {
    const entries = entriesOf(base);
    let species: unknown = { ...base, ...own };
    for (const entry of entries) {
      const text = texts[fieldName(entry)] ?? "";
      // What was left as it stood stays as it was, to the last figure.
      if (entry.kind !== "text" && text === entryTextOf(base, entry, system)) continue;
      const found = valueOf(text, entry, system);
      if (found.ok) species = write(species, steps(entry.path), found.value);
      else context.addIssue({ code: "custom", message: found.fault, path: [fieldName(entry)] });
    }
    if (context.issues.length > 0) return z.NEVER;
    const parsed = speciesSchema.safeParse(species);
    if (parsed.success) return parsed.data;
    for (const issue of parsed.error.issues) {
      const entry = entries.find(({ path }) => pathOf(issue).startsWith(path)) ?? entries[0]!;
      context.addIssue({ code: "custom", message: messageText(messageOf(issue)), path: [fieldName(entry)] });
    }
    return z.NEVER;
  });
