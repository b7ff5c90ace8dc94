import { sink as sinkOf, type SinkRequest } from "../src/core/rig/sink";
import { only } from "./arguments";
import type { Command } from "./command";
import { requestAsked } from "./request";

export const sink: Command = {
  usage: "JSON",
  about: `How a weight sinks in a current: {massGrams, material: lead|tungsten|tin|bismuth|brass|steel, dragArea? (Cd times area of
what dresses it, m2), depth (m), meanSpeed (m/s), bedRoughness? (ks, m; 0: the same speed at every height)}.
Output: terminalSpeed in still water (m/s), seconds and swept (m) to the bed, profile[]{t,x,z}.`,
  options: {},
  run: (args) => sinkOf(requestAsked(only(args, "a sink request")) as SinkRequest),
};
