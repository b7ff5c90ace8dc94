import type { BaitKind } from "../core/tactics/baits";
import type { BaitPiece } from "../core/tactics/lure-kinds";

/** Baits by kind, as they are chosen from a list. */
const BAIT_NAMES: Record<BaitKind, string> = {
  "live-fish": "live fish",
  "whole-fish": "dead fish, whole",
  "fish-head": "fish head",
  "fish-body": "fish body",
  "fish-strip": "fish strip",
  worm: "worm",
  eggs: "eggs",
  grub: "grub or nymph",
  paste: "paste",
  pellets: "pellets",
  bread: "bread",
  buoyant: "buoyant bait",
};
export const baitName = (kind: string): string => BAIT_NAMES[kind as BaitKind] ?? "other";

/** What is on the hook. */
const PIECES: Record<BaitPiece, string> = {
  "whole-worm": "a whole worm",
  "half-worm": "half a worm",
  "grub-or-nymph": "one grub or nymph",
  "egg-cluster": "a cluster of eggs",
  "fish-piece": "a piece of fish",
  "fish-head": "a fish head",
  "fish-body": "a body section",
  "fish-strip": "a strip of fish",
  "whole-bait-fish": "a whole bait fish",
  "live-bait-fish": "a live bait fish",
  paste: "a ball of paste",
  pellets: "pellets",
  bread: "a pinch of bread",
  "buoyant-bait": "a buoyant bait",
};
export const pieceName = (piece: BaitPiece): string => PIECES[piece] ?? "bait";
