import { type Message, message } from "../quantity/message";
import type { Style, Timing } from "./time";

/** What has come of a spot so far. */
export interface SpotSoFar {
  /** Casts since the last fish, bite or change, and in all. */
  castsSince: number;
  casts: number;
  /** Minutes at the spot, the clock running; and since the last fish, bite or follow there, null without one. */
  minutes: number;
  sinceTake: number | null;
  /** The last of those was a fish, landed or lost. */
  tookFish: boolean;
  /** Codes of changes that were taken or overruled there. */
  changes: readonly string[];
}

/** What to do next, and why. */
export interface NextStep {
  kind: "again" | "cast" | "wait" | "change" | "rest" | "move";
  /** What is to be done. */
  what: Message;
  why: Message;
  /** When to come back to it, minutes from now; where it is rested. */
  back?: number;
}

/**
 * So long after a fish the others are roused, minutes; so many casts without a take before the first change where a
 * spot
 * asks for more. Common practice, no source.
 */
const ROUSED = 5;
const FIRST_CHANGE = 6;

/**
 * What to do next at a spot, by the rules of the craft: after a take the same cast at once; then the plan, line by
 * line;
 * then the smallest change first (colour, depth, size), then another kind of lure; then rest the spot, or go on to the
 * next. A rover leaves when the time is up, a little later after a knock; one who waits goes through every change
 * first.
 * Common practice, no source.
 * @param changes small changes of the rig, the smallest first
 * @param another another way that suits the lie
 */
export function nextStep(
  spot: SpotSoFar,
  timing: Timing,
  style: Style,
  changes: readonly Message[],
  another: Message | undefined,
): NextStep {
  const { castsSince, minutes, sinceTake } = spot;
  if (sinceTake !== null && sinceTake <= ROUSED && castsSince === 0)
    return {
      kind: "again",
      what: message("same-cast-again"),
      why: message(spot.tookFish ? "others-roused" : "knock-roused"),
    };
  const knocked = sinceTake !== null && sinceTake <= timing.afterKnock;
  const left = timing.minutes + (knocked ? timing.afterKnock : 0) - minutes;
  const change = [...changes, ...(another ? [another] : [])].find(({ code }) => !spot.changes.includes(code));
  const timeUp = left <= 0 && (style === "rove" || !change);
  if (timeUp) return leave(timing, spot);
  if (timing.drill === "soak") return soaking(timing, minutes, castsSince, change);
  const cycle = Math.min(timing.casts, Math.max(FIRST_CHANGE, Math.ceil(timing.casts / 2)));
  if (castsSince < cycle)
    return { kind: "cast", what: message("next-cast"), why: message("casts-left", { left: cycle - castsSince }) };
  if (!change) return leave(timing, spot);
  return {
    kind: "change",
    what: change,
    why: message(change === another ? "another-kind-why" : "small-change-why", { casts: castsSince }),
  };
}

/** A bait that lies: fresh when its time is up, then another one. */
function soaking(timing: Timing, minutes: number, baits: number, change: Message | undefined): NextStep {
  const each = timing.minutes / Math.max(1, timing.casts);
  const due = baits * each;
  if (baits === 0)
    return { kind: "cast", what: message("lay-bait"), why: message("bait-needs-time", { minutes: each }) };
  if (minutes < due)
    return { kind: "wait", what: message("let-it-lie"), why: message("bait-needs-time", { minutes: due - minutes }) };
  return change
    ? { kind: "change", what: change, why: message("bait-washed-out", { minutes: each }) }
    : { kind: "cast", what: message("fresh-bait"), why: message("bait-washed-out", { minutes: each }) };
}

function leave(timing: Timing, { minutes, casts }: SpotSoFar): NextStep {
  const why = message("time-is-up", { minutes, casts });
  return timing.rest > 0
    ? { kind: "rest", what: message("rest-and-move", { rest: timing.rest }), why, back: timing.rest }
    : { kind: "move", what: message("move-on"), why };
}
