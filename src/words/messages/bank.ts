import { fixed, type Words } from "./say";
import { speciesName } from "../species";
import { count } from "../text";

const percent = (share: unknown): string => fixed(100 * Number(share), 0);

/** What is said of a rig, a lure and the time for a lie. Rules of the craft: common practice, no source. */
export const BANK: Words = {
  "too-warm-to-play": (p, say) =>
    `${say.of(p.temperature, "temperature")}: leave ${speciesName(String(p.species)).toLowerCase()} alone in water this warm. Local rules stand above anything here.`,
  "rigged-as-for-trout": (p) =>
    `Float, shot and lure are worked out as for trout; for ${speciesName(String(p.species)).toLowerCase()} take them as a start, and go heavier and larger as the tackle for it does.`,
  "float-set": (p, say) =>
    `${say.of(p.depth, "depth")} of water: the lowest shot is set ${say.of(p.setting, "depth")} under the float and fishes ${say.of(p.shotHeight, "depth")} off the bed.`,
  "float-lift": (p, say) =>
    `Surface ${say.of(p.surfaceSpeed, "speed")}, float ${say.of(p.floatSpeed, "speed")}: the line below drags in the slower water and lifts the bait ${say.of(p.lift, "depth")}, to ${say.of(p.baitHeight, "depth")} off the bed.`,
  "hold-back": (p) =>
    `Hold the float back to about ${percent(p.pace)} % of the surface's pace: that brings the bait down.`,
  "run-free": () => "Let it run free: holding back would bring the bait down by little here.",
  "shot-tapered": () => "Shot tapered, heavier under the float.",
  "shot-bulk": () => "Shot in bulk, low: strong water, get down fast.",
  "shot-even": () => "Shot spread evenly: slow water.",
  "deepen-by-float": () =>
    "Start here, deepen by no more than a float's length at a time until it touches, then come back.",
  "lead-banned": () => "Lead shot is banned or limited in many places: look up the local rule.",
  "colours-gin-clear": () => "Gin-clear water: natural, small, translucent; match what is under the stones.",
  "colours-clear": () => "Clear water: plain, dark and natural colours before bright ones.",
  "colours-green": () => "Some colour in the water: dark first for its outline, then one bright.",
  "colours-coloured": () => "Coloured water: dark first, then loud; one bright part helps it to be found.",
  "colours-muddy": () => "Muddy water: loud contrast, scent and bulk; black or a bright that cannot be missed.",
  "daylight-on-clear": () => "Full daylight on clear water: the plainer end of the list first.",
  "low-light": () => "Low light: darker, with more outline.",
  "cold-smaller": () => "Cold water slows them: smaller and slower.",
  "warm-larger": () => "Warm water, keen fish: a size up is worth a try.",
  "usual-size": () => "Middling water temperature: the usual size.",
  "worm-smells": () => "A worm smells and moves where little can be seen.",
  "work-riffle": (p) =>
    `A riffle's edge: what is there takes at once, or is not there: ${count(Number(p.casts), "cast")}.`,
  "work-run": (p) => `A run: each line of current once or twice, then a step: ${count(Number(p.casts), "cast")}.`,
  "work-pool": (p) =>
    `A hole: near, middle, far, the same line each time, then a step: ${count(Number(p.casts), "cast")}.`,
  "work-walk": (p) =>
    `Along the bottom: the lane through it and one on either side, touching down and lifting, with the current: ${count(Number(p.casts), "cast")}.`,
  "work-soak": (p) =>
    `A bait held still on the bottom by its sinker, a step up-current, so that its scent runs down to the fish: fresh bait every ${p.fresh} minutes.`,
  "soak-waiting": (p) => `Waiting: ${count(Number(p.casts), "bait")} in ${p.minutes} minutes before moving on.`,
  "soak-again": () => "After a fish lay the next bait in the same place.",
  "clear-first-cast": () => "Clear water: the first cast is the best one, so be ready on it.",
  "cold-longer": () => "Cold water: slow fish, so half as long again.",
  "run-refills": () => "Fish on the run come through: a good resting place fills again.",
  roving: (p) => `Roving: ${p.minutes} minutes without a bite, ${p.knock} more on a knock, then the next lie.`,
  waiting: (p) =>
    `Waiting: change small things first (colour, depth, size, then the kind of lure), ${p.each} minutes each, before resting it.`,
  "rest-after-fish": (p) =>
    `After a hooked fish rest it ${p.rest} minutes: in water this clear it has told the others.`,
  "no-rest": () => "Water this coloured hides the fight: go straight on with the same cast.",
  schools: () => "Once one bites: the same cast again, quickly, and keep a lure among them.",
};
