import { METHODS } from "../src/core/tactics/methods";
import type { RigAdvice } from "../src/core/rig/advice";
import { adviseRig } from "../src/core/rig/advise";
import type { RigRequest } from "../src/core/rig/request";
import { rigWords } from "../src/words/rig";
import { only } from "./arguments";
import type { Command } from "./command";
import { requestAsked } from "./request";

/** An advice as the command line writes it: in words what is words, the shape of a line at every fifth point. */
export function rigTold(advice: RigAdvice): object {
  const told = { ...advice, ...rigWords(advice), falling: undefined, hung: undefined };
  return "shape" in advice ? { ...told, shape: advice.shape.filter((_, k) => k % 5 === 0) } : told;
}

export const rig: Command = {
  usage: "JSON",
  about: `Works out a rig: {method: ${METHODS.join("|")}, water: {depth, meanSpeed,
bedRoughness, visibleDepth, temperature, light?, wind?, snags?, weed?, prey?, preyLength?, phase?, distance?, fishHeight?},
species, tackle?: {capacity (g), lineDiameter, lineMaterial, leader, metal, rodLength, perTurn, shot[], heads[] (g), bait, dragArea,
plug, spinner}, style?: {shotting, holdBack, shotHeight, fall, tandem, short, tough, school, liveBait}}, SI but for the grams.
The argument is the JSON itself, a file, or -.
Output by method: float: setting (float to lowest shot, m), baitHeight, shotHeight, lift, holdBack (share of the surface
speed), lead (m ahead of the float), shot[]; jig, spoon: head, seconds, swept, touches, ladder[]; drift, sinker, drop-shot,
dead-bait: grams, hookDistance, leader, touchFraction; plug: depthReached, touches, lineOut, feasible; spinner: up, down,
advice; all: lure, line, reasons[], cautions[].`,
  options: {},
  run: (args) => rigTold(adviseRig(requestAsked(only(args, "a rig request")) as RigRequest)),
};
