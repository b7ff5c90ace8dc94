import type { Family } from "../fish/species-record";
import { headsFor, SINKERS } from "./ladders";
import { plugFor } from "./plug";
import { SHOT_SIZES } from "./shot";
import { lineDiameter, type LineMaterial } from "./lines";
import type { TackleDraft } from "./tackle-item";

/** What each box begins with: rods, line and leader. Common practice, no source. */
const BASICS: Record<Family, { rods: readonly number[]; main: readonly [LineMaterial, number]; leader: number }> = {
  trout: { rods: [3.9, 2], main: ["mono", 2.72], leader: 1.36 },
  run: { rods: [3.9, 2.7], main: ["braid", 13.6], leader: 6.8 },
  bass: { rods: [2.1, 2.1], main: ["braid", 6.8], leader: 3.63 },
  striper: { rods: [2.4], main: ["braid", 13.6], leader: 9.07 },
  walleye: { rods: [2.1, 2.7], main: ["braid", 4.54], leader: 3.63 },
  catfish: { rods: [2.7], main: ["braid", 22.7], leader: 18.1 },
  panfish: { rods: [3.9, 1.8], main: ["mono", 2.72], leader: 1.36 },
  coarse: { rods: [3.6], main: ["mono", 3.63], leader: 2.72 },
};
const FLOATS: Record<Family, readonly number[]> = {
  trout: [2, 4],
  run: [6, 10],
  bass: [4],
  striper: [10, 20],
  walleye: [4, 6],
  catfish: [20, 40],
  panfish: [1, 2],
  coarse: [2, 4, 6],
};

/**
 * A box to begin with for a kind of fish, in sizes that are usual. Common practice, no source. Shot has the names of
 * its
 * sizes; what else a piece is called is for the words floor to say (words/tackle.ts), and stands as its kind here.
 */
export function starterBox(family: Family, species: string): TackleDraft[] {
  const { rods, main, leader } = BASICS[family];
  const [material, test] = main;
  const shot = family === "catfish" || family === "striper" ? [] : SHOT_SIZES.value;
  const plug = plugFor({ species, tackle: {}, length: 0.07 });
  return [
    ...rods.map((length): TackleDraft => ({
      kind: "rod",
      name: "rod",
      count: 1,
      length,
      flex: length > 3 ? "soft" : "medium",
    })),
    { kind: "reel", name: "reel", count: 1, perTurn: 0.7 },
    { kind: "line", name: "line", count: 1, material, test, diameter: lineDiameter(material, test) },
    {
      kind: "leader",
      name: "leader",
      count: 1,
      material: "fluorocarbon",
      test: leader,
      diameter: lineDiameter("fluorocarbon", leader),
    },
    ...FLOATS[family].map((capacity): TackleDraft => ({
      kind: "float",
      name: "float",
      count: 2,
      capacity,
      length: capacity > 8 ? 0.15 : 0.11,
    })),
    ...shot.map(({ size, grams }): TackleDraft => ({ kind: "shot", name: size, count: 20, grams, metal: "tin" })),
    ...headsFor(species).map((grams): TackleDraft => ({
      kind: "head",
      name: "head",
      count: 4,
      grams,
      metal: "tungsten",
    })),
    ...SINKERS.slice(0, family === "catfish" ? 10 : 5).map((grams): TackleDraft => ({
      kind: "weight",
      name: "weight",
      count: 4,
      grams,
      metal: "steel",
    })),
    {
      kind: "spinner",
      name: "spinner",
      count: 2,
      grams: family === "trout" || family === "panfish" ? 3.5 : 6.5,
      blade: 2,
    },
    { kind: "plug", name: "plug", count: 2, ...plug },
  ];
}
