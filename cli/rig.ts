import { BAIT_KINDS } from "../src/core/tactics/baits";
import { METHODS } from "../src/core/tactics/methods";
import { PRESENTATIONS, PURPOSES } from "../src/core/tactics/purpose";
import { RETRIEVES } from "../src/core/tactics/retrieve-kinds";
import type { RigAdvice } from "../src/core/rig/advice";
import { adviseRig } from "../src/core/rig/advise";
import type { RigRequest } from "../src/core/rig/request";
import { messageText } from "../src/words/messages";
import { rigWords } from "../src/words/rig";
import { only } from "./arguments";
import type { Command } from "./command";
import { requestAsked } from "./request";

/** An advice as the command line writes it: in words what is words, the shape of a line at every fifth point. */
export function rigTold(advice: RigAdvice): object {
  const changes = advice.changes.map((one) => messageText(one));
  const told = { ...advice, ...rigWords(advice), changes, falling: undefined, hung: undefined };
  return "shape" in advice ? { ...told, shape: advice.shape.filter((_, k) => k % 5 === 0) } : told;
}

export const rig: Command = {
  usage: "JSON",
  about: `Works out a rig: {method: ${METHODS.join("|")}, water: {depth, meanSpeed,
bedRoughness, visibleDepth, temperature, light?, wind?, snags?, weed?, teeth?, prey?, preyLength?, phase?, distance?, fishHeight?,
presentation?: ${PRESENTATIONS.join("|")}, boatSpeed?}, species, tackle?: {capacity (g), lineDiameter, lineMaterial, leader, metal, rodLength,
perTurn, shot[], heads[] (g), bait: {kind: ${BAIT_KINDS.join("|")},
length, grams, density, diameter, hook}, dragArea, pullFactor, plug, spinner}, style?: {purpose: ${PURPOSES.join("|")},
retrieve: ${RETRIEVES.join("|")}, leader: fine|strong, floatLine: mono|braid,
hook: open|weedless, shotting, holdBack, shotHeight, countJig, fall, tandem, short, tough, school, liveBait}}, SI but for the grams.
The argument is the JSON itself, a file, or -.
Output by method: float: setting (float to lowest shot, m), baitHeight, shotHeight, lift, holdBack (share of the surface
speed), lead (m ahead of the float), shot[]; jig, spoon: head, seconds, swept, touches; drift, freeline, sinker, drop-shot,
dead-bait: grams, hookDistance, leader, touchFraction; of all weights: purpose, presentation, angle (degrees from the vertical
of a vertical line, else null), ladder[]: grams, touch, seconds, swept, angle, serves[]; plug: depthReached, touches, lineOut,
feasible; spinner: up, down, advice; all: lure, line, retrieveKind, reasons[], cautions[].`,
  options: {},
  run: (args) => rigTold(adviseRig(requestAsked(only(args, "a rig request")) as RigRequest)),
};
