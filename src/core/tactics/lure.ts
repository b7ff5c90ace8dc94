import type { Phase } from "../fish/phases";
import type { Family } from "../fish/species-record";
import { habitsOf } from "../fish/species-habits";
import { type Message, message } from "../quantity/message";
import { type ClarityClass, clarityClass } from "../gauge/clarity";
import type { Light } from "../gauge/light";
import { BRIGHT, colourOrder, DARK, isDirty } from "./colours";
import {
  type Colour,
  type ColourSchool,
  LURE_CATEGORIES,
  type LureBody,
  type LureCategory,
  type LureSize,
  type Prey,
  type Snags,
} from "./lure-kinds";
import { METHOD, type Method, type Mood } from "./methods";
import { isSmall, sizeOf, type Step, TINY_JIG } from "./sizes";

export * from "./lure-kinds";

/** Everything that the choice of a lure hangs on. */
export interface LureWater {
  /** Id of the fish that ships. */
  species?: string;
  method?: Method;
  /** m */
  visibleDepth: number;
  /** degC */
  temperature: number;
  light: Light;
  phase?: Phase;
  prey?: Prey;
  /** Length of the bait fish seen, m. */
  preyLength?: number;
  snags?: Snags;
  weed?: boolean;
  /** A hard day: nothing comes, or comes short. */
  tough?: boolean;
  school?: ColourSchool;
  /** A hook that is hidden or open, of the angler's choice. */
  hook?: "open" | "weedless";
}

/**
 * A choice of lure with its reasons. Rules of craft: common practice, no source; the angler's own log outranks them.
 */
export interface LureChoice {
  category: LureCategory;
  size: LureSize;
  /** Best first. */
  colours: Colour[];
  /** Undefined for baits, whose hook stays open. */
  hookStyle: "open" | "weedless";
  reasons: Message[];
  body: LureBody;
  /** Of a bait: minutes until it is renewed. */
  lasts?: number;
}

/** Under this water is cold for a fish, over that it is warm, degC. Common practice, no source. */
const WARMTH: Record<Family, { cold: number; warm: number }> = {
  trout: { cold: 7, warm: 14 },
  run: { cold: 5, warm: 13 },
  bass: { cold: 10, warm: 20 },
  striper: { cold: 10, warm: 20 },
  walleye: { cold: 8, warm: 18 },
  catfish: { cold: 12, warm: 22 },
  panfish: { cold: 9, warm: 18 },
  coarse: { cold: 8, warm: 17 },
};

/** How warm the water is to a fish. */
export function warmthFor(family: Family, temperature: number): Mood["warmth"] {
  const { cold, warm } = WARMTH[family];
  return temperature < cold ? "cold" : temperature > warm ? "warm" : "usual";
}

/** What is made to be taken, and not eaten: all but the baits. */
export const isLure = (category: LureCategory): boolean =>
  LURE_CATEGORIES.indexOf(category) >= LURE_CATEGORIES.indexOf("small-jig");
/** What can be rigged with its point in the body, or behind a guard. */
const GUARDED: readonly LureCategory[] = ["small-jig", "curl-tail", "paddle-tail", "tube", "finesse-worm"];
/** Can its point be hidden? */
export const canHide = (category: LureCategory): boolean => GUARDED.includes(category);
/** What stands for a bait fish and is as long as one. */
const FISH_LIKE: readonly LureCategory[] = ["curl-tail", "paddle-tail", "plug"];

/** Lure category, size and colours in order. */
export function chooseLure(asked: LureWater): LureChoice {
  const water = { ...PLAIN, ...defined(asked) };
  const { prey, school, tough, species, method } = water;
  const family = habitsOf(species).family;
  const clarity = clarityClass(water.visibleDepth);
  const warmth = warmthFor(family, water.temperature);
  const category = METHOD[method].category({ family, species, clarity, mood: { prey, tough, warmth } });
  const matched = prey === "bait-fish" && FISH_LIKE.includes(category) ? water.preyLength : undefined;
  const tiny = category === "small-jig" && method === "float" && clarity === "gin-clear" && isSmall(family);
  const { size, body } = tiny ? TINY_JIG : sizeOf(category, family, sizeStep(water, warmth), matched);
  const plain = colourOrder({ category, family, clarity, light: water.light, prey, school });
  // A hard day: darker first, and the loudest one last, for when nothing else has moved them.
  const colours = tough ? toughOrder(plain) : plain;
  const { hookStyle, reasons: hookReasons } = hookFor(category, water);
  return {
    category,
    size,
    colours,
    hookStyle,
    body,
    reasons: [
      ...clarityReasons(clarity, water, isLure(category), school),
      message(WARMTH_REASONS[warmth]),
      ...(water.phase === undefined ? [] : [message(`phase-${water.phase}`)]),
      ...(tough ? [message("tough-smaller", { last: colours.at(-1) })] : []),
      ...preyReasons(water, matched, isDirty(clarity)),
      ...hookReasons,
      ...(category === "worm" ? [message("worm-smells")] : []),
      ...(colours.some((one) => BRIGHT.includes(one)) && family !== "catfish" ? [message("brights-attract-pike")] : []),
    ],
  };
}

/** What is taken where nothing is said. */
const PLAIN = {
  method: "float",
  species: "brown-trout",
  prey: "none",
  school: "dark-first",
  tough: false,
} as const satisfies Partial<LureWater>;

type Asked = LureWater & Required<Pick<LureWater, keyof typeof PLAIN>>;

const defined = (water: LureWater): LureWater =>
  Object.fromEntries(Object.entries(water).filter(([, value]) => value !== undefined)) as unknown as LureWater;

const WARMTH_REASONS = { cold: "cold-smaller", usual: "usual-size", warm: "warm-larger" } as const;

/** A size down in the cold and on hard days, up in the warm and when big baits sort out big fish. */
function sizeStep({ phase, tough }: Asked, warmth: Mood["warmth"]): Step {
  const big = phase === "after" || phase === "summer" ? 1 : 0;
  const wanted = (warmth === "cold" ? -1 : warmth === "warm" ? 1 : 0) + (tough ? -1 : 0) + big;
  return Math.max(-1, Math.min(1, wanted)) as Step;
}

function preyReasons({ prey, preyLength }: Asked, matched: number | undefined, dirty: boolean): Message[] {
  if (prey === "none") return [];
  return [
    message(`prey-${prey}`, { matched, dirty }),
    ...(preyLength !== undefined && matched === undefined
      ? [message("prey-length-noted", { length: preyLength })]
      : []),
  ];
}

function toughOrder(colours: readonly Colour[]): Colour[] {
  const dark = colours.filter((one) => DARK.includes(one));
  const bright = colours.filter((one) => BRIGHT.includes(one));
  const rest = colours.filter((one) => !DARK.includes(one) && !BRIGHT.includes(one));
  return [...dark, ...rest, ...bright];
}

function clarityReasons(
  clarity: ClarityClass,
  { light }: LureWater,
  lure: boolean,
  school: Asked["school"],
): Message[] {
  const dirty = isDirty(clarity);
  return [
    message(`colours-${clarity}`),
    ...(light === "day" && !dirty ? [message("daylight-on-clear")] : []),
    ...(light === "twilight" ? [message("low-light")] : light === "night" ? [message("night-dark")] : []),
    ...(lure || dirty ? [message(dirty ? `school-${school}` : `school-later-${school}`)] : []),
  ];
}

function hookFor(category: LureCategory, water: LureWater): { hookStyle: "open" | "weedless"; reasons: Message[] } {
  const { snags = "none", weed = false, hook } = water;
  const asked = hook === undefined ? snags === "many" || weed : hook === "weedless";
  const can = canHide(category);
  const reasons = [
    ...(weed && hook === undefined ? [message(can ? "weed-weedless" : "weed-open")] : []),
    ...(snags === "many" && hook === undefined ? [message(can ? "snags-weedless" : "snags-open")] : []),
    ...(snags === "some" ? [message("snags-some")] : []),
    ...(hook === undefined ? [] : [message(asked && can ? "hook-asked-weedless" : "hook-asked-open")]),
  ];
  return { hookStyle: asked && can ? "weedless" : "open", reasons };
}
