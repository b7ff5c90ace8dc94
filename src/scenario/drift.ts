import { z } from "zod";
import type { Lie } from "../core/fish/read";
import { speciesById } from "../core/fish/species";
import type { Field } from "../core/flow/grid";
import type { Feature, Reach } from "../core/flow/reach-schema";
import { between, finite, positive } from "../core/quantity/checks";
import { InputError } from "../core/quantity/fault";
import { refuse } from "../core/quantity/issue";
import { message } from "../core/quantity/message";
import type { RigAdvice } from "../core/rig/advice";
import { adviseFor, parseRigRequest } from "../core/rig/advise";
import type { RigRequest } from "../core/rig/request";
import { behaviourOptions } from "../core/rig/behaviour";
import { behaviourOf } from "../core/rig/methods";
import { secondsNear } from "../core/rig/cast-solver";
import { type Drift, driftPath } from "../core/rig/drift-path";
import { placeWater } from "../core/rig/place";
import { CAST, rodReach } from "../core/rig/rod";
import { rigRequestSchema } from "../core/rig/request";
import { strikeZone } from "../core/rig/strike-zone";
import { MENDS, type Way, wayFrom } from "../core/rig/ways";
import { mainCurrent } from "../core/water/main-current";
import { approachLie, otherPlaces, USUAL_ANGLER } from "./approach";
import { type Conditions, conditionsOf, USUAL } from "./conditions";
import { livingFish } from "./fish";
import { readReach } from "./read";
import { type ReachReading, readingRequest } from "./reading";
import { rigRequest } from "./rig";

const place = z.tuple([finite, finite]).readonly();

/** What `heron drift` reads: m and m3/s; the rig as `heron rig` takes it, its water the reach's own. */
const driftRequestSchema = z.object({
  discharge: positive,
  cell: between(0.1, 20).optional(),
  from: place.optional(),
  landing: place.optional(),
  /** Rank of the lie that is fished; the first one. */
  lie: z.int().min(1).max(50).default(1),
  solve: z.boolean().default(false),
  rig: rigRequestSchema.extend({
    method: rigRequestSchema.shape.method.default("float"),
    species: rigRequestSchema.shape.species.default("brown-trout"),
    water: rigRequestSchema.shape.water.partial().default({}),
  }),
});
export type DriftRequest = z.output<typeof driftRequestSchema>;

/** @throws InputError "bad-drift" */
export function parseDriftRequest(data: unknown): DriftRequest {
  const parsed = driftRequestSchema.safeParse(data, { reportInput: true });
  if (!parsed.success) refuse(parsed.error, "bad-drift");
  return parsed.data;
}

/** A drift through a reach, with the seconds that it is near each lie; solved for, where that was asked. */
export interface DriftAnswer {
  advice: RigAdvice;
  drift: Drift;
  secondsInZone: { lie: number; seconds: number }[];
  landing: readonly [number, number];
  from: readonly [number, number] | null;
  way: Way | null;
}

export function driftThrough(field: Field, reach: Reach, request: DriftRequest): DriftAnswer {
  const { rig } = request;
  const base = speciesById(rig.species);
  const conditions: Conditions = {
    ...conditionsOf(undefined, undefined, undefined, { discharge: field.discharge, light: rig.light ?? "day" }),
    visibleDepth: rig.water.visibleDepth ?? USUAL.visibleDepth,
    temperature: rig.water.temperature ?? USUAL.temperature,
  };
  const { species } = livingFish(base, "usual", conditions, undefined);
  const asked = readingRequest(species, conditions, reach.features);
  const reading = readReach(field, asked);
  const lie = reading.lies.find(({ rank }) => rank === request.lie) ?? reading.lies[0];
  const zone = strikeZone(species, conditions);
  const near = (drift: Drift) => reading.lies.map((one) => ({ lie: one.rank, seconds: secondsNear(drift, zone, one) }));
  const ofRig = (at: Lie | undefined, distance: number): RigRequest =>
    rigAt(field, at, request, conditions, distance, reach.features);
  if (request.solve) {
    if (!lie) throw new InputError("no-lie-to-solve");
    const way = solved(field, reading, { request, asked, lie, ofRig });
    const { landing, drift } = way.cast;
    return { advice: way.advice, drift, secondsInZone: near(drift), landing, from: way.from, way };
  }
  const { landing } = request;
  if (!landing)
    throw new InputError(
      "bad-drift",
      { path: "landing", issue: message("wrong-type", { expected: "array", missing: true }) },
      { path: "landing" },
    );
  if (!(placeWater(field, ...landing).depth > 0.05))
    throw new InputError("landing-dry", { x: landing[0], y: landing[1] }, { path: "landing" });
  const { from } = request;
  const distance = from ? Math.hypot(landing[0] - from[0], landing[1] - from[1]) : CAST;
  const rigAsked = parseRigRequest(ofRig(lie, distance));
  const advice = adviseFor(rigAsked, species);
  const behaviour = behaviourOf(behaviourOptions(rigAsked, advice, distance));
  const drift = driftPath(field, { behaviour, landing, from, rodReach: rodReach(advice.line.rod), mends: MENDS });
  return { advice, drift, secondsInZone: near(drift), landing, from: from ?? null, way: null };
}

/** The rig's request with the water of a lie, or of the landing where there is no lie. */
function rigAt(
  field: Field,
  lie: Lie | undefined,
  { rig, landing = [0, 0] }: DriftRequest,
  conditions: Conditions,
  distance: number,
  features: readonly Feature[] | undefined,
): RigRequest {
  const given = Object.fromEntries(Object.entries(rig.water).filter(([, value]) => value !== undefined));
  const here = placeWater(field, ...landing);
  const own = lie
    ? rigRequest(field, lie, conditions, rig.species, { method: rig.method, distance, features }).water
    : {
        depth: here.depth,
        meanSpeed: here.meanSpeed,
        bedRoughness: here.bedRoughness,
        visibleDepth: conditions.visibleDepth,
        temperature: conditions.temperature,
        distance,
      };
  return { ...rig, water: { ...own, ...given } } as RigRequest;
}

function solved(
  field: Field,
  reading: ReachReading,
  {
    request,
    asked,
    lie,
    ofRig,
  }: {
    request: DriftRequest;
    asked: ReturnType<typeof readingRequest>;
    lie: Lie;
    ofRig: (lie: Lie, distance: number) => RigRequest;
  },
): Way {
  const { species, features = [] } = asked;
  const approach = approachLie(field, reading, {
    lie,
    reading: asked,
    angler: USUAL_ANGLER,
    base: request.rig.species,
    sun: undefined,
    leave: false,
  });
  const stands = request.from
    ? [{ school: "from-below" as const, at: request.from }]
    : approach.stands.map(({ school, x, y }) => ({ school, at: [x, y] as const }));
  const question = {
    field,
    species,
    fish: lie,
    stands,
    ways: {
      field,
      features,
      others: otherPlaces(reading, lie),
    },
    main: mainCurrent(field),
    request: (_: unknown, distance: number) => ofRig(lie, distance),
    liked: [],
  };
  for (const stand of stands) {
    const way = wayFrom(question, request.rig.method, stand);
    if (way) return way;
  }
  throw new InputError("no-cast");
}
