import { habitsOf } from "../core/fish/species-habits";
import fc from "fast-check";
import { SPECIES } from "../core/fish/species-list";
import type { Message } from "../core/quantity/message";
import { InputError } from "../core/quantity/fault";
import { METHODS_FOR } from "../core/tactics/methods";
import { PREY, SNAGS } from "../core/tactics/lure-kinds";
import { messageText } from "./messages";
import "./rig";
import type { RigAdvice } from "../core/rig/advice";
import { adviseRig } from "../core/rig/advise";
import type { RigRequest } from "../core/rig/request";
import { fishFloat } from "../core/rig/float";
import { reelSpeed } from "../core/rig/reel";

/**
 * What a card claims must hold in the solved figures: for random water and tackle, each sentence is checked against
 * them.
 */
const request = fc
  .record({
    species: fc.constantFrom(...SPECIES.map(({ id }) => id)),
    at: fc.nat(20),
    depth: fc.double({ min: 0.4, max: 14, noNaN: true }),
    meanSpeed: fc.double({ min: 0, max: 2.4, noNaN: true }),
    bedRoughness: fc.double({ min: 0.01, max: 0.3, noNaN: true }),
    visibleDepth: fc.double({ min: 0.1, max: 4, noNaN: true }),
    temperature: fc.double({ min: 1, max: 27, noNaN: true }),
    light: fc.constantFrom("day" as const, "twilight" as const, "night" as const),
    wind: fc.double({ min: 0, max: 14, noNaN: true }),
    snags: fc.constantFrom(...SNAGS),
    weed: fc.boolean(),
    prey: fc.constantFrom(...PREY),
    distance: fc.double({ min: 3, max: 20, noNaN: true }),
    perTurn: fc.double({ min: 0.2, max: 1, noNaN: true }),
    metal: fc.constantFrom("lead" as const, "tungsten" as const, "tin" as const),
    short: fc.boolean(),
    tough: fc.boolean(),
    tandem: fc.boolean(),
    liveBait: fc.boolean(),
    holdBack: fc.option(fc.double({ min: 0, max: 0.6, noNaN: true }), { nil: undefined }),
    fall: fc.constantFrom("slack" as const, "semi-slack" as const, "tight" as const),
    // A box of nothing but dust shot.
    dust: fc.boolean(),
    // A blade that wants a fast retrieve.
    stiff: fc.boolean(),
  })
  .map(
    ({
      species,
      at,
      perTurn,
      metal,
      short,
      tough,
      tandem,
      liveBait,
      holdBack,
      fall,
      dust,
      stiff,
      ...water
    }): RigRequest => {
      const methods = METHODS_FOR[habitsOf(species).family];
      return {
        method: methods[at % methods.length]!,
        species,
        water,
        tackle: {
          perTurn,
          metal,
          ...(dust && { shot: [{ size: "dust", grams: 0.02 }] }),
          ...(stiff && { spinner: { grams: 12, least: 1.3 } }),
        },
        style: { short, tough, tandem, liveBait, holdBack, fall },
      };
    },
  );

type Check = (advice: RigAdvice, values: Message["values"], asked: RigRequest) => boolean;

const near = (a: unknown, b: unknown) => Math.abs(Number(a) - Number(b)) < 1e-9;
const float =
  (check: (advice: RigAdvice & { method: "float" }) => boolean): Check =>
  (advice) =>
    advice.method === "float" && check(advice);
const jig =
  (check: (advice: RigAdvice & { method: "jig" | "spoon" }) => boolean): Check =>
  (advice) =>
    (advice.method === "jig" || advice.method === "spoon") && check(advice as RigAdvice & { method: "jig" | "spoon" });

/** What each sentence says, as a condition on the figures. */
const CLAIMS: Record<string, Check> = {
  "bait-leads": float(({ lead }) => lead >= 0.02),
  "bait-trails": float(({ lead }) => lead <= -0.02),
  "bait-under": float(({ lead }) => Math.abs(lead) < 0.02),
  "hold-back": float(({ holdBack }) => holdBack > 0),
  "run-free": float(({ holdBack }) => holdBack === 0),
  "float-set": (advice, { setting, shotHeight }) =>
    advice.method === "float" && near(setting, advice.setting) && near(shotHeight, advice.shotHeight),
  "float-slides": (advice) => advice.method === "float" && advice.setting + advice.leader > advice.line.rod - 0.3,
  "deepen-by-float": (advice, { touchesAt }) =>
    advice.method === "float" && (touchesAt === null || Number(touchesAt) >= advice.setting),
  "float-seen": (advice, { beyond, distance, seenTo }) =>
    advice.method === "float" && beyond === (distance !== undefined && Number(distance) > Number(seenTo)),
  "jig-lightest": jig(
    ({ head, ladder }) =>
      ladder.every((rung) => rung.grams >= head.grams || !rung.touches) &&
      ladder.find(({ grams }) => grams === head.grams)!.touches,
  ),
  "jig-heavier": jig(({ head, ladder }) => ladder.some((rung) => rung.touches && rung.grams < head.grams)),
  "jig-none-touches": jig(({ ladder }) => ladder.every(({ touches }) => !touches)),
  "jig-wind": (_, { wind, least }) => near(least, 0.05 * Number(wind) ** 2),
  "short-lighter": jig(({ head, fall, ladder }) => ladder.some((rung) => rung.grams > head.grams && rung.fall > fall)),
  "jig-tight": jig(({ falls }) => falls.tight >= falls.slack),
  "drift-taps": (advice) => advice.method === "drift" && advice.touchFraction >= 0.2,
  "drift-none-taps": (advice) => advice.method === "drift" && advice.touchFraction < 0.2,
  "weight-holds": (advice) => "holds" in advice && (advice.holds || advice.speed < 0.02),
  "weight-rolls": (advice) => "holds" in advice && !advice.holds && advice.speed >= 0.02,
  "plug-touches": (advice) => advice.method === "plug" && advice.touches && advice.depthReached <= advice.lineOut,
  "plug-short": (advice, _, { water }) =>
    advice.method === "plug" && !advice.touches && advice.depthReached < water.depth,
  "plug-unnatural": (advice, _, { water }) =>
    advice.method === "plug" &&
    water.meanSpeed > advice.plug.best + 0.89 &&
    near(advice.over, water.meanSpeed - advice.plug.best),
  "plug-with": (advice) => advice.method === "plug" && advice.feasible && advice.direction === "with",
  "plug-reel": (advice) => advice.method === "plug" && !advice.feasible,
  "spinner-up": (advice) =>
    advice.method === "spinner" &&
    advice.up.feasible &&
    (advice.up.secondsInZone >= advice.down.secondsInZone || !advice.down.feasible),
  "spinner-down": (advice) =>
    advice.method === "spinner" && (advice.down.secondsInZone > advice.up.secondsInZone || !advice.up.feasible),
  "spinner-too-fast": (advice, _, { tackle }) =>
    advice.method === "spinner" && advice[advice.advice].retrieve > reelSpeed(tackle ?? {}),
  "lead-banned": (advice, _, { tackle }) =>
    tackle!.metal === "lead" || ("head" in advice && advice.head.metal === "lead"),
  "hook-fine": ({ line }) => line.hook === "fine" && line.leader.test < 3,
  "hook-strong": ({ line }) => line.hook === "strong" && line.leader.test >= 3,
  "drag-set": ({ line }, { drag }) => near(drag, line.drag) && line.drag < line.leader.test / 3,
  "weed-weedless": ({ lure }) => lure.hookStyle === "weedless",
  "snags-weedless": ({ lure }) => lure.hookStyle === "weedless",
  "snags-open": ({ lure }) => lure.hookStyle === "open",
};

test("what the words claim of ahead, behind, touching, seen, heavier and slower holds in the numbers, over random water and tackle", () => {
  const seen = new Set<string>();
  fc.assert(
    fc.property(request, (asked) => {
      let advice: RigAdvice;
      try {
        advice = adviseRig(asked);
      } catch (error) {
        // Water too thin for a float is refused, and nothing else is.
        return error instanceof InputError && error.fault.code === "too-shallow";
      }
      for (const one of [...advice.reasons, ...advice.cautions]) {
        for (const system of ["metric", "us"] as const) {
          const text = messageText(one, system);
          if (/NaN|undefined|Infinity|null/.test(text) || text === one.code) throw new Error(`${one.code}: ${text}`);
        }
        const claim = CLAIMS[one.code];
        if (!claim) continue;
        seen.add(one.code);
        if (!claim(advice, one.values, asked))
          throw new Error(`${one.code} ${JSON.stringify(one.values)} does not hold in ${JSON.stringify(advice)}`);
      }
      return true;
    }),
    { numRuns: 600, seed: 7 },
  );
  // No claim goes unchecked for want of water that makes it.
  expect(Object.keys(CLAIMS).filter((code) => !seen.has(code))).toEqual([]);
});

test("the hold-back at which the bait is said to lead makes it lead", () => {
  let leading = 0;
  for (const meanSpeed of [0.3, 0.6, 1]) {
    const asked = adviseRig({ method: "float", species: "brown-trout", water: { depth: 1.2, meanSpeed } });
    expect(asked.lead).toBeLessThan(0);
    if (asked.leadsAt === null) continue;
    const held = fishFloat(
      { depth: 1.2, meanSpeed, bedRoughness: 0.15 },
      asked.hung,
      asked.setting,
      asked.shotting,
      asked.leadsAt + 0.02,
    );
    expect(held.lead).toBeGreaterThan(0);
    leading++;
  }
  expect(leading).toBeGreaterThan(0);
});
