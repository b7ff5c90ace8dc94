import fc from "fast-check";
import { SPECIES } from "../core/fish/species-list";
import type { Message } from "../core/quantity/message";
import { InputError } from "../core/quantity/fault";
import { methodsFor } from "../core/tactics/fished-with";
import { PRESENTATIONS, type Purpose, PURPOSES } from "../core/tactics/purpose";
import { PREY, SNAGS } from "../core/tactics/lure-kinds";
import { messageText } from "./messages";
import { methodWords, setWords } from "./methods";
import { rigWords } from "./rig";
import type { RigAdvice } from "../core/rig/advice";
import { adviseRig } from "../core/rig/advise";
import type { RigRequest } from "../core/rig/request";
import type { Step } from "../core/rig/choose-weight";
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
    purpose: fc.option(fc.constantFrom(...PURPOSES), { nil: undefined }),
    presentation: fc.option(fc.constantFrom(...PRESENTATIONS), { nil: undefined }),
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
      purpose,
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
      const methods = methodsFor(species);
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
        style: { short, tough, tandem, liveBait, holdBack, fall, purpose },
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

type Weighted = Extract<RigAdvice, { ladder: unknown }>;
const gramsOf = (advice: Weighted) => ("head" in advice ? advice.head.grams : advice.grams);
const stepOf = (advice: Weighted): Step =>
  (advice.ladder as readonly Step[]).find(({ grams }) => grams === gramsOf(advice))!;
const chosen =
  (check: (step: Step, values: Message["values"]) => boolean): Check =>
  (advice, values) =>
    "ladder" in advice && check(stepOf(advice), values);

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
  "weight-touch": chosen(({ serves, touch }) => serves.includes("touch") && touch >= 0.2 && touch <= 0.5),
  "weight-down": chosen(({ serves, touch }) => serves.includes("down") && touch >= 0.2),
  "weight-hold": chosen(({ serves, holds }) => serves.includes("hold") && holds),
  "weight-slow": chosen(({ serves }) => serves.includes("slow")),
  "weight-more": (advice, { purpose }) =>
    "ladder" in advice &&
    advice.ladder.every(({ serves }) => !serves.includes(purpose as Purpose)) &&
    (purpose === "slow" ? stepOf(advice).meets : stepOf(advice).reaches && stepOf(advice).touch > 0.5),
  "weight-felt": (advice) =>
    "head" in advice &&
    advice.reasons.some(({ code }) => code === "jig-wind") &&
    advice.ladder.some(({ grams }) => grams < advice.head.grams),
  "weight-less": (advice, { reaches }) => {
    if (!("ladder" in advice) || advice.ladder.some(({ serves }) => serves.includes(advice.purpose))) return false;
    const step = stepOf(advice);
    if (step.grams < Math.max(...advice.ladder.map(({ grams }) => grams))) return false;
    // What it is said not to do it does not do.
    if (!reaches) return !step.reaches;
    return advice.purpose === "hold" ? !step.holds : advice.purpose === "touch" ? step.touch < 0.2 : true;
  },
  "weight-beside": (advice, { which, pieces, piece }) => {
    if (!("ladder" in advice)) return false;
    const other = Number(pieces) * Number(piece);
    return which === "lighter" ? other < stepOf(advice).grams : other > stepOf(advice).grams;
  },
  "weight-sink": chosen(({ seconds, swept }, values) => near(values.seconds, seconds) && near(values.swept, swept)),
  "leader-breaks": ({ line }) => line.pull > 0.85 * Math.min(line.leader.test, line.main.test),
  "leader-school-fine": ({ line }) => line.school === "fine",
  "leader-school-strong": ({ line }) => line.school === "strong",
  "jig-wind": (_, { wind, least }) => near(least, 0.05 * Number(wind) ** 2),
  "jig-tight": jig(({ falls }) => falls.tight >= falls.slack),
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
    { numRuns: 900, seed: 11 },
  );
  // No claim goes unchecked for want of water that makes it.
  expect(Object.keys(CLAIMS).filter((code) => !seen.has(code))).toEqual([]);
});

/** Weights in a text, by their grams. */
const gramsIn = (text: string) => [...text.matchAll(/(\d+(?:\.\d+)?) ?g\b/g)].map(([, grams]) => Number(grams));

test("one size on one card: over 500 random requests nothing prints two sizes of one thing", () => {
  let compared = 0;
  fc.assert(
    fc.property(request, fc.constantFrom("metric" as const, "us" as const), (asked, system) => {
      let advice: RigAdvice;
      try {
        advice = adviseRig(asked);
      } catch {
        return;
      }
      const { figure, unit } = methodWords(advice).figure(advice, system);
      const { lure } = rigWords(advice, system);
      const printed = gramsIn(`${figure} ${unit}`);
      const set = gramsIn(setWords({ advice, school: "from-below" }, system));
      const sized = gramsIn(lure.size);
      const [reason] = advice.reasons.filter(({ code }) => /^weight-(touch|down|hold|slow|more|less|felt)$/.test(code));
      const told = reason ? gramsIn(messageText(reason, system)) : [];
      // The head of the card, its table, its lure and its reason name one weight.
      if ("head" in advice) {
        expect(new Set([...printed, ...set, ...told])).toEqual(new Set([printed[0]]));
        if ("head" in advice.lure.size || "mass" in advice.lure.size) expect(sized).toEqual([printed[0]]);
        compared++;
      } else if ("pieces" in advice && advice.pieces > 0) {
        expect(new Set([...printed, ...set, ...told])).toEqual(new Set([printed[0]]));
        compared++;
      }
      if ("blade" in advice.lure.size && "grams" in advice)
        expect(advice.lure.size.mass * 1000).toBeCloseTo(advice.grams, 9);
      if ("plug" in advice) expect(advice.lure.size).toEqual({ length: advice.plug.length });
    }),
    { numRuns: 500, seed: 3 },
  );
  expect(compared).toBeGreaterThan(200);
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
