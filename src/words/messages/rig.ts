import { inSentence } from "../text";
import { hookText, weightText } from "../weight";
import { fixed, type Say, type Words } from "./say";

const percent = (share: unknown): string => fixed(100 * Number(share), 0);
/** A mass that is given in grams. */
const mass = (grams: unknown, say: Say): string => weightText(Number(grams), say.system);
/** A share as an angler counts: "1 in 4". */
const oneIn = (share: unknown): string => {
  const one = Number(share);
  return one >= 0.95
    ? "nearly always"
    : one < 0.03
      ? "hardly ever"
      : one >= 0.6
        ? "most of the time"
        : `1 in ${fixed(1 / one, 0)}`;
};

/**
 * What is said of a rig in its water: every figure is the solved one. Rules of the craft: common practice, no source.
 */
export const RIG: Words = {
  "float-set": (p, say) =>
    `${say.of(p.depth, "depth")} of water: the lowest shot is set ${say.of(p.setting, "depth")} under the float and fishes ${say.of(p.shotHeight, "depth")} off the bed.`,
  "float-lift": (p, say) =>
    `Surface ${say.of(p.surfaceSpeed, "speed")}, float ${say.of(p.floatSpeed, "speed")}: the line below drags in the slower water and lifts the bait ${say.of(p.lift, "depth")}, to ${say.of(p.baitHeight, "depth")} off the bed.`,
  "hold-back": (p) =>
    `Hold the float back to about ${percent(p.pace)} % of the surface's pace: that brings the bait down.`,
  "run-free": () => "Let it run free: holding back would bring the bait down by little here.",
  "bait-leads": (p, say) =>
    `The bait runs ${say.of(p.lead, "depth")} ahead of the float: the fish meets it before the line.`,
  "bait-trails": (p, say) =>
    `The bait trails ${say.of(p.lead, "depth")} behind the float${p.can ? `; held back to ${percent(p.pace)} % of the surface's pace it would lead` : ", and no holding back would make it lead here"}.`,
  "bait-under": (p) =>
    `The bait runs under the float${p.can ? `; held back to ${percent(p.pace)} % of the surface's pace it would lead` : ""}.`,
  "shot-tapered": () => "Shot tapered, heavier under the float.",
  "shot-bulk": () => "Shot in bulk, low: strong water, get down fast.",
  "shot-even": () => "Shot spread evenly: slow water.",
  "own-weights": () => "A float's own weights stay on it, so that it sits low; the shot fills what is left.",
  "bait-pinned": () => "This bait floats: a shot half-way down the leader pins it near the bed.",
  "leader-shot": () => "Clear water, a fine leader: the smallest shot half-way down sinks it out of sight.",
  "hook-nearest": (p) =>
    `Hook ${hookText(Number(p.wanted))} would be usual; the nearest in the box is ${hookText(Number(p.hook))}.`,
  "shot-counts": () => "The bait weighs little beside the shot: count the shot as the depth, not the hook.",
  "jig-counts": () => "The jig is a good part of the weight and hangs under the shot: the leader counts as depth too.",
  "float-slides": (p, say) =>
    `Set at ${say.of(p.setting, "depth")} it is too deep to cast fixed: let the float slide, with a stop on the line.`,
  "deepen-by-float": (p, say) =>
    `Deepen by no more than a float's length, ${say.of(p.by, "depth")}, at a time until it touches${p.touchesAt === null ? "" : `, at about ${say.of(p.touchesAt, "depth")}`}, then come back.`,
  "float-drag": (p, say) =>
    `After blank casts drag on purpose: set at ${say.of(p.hand, "depth")}, a hand more, then at ${say.of(p.foot, "depth")}, a foot more.`,
  "float-read": (p) =>
    `Read the float: ${p.leaning ? "held back it leans up-current" : "upright or leaning up-current"}, the bait is clear of the bed; leaning down-current, it drags; stopping at the same place each time is the bottom.`,
  "float-seen": (p, say) =>
    p.beyond
      ? `A float is read to about ${say.of(p.seenTo, "distance")}; the fish is ${say.of(p.distance, "distance")} off: come nearer, or take a larger tip.`
      : `A float is read to about ${say.of(p.seenTo, "distance")} in this light.`,
  "lead-banned": () => "Lead is banned or limited in many places: look up the local rule.",

  "drift-taps": (p, say) =>
    `${Number(p.pieces) === 1 ? "One shot" : `${p.pieces} shot`} of ${mass(p.piece, say)} ${Number(p.pieces) === 1 ? "touches" : "touch"} ${oneIn(p.touchFraction)}, along the bed at ${say.of(p.speed, "speed")}: the fewest that tap.`,
  "drift-none-taps": (p, say) =>
    `Even ${p.pieces} shot of ${mass(p.piece, say)}, the heaviest in the box, touch ${oneIn(p.touchFraction)}: this water wants more weight than the box holds, or another way.`,
  "drift-second-shot": () => "More current: a second shot of the same size instead of one larger, which would bounce.",
  "drift-hook": (p, say) => `Shot ${say.of(p.hookDistance, "depth")} above the hook.`,
  "live-bait-longer": (p, say) => `A live bait is given ${say.of(p.hookDistance, "depth")} under the shot, to swim.`,
  "drift-one-at-a-time": () =>
    "Add or take one shot at a time: a light, steady tapping is right, hanging up is too much.",
  "weight-holds": (p, say) => `${mass(p.grams, say)} is the least that lies still here.`,
  "weight-rolls": (p, say) =>
    `Even ${mass(p.grams, say)} does not lie still: it goes along the bed at ${say.of(p.speed, "speed")}. Take more, or slower water beside it.`,
  "sinker-leader": (p, say) =>
    `The line runs free through the sinker; a leader of ${say.of(p.leader, "depth")} behind it.`,
  "bait-floats": (p, say) => `The bait floats up to ${say.of(p.baitHeight, "depth")} over the bed.`,
  "drop-shot-hook": (p, say) => `The hook stands ${say.of(p.hookDistance, "depth")} over the weight.`,
  "dead-bait-head": () =>
    "The bait sits on the head, held on the bottom and lifted now and then. Write down which piece they take.",

  "jig-lightest": (p, say) =>
    `${mass(p.grams, say)} is the lightest of the heads that still comes down and ticks along the bottom (${oneIn(p.touch)})${p.light === "day" ? "" : "; in low light fish look up, and less will do"}.`,
  "jig-heavier": (p, say) =>
    `${mass(p.grams, say)} (${oneIn(p.touch)} on the bottom); ${mass(p.least, say)} would come down too.`,
  "jig-none-touches": (p, say) =>
    `None of the heads gets down within a cast and keeps touching: ${mass(p.grams, say)} is swept ${say.of(p.swept, "distance")} and touches ${oneIn(p.touch)}.`,
  "jig-wind": (p, say) =>
    `In wind of ${say.of(p.wind, "wind")} nothing under ${mass(p.least, say)} is felt: heavier than the water asks for.`,
  "jig-sink": (p, say) =>
    `It takes ${fixed(p.seconds, 1)} seconds to the bed and is swept ${say.of(p.swept, "distance")} meanwhile: throw that far up-current of the fish.`,
  "jig-count": (p) => `Count ${fixed(p.countdown, 0)} to the height of the fish; time one drop, and count by that.`,
  "jig-slack": (p) => `Slack line: down fastest (${fixed(p.seconds, 1)} seconds), and bites on the fall go unseen.`,
  "jig-semi-slack": (p) =>
    `Semi-slack line, about ${fixed(p.seconds, 1)} seconds: bites come on the fall, and are seen in the line.`,
  "jig-tight": (p) =>
    `Tight line: it swings in on the line, ${fixed(p.seconds, 1)} seconds instead of ${fixed(p.slack, 1)}; felt at once, with less life.`,
  "jig-tandem": (p, say) =>
    `Two jigs: ${mass(p.upper, say)} rides ${say.of(p.apart, "depth")} above ${mass(p.lower, say)}, to search two layers.`,
  "jig-snags": (p) => `It is on the bottom ${oneIn(p.touch)}: snags grow with that and with its weight.`,
  "short-lighter": () => "Bites come short: it comes too fast. A lighter head falls slower.",
  "short-slower": () => "Bites come short: it comes too fast. No lighter head gets down here, so lead it slower.",
  "spoon-deep": () => "A spoon for deep, strong water: lift it and let it flutter; they take it on the fall.",

  "plug-touches": (p, say) =>
    `On ${say.of(p.lineOut, "distance")} of line it comes down to ${say.of(p.depthReached, "depth")} and touches, in ${say.of(p.depth, "depth")} of water.`,
  "plug-short": (p, say) =>
    `On ${say.of(p.lineOut, "distance")} of line it comes down to ${say.of(p.depthReached, "depth")} of ${say.of(p.depth, "depth")}: not touching, it is not fishing.`,
  "plug-line": (p, say) => `It would touch on ${say.of(p.lineNeeded, "distance")} of line.`,
  "plug-cast": (p, say) => `Cast ${say.of(p.castNeeded, "distance")}, so that it is down when it comes to the fish.`,
  "plug-other": () => "No cast brings it down here: take a deeper one, or finer line.",
  "plug-unnatural": (p, say) =>
    `Against this current (${say.of(p.current, "speed")}) it would be driven ${say.of(p.over, "speed")} over its best speed of ${say.of(p.best, "speed")}: unnatural. Bring it down with the water.`,
  "plug-with": (p, say) =>
    `Bring it down with the current: ${say.of(p.retrieve, "speed")} of line, ${fixed(p.turns, 1)} turns a second. Bait fish do not swim hard upstream.`,
  "plug-against": (p, say) =>
    `Against the current, slowly: ${say.of(p.retrieve, "speed")} of line, ${fixed(p.turns, 1)} turns a second; the reel cannot keep ahead of the water the other way.`,
  "plug-reel": (p, say) =>
    `It would need ${say.of(p.retrieve, "speed")} of line to swim at all, and this reel brings in ${say.of(p.reel, "speed")}.`,
  "plug-suspend": (p, say) =>
    `About ${mass(p.grams, say)} of tungsten more makes it hang still at ${say.of(p.temperature, "temperature")}.`,
  "plug-sinks": () => "It sinks by itself: it cannot be made to hang still.",
  "plug-true": () => "Then look beside the bank that it swims straight.",

  "spinner-up": (p, say) =>
    `Cast up: ${say.of(p.retrieve, "speed")} of line, ${fixed(p.turns, 1)} turns a second, ${fixed(p.seconds, 1)} seconds near the fish; down and across ${p.otherFeasible ? `${fixed(p.other, 1)}` : "is more than the reel can do"}. Fish face it as it comes.`,
  "spinner-down": (p, say) =>
    `Down and across, under 45 degrees: ${Number(p.turns) < 0.05 ? "the current turns the blade, just hold it" : `${say.of(p.retrieve, "speed")} of line, ${fixed(p.turns, 1)} turns a second`}; ${fixed(p.seconds, 1)} seconds near the fish, against ${fixed(p.other, 1)} cast up${p.otherFeasible ? "" : ", which is more than the reel can do"}.`,
  "spinner-too-fast": (p, say) =>
    `${say.of(p.retrieve, "speed")} is more than this reel brings in (${say.of(p.most, "speed")}).`,
  "spinner-tip": (p, say) =>
    `Rod tip ${p.tip === "low" ? "by the water" : "up"}: it runs ${say.of(p.tip === "low" ? p.low : p.high, "depth")} down (${say.of(p.tip === "low" ? p.high : p.low, "depth")} with the tip ${p.tip === "low" ? "up" : "low"}).`,

  "spinner-bottom": (p, say) =>
    `At this pace it runs ${say.of(p.low, "depth")} down whether the tip is low or up: a touch faster lifts it off the bottom.`,

  "line-pull": (p, say) =>
    `A fish of ${say.of(p.fish, "fishMass")} pulls up to ${say.of(p.pull, "fishMass")} here${p.cover === "none" ? "" : ", towards cover"}: a leader of ${say.of(p.test, "lineTest")}.`,
  "line-weak": (p, say) =>
    `Yours holds ${say.of(p.test, "lineTest")}, and ${say.of(p.wanted, "lineTest")} is wanted: give line, and do not hold it hard.`,
  "line-braid": () => "Braid for the main line: no stretch, and it floats: the best contact in current.",
  "line-sinks": () => "Fluorocarbon for the main line sinks: under a float, or in a mend, it drags.",
  "line-floats": () => "A main line that floats and can be seen.",
  "line-mono": () => "Nylon for the main line: its stretch forgives.",
  "leader-fluorocarbon": () => "Fluorocarbon for the leader: less seen, and it sinks.",
  "leader-mono": () => "Nylon for the leader: nothing is lost by it in this water.",
  "drag-set": (p, say) =>
    `Drag set to ${say.of(p.drag, "lineTest")}, ${percent(p.share)} % of the weaker line's test, at the knot. Run the last yards through your fingers before each fish.`,
  "hook-fine": () => "A fine hook: reel into the fish and lift, do not wrench.",
  "hook-strong": () => "A strong hook: set it firmly once.",
  "rod-short": () => "A shorter rod under cover.",
  "float-slack-first": () => "Take up the slack before you strike.",

  "overhead-lines": () => "A long rod: look up for power lines before you put it together and before each walk.",
  "hooks-eyes": () => "Hooks fly back: glasses and a hat, and look behind you before each cast.",
  "barbless-by-rule": () =>
    "Where the water's rules ask for barbless hooks, press the barb down. Local rules stand above this.",

  "no-cast": () => "No line from where one can stand is clear of wood, dry ground and nearer fish.",
  "spoon-shallow": () => "A spoon is for deeper water than this.",

  "try-colour": (p) => `${p.colour}, same line`,
  "try-deeper": (p, say) => `a float's length deeper, to ${say.of(p.setting, "depth")}`,
  "try-shot-more": (p, say) => `one shot of ${mass(p.grams, say)} more`,
  "try-shot-less": (p, say) => `one shot of ${mass(p.grams, say)} less`,
  "try-lighter-head": (p, say) => `a head lighter, ${mass(p.grams, say)}, slower`,
  "try-heavier-head": (p, say) => `a head heavier, ${mass(p.grams, say)}`,
  "try-smaller": () => "a size smaller",
  "try-longer-line": (p, say) => `deeper, on ${say.of(p.line, "distance")} of line`,
  "try-tip": (p) => `rod tip ${p.tip === "low" ? "up" : "down"}`,
  "try-longer-leader": (p, say) => `a leader of ${say.of(p.leader, "depth")}`,
  "try-other": (p) => `another way: ${inSentence(String(p.method))}`,
};
