import { z } from "zod";
import { type Catch, CONDITIONS, FINS, HOOKED, LOST_CAUSES, SEAM_SIDES, TAKE_PHASES } from "../../core/book/records";
import { LENGTH_KINDS } from "../../core/book/weights";
import { clockNow } from "../../state/clock";
import type { CatchDetails } from "../../store/sessions";
import { momentEntry, numberEntry, optional, quantityEntry, textEntry } from "../../words/entry";
import {
  CONDITION_WORDS,
  FIN_WORDS,
  HOOKED_WORDS,
  LENGTH_WORDS,
  LOST_WORDS,
  PHASE_WORDS,
  SIDE_WORDS,
} from "../../words/fish";
import { entryText, entryUnit, rangeText, type UnitSystem } from "../../words/quantity";
import { localMoment } from "../../words/river";

/** Nothing said. */
const UNSAID = "unsaid";
const LANDED = "landed";

const choicesOf = <T extends string>(words: Record<T, string>, unsaid = "not given") => [
  { value: UNSAID, label: unsaid },
  ...(Object.entries(words) as [T, string][]).map(([value, label]) => ({ value: value as string, label })),
];

/** What is chosen from a list. */
export const CATCH_CHOICES = [
  { name: "lengthKind", label: "Measured", choices: choicesOf(LENGTH_WORDS) },
  { name: "fin", label: "Adipose fin", choices: choicesOf(FIN_WORDS) },
  { name: "condition", label: "Condition", choices: choicesOf(CONDITION_WORDS) },
  { name: "hooked", label: "Hooked in the", choices: choicesOf(HOOKED_WORDS) },
  { name: "phase", label: "It took", choices: choicesOf(PHASE_WORDS) },
  { name: "side", label: "Side of the seam", choices: choicesOf(SIDE_WORDS) },
  {
    name: "kept",
    label: "Released or kept",
    choices: [
      { value: UNSAID, label: "not given" },
      { value: "released", label: "released" },
      { value: "kept", label: "kept" },
    ],
  },
] as const;
export const OUTCOMES = [
  { value: LANDED, label: "landed" },
  ...LOST_CAUSES.map((value) => ({ value: value as string, label: LOST_WORDS[value] })),
];

const said = <T extends string>(known: readonly T[]) =>
  z.string().transform((text): T | undefined => known.find((one) => one === text));

/** A size above nought that may stay unsaid. */
export const sizeEntry = (
  kind: "fishLength" | "fishMass" | "depth",
  dimension: "length" | "mass",
  high: number,
  system: UnitSystem,
) =>
  optional(
    quantityEntry(dimension, entryUnit(kind, system), {
      low: 0,
      open: true,
      high,
      beyond: rangeText(0, high, kind, system),
    }),
  );

/** From the fields of a fish to what is kept of it; `near`: the instant that its time field shows, ms. */
export const catchSchemaFor = (system: UnitSystem, near?: number, zone?: string) => {
  const length = sizeEntry("fishLength", "length", 3.99, system);
  const mass = sizeEntry("fishMass", "mass", 499, system);
  return z
    .object({
      species: z.string(),
      at: momentEntry(near, zone),
      outcome: z.string(),
      length,
      lengthKind: said(LENGTH_KINDS),
      weight: mass,
      weighed: z.string(),
      girth: length,
      fin: said(FINS),
      condition: said(CONDITIONS),
      hooked: said(HOOKED),
      phase: said(TAKE_PHASES),
      side: said(SEAM_SIDES),
      guess: mass,
      depth: sizeEntry("depth", "length", 59, system),
      cast: optional(numberEntry({ low: 1, high: 99_999, beyond: "Enter 1 to 99 999." })),
      angle: optional(numberEntry({ low: 0, high: 180, beyond: "Enter 0° (upstream) to 180° (downstream)." })),
      colour: textEntry(40),
      piece: textEntry(60),
      angler: textEntry(60),
      kept: z.string(),
      lie: textEntry(120),
      lure: textEntry(120),
      notes: textEntry(2000),
    })
    .check(({ value, issues }) => {
      if (value.at > clockNow())
        issues.push({ code: "custom", message: "That is in the future.", path: ["at"], input: value });
    })
    .transform(
      ({ outcome, weight, girth, weighed, kept, at, guess, cast, angle, ...rest }): CatchDetails & { at: number } => ({
        ...rest,
        at,
        lost: LOST_CAUSES.find((one) => one === outcome),
        weight: weight ?? undefined,
        weighed: weight === null ? undefined : weighed === "weighed",
        girth: girth ?? undefined,
        guess: guess ?? undefined,
        cast: cast === null ? undefined : Math.round(cast),
        angle: angle ?? undefined,
        kept: kept === UNSAID ? undefined : kept === "kept",
      }),
    );
};

export type CatchEntries = z.input<ReturnType<typeof catchSchemaFor>>;

/** A fish as it stands in the fields. */
export const catchEntries = (fish: Catch, system: UnitSystem, zone?: string): CatchEntries => ({
  species: fish.species,
  at: localMoment(Date.parse(fish.at), zone),
  outcome: fish.lost ?? LANDED,
  length: fish.length === null ? "" : entryText(fish.length, "fishLength", system),
  lengthKind: fish.lengthKind ?? UNSAID,
  weight: fish.weight === undefined ? "" : entryText(fish.weight, "fishMass", system),
  weighed: fish.weighed === true ? "weighed" : "guessed",
  girth: fish.girth === undefined ? "" : entryText(fish.girth, "fishLength", system),
  fin: fish.fin ?? UNSAID,
  condition: fish.condition ?? UNSAID,
  hooked: fish.hooked ?? UNSAID,
  phase: fish.phase ?? UNSAID,
  side: fish.side ?? UNSAID,
  guess: fish.guess === undefined ? "" : entryText(fish.guess, "fishMass", system),
  depth: fish.depth == null ? "" : entryText(fish.depth, "depth", system),
  cast: fish.cast === undefined ? "" : String(fish.cast),
  angle: fish.angle === undefined ? "" : String(fish.angle),
  colour: fish.colour ?? "",
  piece: fish.piece ?? "",
  angler: fish.angler ?? "",
  kept: fish.kept === undefined ? UNSAID : fish.kept ? "kept" : "released",
  lie: fish.lie,
  lure: fish.lure,
  notes: fish.notes,
});
