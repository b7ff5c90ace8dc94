import { adviseRig, readRigRequest } from "../src/core/rig/advise";
import { rigWords } from "../src/words/rig";
import { only, readText } from "./arguments";
import type { Command } from "./command";

export const rig: Command = {
  usage: "JSON",
  about: `Works out a float rig: {method: "float", water: {depth, meanSpeed, bedRoughness, visibleDepth, temperature}, species, tackle?: {capacity (g),
lineDiameter (m), leader (m), metal}, style?: {shotting, holdBack, shotHeight}, light?}. The argument is the JSON itself, a file, or -.
Output: setting (float to lowest shot, m), baitHeight, shotHeight, lift, holdBack (share of the surface speed), shot[], lure, reasons[].`,
  options: {},
  run: (args) => {
    const given = only(args, "a rig request");
    const inline = given.trimStart().startsWith("{");
    const { shape, reasons, cautions, lure, ...advice } = adviseRig(
      readRigRequest(inline ? given : readText(given), inline ? undefined : given),
    );
    return { ...advice, ...rigWords({ reasons, cautions, lure }), shape: shape.filter((_, k) => k % 5 === 0) };
  },
};
