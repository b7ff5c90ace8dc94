import type { BaitPiece } from "../../core/tactics/lure-kinds";
import type { Retrieve } from "../../core/tactics/retrieve-kinds";
import { pieceName } from "../baits";
import { RETRIEVE_SENTENCES } from "../retrieve-sentences";
import { RETRIEVE_NAMES } from "../retrieves";
import { capital, inSentence } from "../text";
import type { MessageValues } from "../../core/quantity/message";
import { hookText, piecesText, weightText } from "../weight";
import { fixed, type MessageFormat, type Words } from "./message-format";

const percent = (share: unknown): string => fixed(100 * Number(share), 0);
/** A mass that is given in grams. */
const mass = (grams: unknown, say: MessageFormat): string => weightText(Number(grams), say.system);
/** A share as an angler counts: "1 in 4". */
const oneIn = (share: unknown): string => {
  const one = Number(share);
  return one >= 0.95
    ? "nearly always"
    : one < 0.03
      ? "hardly ever"
      : one >= 0.6
        ? "most of the time"
        : `1 time in ${fixed(1 / one, 0)}`;
};

/** A weight of a rig as it is named: pieces of one size, or a head. */
const weightOf = (p: MessageValues, say: MessageFormat): string =>
  piecesText(
    { pieces: Number(p.pieces), piece: Number(p.piece), size: typeof p.size === "string" ? p.size : null },
    say.system,
  );
const onBottom = (p: MessageValues): string =>
  Number(p.touch) >= 0.95 ? "nearly always on the bottom" : `once down, touches bottom ${oneIn(p.touch)}`;
const leaning = (p: MessageValues): string => (p.vertical ? `, line ${fixed(p.angle, 0)}° off vertical` : "");
/** A retrieve by its name and what the hand does. */
const plainly = (retrieve: Retrieve) => (): string =>
  `${capital(RETRIEVE_NAMES[retrieve])}: ${inSentence(RETRIEVE_SENTENCES[retrieve])}`;
/** A lift by the rod, and the fall after it. */
const liftText = (p: MessageValues, say: MessageFormat): string =>
  p.lift === undefined
    ? "lift it and let it fall."
    : `lift it ${say.of(p.lift, "depth")}; it falls back in ${fixed(p.seconds, 1)} s and drifts ${say.of(p.swept, "distance")}.`;
/** What the heaviest still does not do, by what was wanted. */
const LESS: Record<string, string> = {
  touch: "hardly touches here",
  down: "doesn’t get down fast here",
  hold: "won’t stay put here",
};
const besideText = (p: MessageValues, say: MessageFormat): string =>
  [
    p.purpose === "hold" ? (p.holds ? "stays put" : "moves") : onBottom(p),
    `${fixed(p.seconds, 0)} s down`,
    p.vertical ? `line ${fixed(p.angle, 0)}° off vertical` : `swept ${say.of(p.swept, "distance")}`,
    ...(p.reaches ? [] : [p.vertical ? "leans too far" : "too late for this cast"]),
  ].join(", ");

/**
 * What is said of a rig in its water: every figure is the solved one. Rules of the craft: common practice, no source.
 */
export const RIG: Words = {
  "float-set": (p, say) =>
    `${say.of(p.depth, "depth")} of water: set the lowest shot ${say.of(p.setting, "depth")} below the float. It fishes ${say.of(p.shotHeight, "depth")} off the bottom.`,
  "float-lift": (p, say) =>
    `Surface ${say.of(p.surfaceSpeed, "speed")}, float ${say.of(p.floatSpeed, "speed")}. The slower water below lifts the bait ${say.of(p.lift, "depth")}, to ${say.of(p.baitHeight, "depth")} off the bottom.`,
  "hold-back": (p) => `Hold the float back to about ${percent(p.pace)} % of the surface speed to bring the bait down.`,
  "run-free": () => "Let it run free. Holding back hardly brings the bait down here.",
  "bait-leads": (p, say) =>
    `The bait runs ${say.of(p.lead, "depth")} ahead of the float, so the fish sees it before the line.`,
  "bait-trails": (p, say) =>
    `The bait trails ${say.of(p.lead, "depth")} behind the float${p.can ? `; hold it back to ${percent(p.pace)} % of the surface speed to make it lead` : "; holding back won’t make it lead here"}.`,
  "bait-under": (p) =>
    `The bait runs under the float${p.can ? `; hold it back to ${percent(p.pace)} % of the surface speed to make it lead` : ""}.`,
  "shot-tapered": () => "Taper the shot: heavier near the float.",
  "shot-bulk": () => "Bulk the shot low to get down fast in strong water.",
  "shot-even": () => "Spread the shot evenly for slow water.",
  "own-weights": () => "Keep the float's own weights on so it sits low. Shot makes up the rest.",
  "bait-pinned": () => "This bait floats. A shot halfway down the leader pins it near the bottom.",
  "leader-shot": () => "Clear water and a fine leader: the smallest shot halfway down sinks it out of sight.",
  "hook-nearest": (p) =>
    `Hook ${hookText(Number(p.wanted))} is usual; the nearest in your box is ${hookText(Number(p.hook))}.`,
  "shot-counts": () => "The bait is light: measure depth to the shot, not the hook.",
  "jig-counts": () => "The jig is heavy and hangs below the shot: measure depth to the jig.",
  "float-slides": (p, say) =>
    `Set at ${say.of(p.setting, "depth")} it is too deep to cast. Use a sliding float with a stop knot.`,
  "deepen-by-float": (p, say) =>
    `Go deeper by up to a float's length, ${say.of(p.by, "depth")}, at a time until it touches${p.touchesAt === null ? "" : `, at about ${say.of(p.touchesAt, "depth")}`}, then come back up a little.`,
  "float-drag": (p, say) =>
    `No bites? Drag on purpose: set it at ${say.of(p.hand, "depth")}, a hand deeper, then at ${say.of(p.foot, "depth")}, a foot deeper.`,
  "float-read": (p) =>
    `Read the float: ${p.leaning ? "leaning upstream when held back" : "upright or leaning upstream"} means the bait is clear. Leaning downstream means it drags. Stopping in one place each time is the bottom.`,
  "float-seen": (p, say) =>
    p.beyond
      ? `You can read this float to about ${say.of(p.seenTo, "distance")}; the fish is ${say.of(p.distance, "distance")} away. Move closer or use a larger tip.`
      : `You can read this float to about ${say.of(p.seenTo, "distance")} in this light.`,
  "lead-banned": () => "Lead is banned or limited in many places. Check local rules.",

  "weight-touch": (p, say) =>
    `${weightOf(p, say)} just touches: ${onBottom(p)}, down in ${fixed(p.seconds, 0)} s${leaning(p)}.`,
  "weight-down": (p, say) =>
    `${weightOf(p, say)} gets down fast: ${fixed(p.seconds, 0)} s, ${p.vertical ? `the line ${fixed(p.angle, 0)}° off vertical` : `${say.of(p.swept, "distance")} downstream`}.`,
  "weight-hold": (p, say) => `${weightOf(p, say)} stays put here${leaning(p)}.`,
  "weight-slow": (p, say) => `${weightOf(p, say)} falls slowly: ${fixed(p.seconds, 0)} s to the bottom.`,
  "weight-more": (p, say) =>
    `No size ${p.purpose === "slow" ? "falls slowly and gets down in time" : "just touches"} here. ${weightOf(p, say)} is down in ${fixed(p.seconds, 0)} s, ${onBottom(p)}${leaning(p)}.`,
  "weight-felt": (p, say) =>
    `${weightOf(p, say)}, to feel it in this wind: ${onBottom(p)}, down in ${fixed(p.seconds, 0)} s${leaning(p)}.`,
  "weight-less": (p, say) =>
    `${weightOf(p, say)} is the heaviest you have, and it ${(p.reaches ? LESS[String(p.purpose)] : undefined) ?? "doesn’t get down in time"}: ${onBottom(p)}, swept ${say.of(p.swept, "distance")}${leaning(p)}. Use more weight, thinner line or slower water.`,
  "weight-beside": (p, say) =>
    `${p.which === "lighter" ? "Lighter" : "Heavier"}, ${weightOf(p, say)}: ${besideText(p, say)}.`,
  "retrieve-dead-drift": plainly("dead-drift"),
  "retrieve-drag": plainly("drag"),
  "retrieve-hop": (p, say) => `Hop: ${liftText(p, say)}`,
  "retrieve-snap": (p, say) => `Snap: ${liftText(p, say)}`,
  "retrieve-hold": plainly("hold"),
  "retrieve-steady": plainly("steady"),
  "retrieve-stop-and-go": (p, say) =>
    p.lift === undefined || Number(p.lift) === 0
      ? plainly("stop-and-go")()
      : `Stop and go: in each pause it ${Number(p.lift) > 0 ? "rises" : "sinks"} ${say.of(Math.abs(Number(p.lift)), "depth")}.`,
  "retrieve-swing": plainly("swing"),
  "retrieve-lift-and-drop": (p, say) => `Lift and drop: ${liftText(p, say)}`,
  "bait-not-used": () => "This method fishes a lure, so your bait stays in the box.",
  "bait-measures": (p, say) =>
    `${capital(pieceName(p.piece as BaitPiece))}, ${say.of(p.length, "smallLength")} long. Renew it every ${fixed(p.lasts, 0)} minutes.`,
  "purpose-held-bait": () => "Hold: a laid bait must stay in its place.",
  "purpose-drifted": () => "Just touch: a drifted bait taps along the stones.",
  "purpose-drop-shot": () => "Hold: the weight stays down while the bait works above it.",
  "purpose-short-bites": () => "Slow fall: bites come short, so give them time.",
  "purpose-off-the-bed": () => "Slow fall: the fish is off the bottom and meets the lure on its way down.",
  "purpose-fast-fish": () => "Down fast: these fish are in the current and gone soon.",
  "purpose-cold": () => "Just touch: in cold water keep it slow along the bottom.",
  "purpose-on-the-bed": () => "Just touch: the fish is near the bottom.",
  "purpose-asked-touch": () => "Just touch: your choice.",
  "purpose-asked-down": () => "Down fast: your choice.",
  "purpose-asked-hold": () => "Hold: your choice.",
  "purpose-asked-slow": () => "Slow fall: your choice.",
  "drift-second-shot": () => "More current? Add a second shot of the same size. One bigger shot would bounce.",
  "drift-hook": (p, say) => `Shot ${say.of(p.hookDistance, "depth")} above the hook.`,
  "live-bait-longer": (p, say) => `Give a live bait ${say.of(p.hookDistance, "depth")} below the shot, so it can swim.`,
  "drift-one-at-a-time": () =>
    "Add or remove one shot at a time. Light, steady tapping is right; hanging up is too much.",
  "freeline-free": () => "Bait, hook and nothing else. Let the current take it, and keep the line off the water.",
  "freeline-slow-water": () => "Without weight a bait needs slow water no deeper than your chest.",
  "sinker-slow-water": () => "These fish take what drifts by. A bait on the bottom is for still and slow water.",
  "sinker-leader": (p, say) =>
    `The line runs freely through the sinker, with a leader of ${say.of(p.leader, "depth")} behind it.`,
  "bait-floats": (p, say) => `The bait floats up to ${say.of(p.baitHeight, "depth")} off the bottom.`,
  "drop-shot-hook": (p, say) => `The hook sits ${say.of(p.hookDistance, "depth")} above the weight.`,
  "dead-bait-head": () =>
    "Hook the bait on the head, hold it on the bottom and lift it now and then. Note which piece they take.",

  "jig-wind": (p, say) =>
    `In ${say.of(p.wind, "wind")} of wind you won’t feel anything under ${mass(p.least, say)}, so this is heavier than the water needs.`,
  "weight-sink": (p, say) =>
    `It drifts ${say.of(p.swept, "distance")} as it sinks: land it that far upstream of the fish.`,
  "jig-count": (p) => `Count ${fixed(p.countdown, 0)} to reach the fish’s depth. Time one drop to check.`,
  "jig-slack": (p) => `Slack line: sinks fastest (${fixed(p.seconds, 1)} seconds), but you miss bites on the fall.`,
  "jig-semi-slack": (p) =>
    `Semi-slack line: about ${fixed(p.seconds, 1)} seconds. Watch the line for bites on the fall.`,
  "jig-tight": (p) =>
    `Tight line: it swings in, ${fixed(p.seconds, 1)} seconds instead of ${fixed(p.slack, 1)}. You feel bites at once, but the jig has less life.`,
  "jig-tandem": (p, say) =>
    `Two jigs: ${mass(p.upper, say)} rides ${say.of(p.apart, "depth")} above ${mass(p.lower, say)}, to search two depths.`,
  "jig-snags": (p) => `It is on the bottom ${oneIn(p.touch)}. More contact and more weight mean more snags.`,
  "spoon-deep": () => "Spoon for deep, strong water: lift it and let it flutter. They take it on the fall.",

  "plug-touches": (p, say) =>
    `On ${say.of(p.lineOut, "distance")} of line it dives to ${say.of(p.depthReached, "depth")} and touches bottom, in ${say.of(p.depth, "depth")} of water.`,
  "plug-short": (p, say) =>
    `On ${say.of(p.lineOut, "distance")} of line it dives to ${say.of(p.depthReached, "depth")} of ${say.of(p.depth, "depth")}. It doesn’t touch, so it isn’t fishing.`,
  "plug-line": (p, say) => `It would touch with ${say.of(p.lineNeeded, "distance")} of line.`,
  "plug-cast": (p, say) => `Cast ${say.of(p.castNeeded, "distance")}, so it is down when it reaches the fish.`,
  "plug-other": () => "No cast gets it down here. Use a deeper diver or finer line.",
  "plug-unnatural": (p, say) =>
    `Against this current (${say.of(p.current, "speed")}) it would run ${say.of(p.over, "speed")} above its best speed of ${say.of(p.best, "speed")}. Fish it down with the current.`,
  "plug-with": (p, say) =>
    `Fish it down with the current: retrieve ${say.of(p.retrieve, "speed")} of line, ${fixed(p.turns, 1)} turns a second. Bait fish don’t swim hard upstream.`,
  "plug-against": (p, say) =>
    `Slowly, against the current: retrieve ${say.of(p.retrieve, "speed")} of line, ${fixed(p.turns, 1)} turns a second. The reel can’t keep up with the current the other way.`,
  "plug-reel": (p, say) =>
    `It needs ${say.of(p.retrieve, "speed")} of retrieve to swim, but this reel retrieves ${say.of(p.reel, "speed")}.`,
  "plug-suspend": (p, say) =>
    `About ${mass(p.grams, say)} more tungsten makes it suspend at ${say.of(p.temperature, "temperature")}.`,
  "plug-sinks": () => "It sinks on its own, so it can’t be made to suspend.",
  "plug-true": () => "Then check beside the bank that it swims straight.",

  "spinner-up": (p, say) =>
    `Cast upstream: retrieve ${say.of(p.retrieve, "speed")} of line, ${fixed(p.turns, 1)} turns a second, ${fixed(p.seconds, 1)} seconds near the fish; down and across ${p.otherFeasible ? `${fixed(p.other, 1)}` : "is faster than the reel can wind"}. Fish see it coming.`,
  "spinner-down": (p, say) =>
    `Down and across, under 45 degrees: ${Number(p.turns) < 0.05 ? "just hold it; the current turns the blade" : `${say.of(p.retrieve, "speed")} of line, ${fixed(p.turns, 1)} turns a second`}; ${fixed(p.seconds, 1)} seconds near the fish, ${fixed(p.other, 1)} cast upstream${p.otherFeasible ? "" : ", which is faster than the reel can wind"}.`,
  "spinner-too-fast": (p, say) =>
    `${say.of(p.retrieve, "speed")} is faster than this reel retrieves (${say.of(p.most, "speed")}).`,
  "spinner-tip": (p, say) =>
    `Rod tip ${p.tip === "low" ? "by the water" : "up"}: it runs ${say.of(p.tip === "low" ? p.low : p.high, "depth")} down (${say.of(p.tip === "low" ? p.high : p.low, "depth")} with the tip ${p.tip === "low" ? "up" : "low"}).`,

  "spinner-bottom": (p, say) =>
    `At this pace it runs ${say.of(p.low, "depth")} deep with the tip low or high. Wind a touch faster to lift it off the bottom.`,

  "line-pull": (p, say) =>
    `A fish of ${say.of(p.fish, "fishMass")} pulls up to ${say.of(p.pull, "fishMass")} here${p.cover === "none" ? "" : ", towards cover"}. Leader: ${say.of(p.test, "lineTest")}.`,
  "line-weak": (p, say) =>
    `Yours holds ${say.of(p.test, "lineTest")}, and ${say.of(p.wanted, "lineTest")} is needed. Give line; don’t hold it hard.`,
  "leader-school-fine": (p, say) =>
    `Fine leader: ${say.of(p.fine, "lineTest")} is hard to see. The strong school would fish ${say.of(p.strong, "lineTest")}.`,
  "leader-school-strong": (p, say) =>
    `Strong leader: ${say.of(p.strong, "lineTest")} for this fish and these snags. The fine school would fish ${say.of(p.fine, "lineTest")}.`,
  "leader-teeth": (p, say) => `Toothy fish are about: no leader under ${say.of(p.test, "lineTest")}.`,
  "leader-breaks": (p, say) =>
    `This fish can break the leader: it pulls ${say.of(p.pull, "fishMass")}, the knot holds ${say.of(p.holds, "lineTest")}. Set the drag to ${say.of(p.drag, "lineTest")} and follow the fish.`,
  "line-float-braid": (p) =>
    `Braid under a float floats and is thin (${fixed(Number(p.diameter) * 1000, 2)} mm): less bow and fewer mends, but no stretch on a fine leader.`,
  "line-braid": () => "Braided main line: no stretch, and it floats. Best contact in current.",
  "line-sinks": () => "Fluorocarbon main line sinks, so it drags under a float or in a mend.",
  "line-floats": () => "Use a main line that floats and that you can see.",
  "line-mono": () => "Nylon main line: its stretch is forgiving.",
  "leader-fluorocarbon": () => "Fluorocarbon leader: harder to see, and it sinks.",
  "leader-mono": () => "Nylon leader: just as good in this water.",
  "drag-set": (p, say) =>
    `Drag set to ${say.of(p.drag, "lineTest")}, ${percent(p.share)} % of the weaker line's test at the knot. Check the last few yards of line for nicks.`,
  "hook-fine": () => "Fine hook: reel into the fish and lift. Don’t strike hard.",
  "hook-strong": () => "Strong hook: set it firmly once.",
  "rod-short": () => "Use a shorter rod under cover.",
  "float-slack-first": () => "Take up the slack before you strike.",

  "overhead-lines": () => "Long rod: look up for power lines before you set up and each time you walk.",
  "hooks-eyes": () => "Hooks fly back: wear glasses and a hat, and look behind you before each cast.",
  "barbless-by-rule": () => "Crush the barb where the rules ask for barbless hooks. Local rules come first.",

  "cast-short": (p, say) =>
    `Too light to cast so far: about ${say.of(p.range, "distance")}, and the fish is ${say.of(p.distance, "distance")} away.`,
  "no-cast": () => "From no standing place is the line clear of wood, dry ground and nearer fish.",
  "spoon-shallow": () => "This water is too shallow for a spoon.",

  "choice-shot": (p, say) => `${mass(p.grams, say)} of shot`,
  "choice-weight": (p, say) =>
    `${Number(p.grams) === 0 ? "no weight" : mass(p.grams, say)}, ${Number(p.touch) >= 0.95 ? "nearly always on the bottom" : `touches ${oneIn(p.touch)}`}, ${fixed(p.seconds, 0)} s down, swept ${say.of(p.swept, "distance")}`,
  "choice-leader": (p, say) =>
    `${say.of(p.test, "lineTest")}, ${fixed(Number(p.diameter) * 1000, 2)} mm; the fish pulls ${say.of(p.pull, "fishMass")}, drag ${say.of(p.drag, "lineTest")}`,
  "choice-float": (p, say) =>
    `${fixed(Number(p.diameter) * 1000, 2)} mm, held back ${percent(p.holdBack)} %, bait ${say.of(Math.abs(Number(p.lead)), "depth")} ${Number(p.lead) >= 0 ? "ahead" : "behind"}, ${say.of(p.baitHeight, "depth")} off the bottom`,
  "choice-setting": (p, say) =>
    `set ${say.of(p.setting, "depth")}, bait ${say.of(p.baitHeight, "depth")} off the bottom`,
  "choice-hook": (p) => `hook ${hookText(Number(p.hook))}`,
  "choice-hook-open": () => "hooks more fish, and more snags",
  "choice-hook-weedless": () => "a third of the snags, fewer fish hooked",
  "try-colour": (p) => `${p.colour}, same line`,
  "try-deeper": (p, say) => `a float's length deeper, to ${say.of(p.setting, "depth")}`,
  "try-shot-more": (p, say) => `one shot of ${mass(p.grams, say)} more`,
  "try-shot-less": (p, say) => `one shot of ${mass(p.grams, say)} less`,
  "try-lighter-head": (p, say) => `a lighter head, ${mass(p.grams, say)}, slower`,
  "try-heavier-head": (p, say) => `a heavier head, ${mass(p.grams, say)}`,
  "try-smaller": () => "a size smaller",
  "try-longer-line": (p, say) => `deeper, on ${say.of(p.line, "distance")} of line`,
  "try-retrieve": (p) => `another retrieve: ${RETRIEVE_NAMES[p.retrieve as Retrieve]}`,
  "try-tip": (p) => `rod tip ${p.tip === "low" ? "up" : "down"}`,
  "try-longer-leader": (p, say) => `a leader of ${say.of(p.leader, "depth")}`,
  "try-other": (p) => `another method: ${inSentence(String(p.method))}`,
};
