import type { Measure, TackleDraft, TackleItem, TackleKind } from "../core/rig/tackle-item";
import { baitName } from "./baits";
import { type Entered, figureText, showText, type UnitSystem } from "./quantity";
import { hookText, weightText } from "./weight";

export const KIND_NAMES: Record<TackleKind, string> = {
  rod: "Rod",
  reel: "Reel",
  line: "Main line",
  leader: "Leader",
  float: "Float",
  shot: "Shot",
  weight: "Sinker",
  head: "Jig head",
  body: "Soft body",
  spoon: "Spoon",
  spinner: "Spinner",
  plug: "Plug",
  bait: "Bait",
  hook: "Hook",
};

export const MEASURE_NAMES: Record<Measure, string> = {
  length: "Length",
  grams: "Weight",
  capacity: "Carries",
  test: "Test",
  diameter: "Thickness",
  perTurn: "Line a turn",
  dives: "Dives to",
  buoyancy: "Floats by",
  least: "Works from",
  best: "Best at",
  density: "Density, kg/m³",
  hook: "Hook",
  blade: "Blade",
  lasts: "Lasts, minutes",
};

/** How a measure is shown and entered; a mass is kept in g. */
export const MEASURE_KINDS: Partial<Record<Measure, Entered>> = {
  perTurn: "depth",
  dives: "depth",
  test: "lineTest",
  least: "speed",
  best: "speed",
};

/** One measure of a piece, in words. */
function measureText(item: TackleItem, name: Measure, system: UnitSystem): string {
  const value = item[name]!;
  switch (name) {
    case "grams":
    case "capacity":
      return weightText(value, system);
    case "buoyancy":
      return `${figureText(value, 1)} g`;
    case "diameter":
      return `${figureText(value * 1000, 2)} mm`;
    case "length":
      return showText(value, value < 0.6 ? "smallLength" : "depth", system);
    case "hook":
      return hookText(value);
    case "blade":
    case "density":
      return figureText(value, 0);
    case "lasts":
      return `lasts ${figureText(value, 0)} min`;
    default:
      return showText(value, MEASURE_KINDS[name]!, system);
  }
}

/** What a piece is, after its name: "3.90 m, soft". */
export function pieceText(item: TackleItem, system: UnitSystem): string {
  const measures = (Object.keys(MEASURE_NAMES) as Measure[])
    .filter((name) => item[name] !== undefined)
    .map((name) =>
      name === "capacity" || name === "dives" || name === "buoyancy" || name === "least" || name === "best"
        ? `${MEASURE_NAMES[name].toLowerCase()} ${measureText(item, name, system)}`
        : name === "hook" || name === "blade"
          ? `${MEASURE_NAMES[name].toLowerCase()} ${measureText(item, name, system)}`
          : measureText(item, name, system),
    );
  const words = [item.material, item.metal, item.form, item.flex, item.bait && baitName(item.bait)].filter(
    (one) => one !== undefined,
  );
  const drop = item.drop && [`falls ${showText(item.drop.depth / item.drop.seconds, "speed", system)}, timed`];
  return [...measures, ...words, ...(drop ?? [])].join(", ");
}

/** A name for a piece of a box to begin with, which the angler may change: shot has its size's, the rest its kind's. */
export const starterName = (piece: TackleDraft): string =>
  piece.kind === "shot" ? piece.name : KIND_NAMES[piece.kind];
