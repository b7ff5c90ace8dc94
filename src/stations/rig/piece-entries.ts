import { z } from "zod";
import { measureOf } from "../../core/formats/tackle-csv";
import { DENSITY, type Metal } from "../../core/rig/drag";
import { LINE_MATERIALS } from "../../core/rig/lines";
import {
  BODY_FORMS,
  KIND_MEASURES,
  type Measure,
  MEASURES,
  ROD_FLEXES,
  TACKLE_KINDS,
  type TackleDraft,
  type TackleItem,
  type TackleKind,
} from "../../core/rig/tackle-item";
import { BAIT_KINDS } from "../../core/tactics/baits";
import { messageText } from "../../words/messages";
import { entryText, figureText, type UnitSystem } from "../../words/quantity";
import { hookText } from "../../words/weight";
import { MEASURE_KINDS, MEASURE_NAMES } from "../../words/tackle";

export const measuresOf = (kind: TackleKind): readonly Measure[] => [
  ...KIND_MEASURES[kind].need,
  ...KIND_MEASURES[kind].may,
];

/** Kinds whose fall can be timed. */
export const DROPPED: readonly TackleKind[] = ["body", "spoon"];

/** Fields of a piece, as texts. */
export type PieceEntries = {
  kind: string;
  name: string;
  count: string;
  metal: string;
  material: string;
  form: string;
  flex: string;
  bait: string;
  dropMetal: string;
  dropGrams: string;
  dropDepth: string;
  dropSeconds: string;
} & Record<Measure, string>;

const textOf = (item: TackleItem, name: Measure, system: UnitSystem): string => {
  const value = item[name];
  if (value === undefined) return "";
  if (name === "hook") return hookText(value);
  if (name === "grams" || name === "capacity" || name === "buoyancy") return `${figureText(value, 2, false)} g`;
  if (name === "diameter") return `${figureText(value * 1000, 2, false)} mm`;
  if (name === "blade" || name === "density" || name === "lasts") return figureText(value, 0, false);
  return entryText(value, MEASURE_KINDS[name] ?? "depth", system);
};

const dropEntries = (drop: TackleItem["drop"], system: UnitSystem) => ({
  dropGrams: drop ? `${figureText(drop.grams, 2, false)} g` : "",
  dropMetal: drop?.metal ?? "tin",
  dropDepth: drop ? entryText(drop.depth, "depth", system) : "",
  dropSeconds: drop ? figureText(drop.seconds, 1, false) : "",
});

export function pieceEntries(item: TackleItem | undefined, kind: TackleKind, system: UnitSystem): PieceEntries {
  const measures = Object.fromEntries(
    (Object.keys(MEASURES) as Measure[]).map((name) => [name, item ? textOf(item, name, system) : ""]),
  ) as Record<Measure, string>;
  return {
    kind,
    name: item?.name ?? "",
    count: item ? (item.count === null ? "" : String(item.count)) : "1",
    metal: item?.metal ?? "tin",
    material: item?.material ?? (kind === "leader" ? "fluorocarbon" : "mono"),
    form: item?.form ?? "curl-tail",
    flex: item?.flex ?? "medium",
    bait: item ? (item.bait ?? OTHER_BAIT) : "worm",
    ...dropEntries(item?.drop, system),
    ...measures,
  };
}

/** A bare number of a field, in the reader's system: what the tackle's own parser wants is a unit beside it. */
const withUnit = (text: string, name: Measure, system: UnitSystem): string =>
  system === "us" && /^[\d.,\s/]+$/.test(text) && US_UNITS[name] ? `${text} ${US_UNITS[name]}` : text;
const US_UNITS: Partial<Record<Measure, string>> = {
  length: "ft",
  perTurn: "ft",
  dives: "ft",
  test: "lb",
  least: "ft/s",
  best: "ft/s",
};

/**
 * From the fields to a piece, or what is wrong, each at its field. What nobody touched stays as it stood in `item`, and
 * not as its field rounds it.
 */
export const pieceSchema = (system: UnitSystem, item?: TackleItem) =>
  z.record(z.string(), z.string()).transform((given, context): TackleDraft => {
    const entries = given as PieceEntries;
    const fault = (path: string, text: string) => context.addIssue({ code: "custom", path: [path], message: text });
    const kind = TACKLE_KINDS.find((one) => one === entries.kind)!;
    const draft: TackleDraft = { kind, name: entries.name.trim(), count: null };
    if (draft.name === "" || draft.name.length > 60) fault("name", "Enter a name of up to 60 letters.");
    if (entries.count.trim() !== "") {
      const count = Number(entries.count);
      if (!Number.isInteger(count) || count < 0 || count > 9999) fault("count", "Enter a whole number from 0 to 9999.");
      else draft.count = count;
    }
    for (const name of measuresOf(kind))
      takeMeasure(entries, name, KIND_MEASURES[kind].need.includes(name), draft, system, fault);
    for (const { name, kinds } of WORDED)
      if (kinds.includes(kind) && entries[name] !== OTHER_BAIT) Object.assign(draft, { [name]: entries[name] });
    if (kind === "bait" && draft.bait === undefined && entries.grams.trim() === "")
      fault("grams", `${MEASURE_NAMES.grams} is needed.`);
    takeDrop(entries, draft, system, fault);
    return item && item.kind === kind ? untouched(entries, item, draft, system) : draft;
  });

/** A draft with the measures, and the drop, of a piece whose fields read as they did. */
function untouched(entries: PieceEntries, item: TackleItem, draft: TackleDraft, system: UnitSystem): TackleDraft {
  const stood = pieceEntries(item, item.kind, system);
  const own = { ...draft };
  for (const name of measuresOf(item.kind)) if (entries[name] === stood[name]) own[name] = item[name];
  const drop = (["dropGrams", "dropMetal", "dropDepth", "dropSeconds"] as const).every(
    (name) => entries[name] === stood[name],
  );
  return drop && item.drop ? { ...own, drop: item.drop } : own;
}

export const METALS = Object.keys(DENSITY) as Metal[];

/** A bait of no kind that ships: it goes by its own measures. */
const OTHER_BAIT = "other";

/** What is chosen from a list, and for which kinds. */
export const WORDED: readonly {
  name: "metal" | "material" | "form" | "flex" | "bait";
  label: string;
  kinds: readonly TackleKind[];
  values: readonly string[];
}[] = [
  { name: "metal", label: "Material", kinds: ["shot", "weight", "head"], values: METALS },
  { name: "material", label: "Material", kinds: ["line", "leader"], values: LINE_MATERIALS },
  { name: "form", label: "Form", kinds: ["body"], values: BODY_FORMS },
  { name: "flex", label: "Flex", kinds: ["rod"], values: ROD_FLEXES },
  { name: "bait", label: "Kind of bait", kinds: ["bait"], values: [...BAIT_KINDS, OTHER_BAIT] },
];

type Fault = (path: string, text: string) => void;

function takeMeasure(
  entries: PieceEntries,
  name: Measure,
  needed: boolean,
  draft: TackleDraft,
  system: UnitSystem,
  fault: Fault,
): void {
  const text = entries[name].trim();
  if (text === "") {
    if (needed) fault(name, `${MEASURE_NAMES[name]} is needed.`);
    return;
  }
  const value = measureOf(name, withUnit(text, name, system));
  if (typeof value !== "number") return fault(name, messageText(value, system));
  const bounded = MEASURES[name].safeParse(value);
  if (!bounded.success) return fault(name, "That is out of range.");
  draft[name] = value;
}

/** A timed drop: all three of its fields, or none. */
function takeDrop(entries: PieceEntries, draft: TackleDraft, system: UnitSystem, fault: Fault): void {
  if (!DROPPED.includes(draft.kind)) return;
  const texts = [entries.dropGrams, entries.dropDepth, entries.dropSeconds].map((text) => text.trim());
  if (texts.every((text) => text === "")) return;
  const grams = measureOf("grams", texts[0]!);
  const depth = measureOf("dives", withUnit(texts[1]!, "dives", system));
  const seconds = Number(texts[2]!.replace(",", "."));
  if (typeof grams !== "number") return fault("dropGrams", "Enter the head it fell with.");
  if (typeof depth !== "number" || depth < 0.3 || depth > 30) return fault("dropDepth", "Enter the depth it fell.");
  if (!(seconds >= 0.2 && seconds <= 120)) return fault("dropSeconds", "Enter the seconds it took.");
  draft.drop = { grams, metal: entries.dropMetal as Metal, depth, seconds };
}
