import { BAIT_KINDS } from "../tactics/baits";
import { PRESENTATIONS, PURPOSES } from "../tactics/purpose";
import { METHOD } from "../tactics/methods";
import type { Retrieve } from "../tactics/retrieve-kinds";
import { type Choice, CHOICES, type Chosen } from "./choice-names";
import { LEADER_SCHOOLS } from "./lines";
import type { RigAsked, RigRequest } from "./request";

/** How a choice is put to a rig: its answers, and a request with one of them. */
interface Taking {
  values: (asked: Pick<RigAsked, "method">) => readonly string[];
  take: (request: RigRequest, value: string) => RigRequest;
}

/** An answer that is a part of the style. */
const ofStyle = (
  values: Taking["values"],
  change: (value: string) => Partial<NonNullable<RigRequest["style"]>>,
): Taking => ({
  values,
  take: (request, value) => ({ ...request, style: { ...request.style, ...change(value) } }),
});

/** Every choice, once. */
export const TAKING: { readonly [K in Choice]: Taking } = {
  purpose: ofStyle(
    () => PURPOSES,
    (value) => ({ purpose: value as (typeof PURPOSES)[number] }),
  ),
  presentation: {
    values: () => PRESENTATIONS,
    take: (request, value) => ({
      ...request,
      water: { ...request.water, presentation: value as (typeof PRESENTATIONS)[number] },
    }),
  },
  leader: ofStyle(
    () => LEADER_SCHOOLS,
    (value) => ({ leader: value as (typeof LEADER_SCHOOLS)[number] }),
  ),
  floatLine: ofStyle(
    () => ["mono", "braid"],
    (value) => ({ floatLine: value as "mono" | "braid" }),
  ),
  countJig: ofStyle(
    () => ["yes", "no"],
    (value) => ({ countJig: value === "yes" }),
  ),
  bait: {
    values: () => BAIT_KINDS,
    take: (request, value) => ({
      ...request,
      tackle: { ...request.tackle, bait: { kind: value as (typeof BAIT_KINDS)[number] } },
    }),
  },
  retrieve: ofStyle(
    ({ method }) => METHOD[method].retrieves,
    (value) => ({ retrieve: value as Retrieve }),
  ),
  hook: ofStyle(
    () => ["open", "weedless"],
    (value) => ({ hook: value as "open" | "weedless" }),
  ),
};

/** A request with what was chosen for its method; a choice that has no such answer is passed over. */
export const withChoices = (request: RigRequest, chosen: Chosen): RigRequest =>
  CHOICES.reduce((asked, choice) => {
    const value = chosen[choice];
    return value !== undefined && TAKING[choice].values(asked).includes(value)
      ? TAKING[choice].take(asked, value)
      : asked;
  }, request);
