import { type BoatStand, boatFor } from "../core/approach/boat";
import { type LandingPlace, landingPlace, type NearWood, woodNear } from "../core/approach/fish-on";
import { FALLS, type Fall } from "../core/approach/landing";
import { type Sun, sunOver } from "../core/approach/shadow";
import { type NoStand, type School, type Stand, standsFor } from "../core/approach/stands";
import type { Lie } from "../core/fish/read";
import type { Field } from "../core/flow/grid";
import { type Whereabouts, whereaboutsOf } from "../core/fish/lie-place";
import { breaksOf } from "../core/water/cover";
import { groundOf } from "../core/water/land";
import { mainCurrent } from "../core/water/main-current";
import type { Reach } from "../core/flow/reach-schema";
import type { Feeding } from "../core/tactics/feeding";
import { type Style, timeFor, type Timing } from "../core/tactics/time";
import type { Position } from "./conditions";
import { keyOf } from "./key";
import type { ReachReading, ReadingRequest } from "./reading";

/** Who fishes, and how. */
export interface Angler {
  /** m */
  height: number;
  fall: Fall;
  style: Style;
  feeding?: Feeding;
}

/** Height of an angler who has not said theirs, m, as BODY_MARKS has it; a small jig, roving. Common practice. */
export const USUAL_ANGLER: Angler = { height: 1.75, fall: "jig", style: "rove" };

/** Third stage: how to come to one lie, and how long to give it. */
export interface ApproachRequest {
  lie: Lie;
  reading: ReadingRequest;
  angler: Angler;
  /** Id of the fish that ships, whose habits hold for a profile copied from it. */
  base: string;
  sun: Sun | undefined;
  /** The river is told to be left: nobody is sent to the water. */
  leave: boolean;
}

/** Where a place is by what can be seen. */
type Seen<T> = T & { whereabouts: Whereabouts };

/** A stand, and where a fish hooked from it can be landed; null where there is no such place within a walk. */
type SeenStand = Seen<Stand> & { landing: Seen<LandingPlace> | null };

export interface Approach {
  stands: readonly SeenStand[];
  /** Wood that a fish hooked at the lie can run into. */
  wood: NearWood | undefined;
  /** Why a school has no stand. */
  none: Partial<Record<School, NoStand>>;
  boat: Seen<BoatStand> | undefined;
  timing: Timing;
  /** No stand is given because the river is to be left. */
  left: boolean;
}

/** The sun over a reach whose place and bearing are known; it moves by the minute: two degrees are near enough. */
function sunFor(at: number | undefined, position: Position | undefined, bearing: number | undefined): Sun | undefined {
  if (at === undefined || !position || bearing === undefined) return undefined;
  const sun = sunOver(at, position.latitude, position.longitude, bearing);
  return (
    sun && {
      altitude: Math.max(1, Math.round(sun.altitude / 2) * 2),
      shadows: [Math.round(sun.shadows[0] * 30) / 30, Math.round(sun.shadows[1] * 30) / 30],
    }
  );
}

/** Where a reach lies, where it says. */
export const positionOf = ({ latitude, longitude }: Pick<Reach, "latitude" | "longitude">): Position | undefined =>
  latitude === undefined || longitude === undefined ? undefined : { latitude, longitude };

/** How a lie of a reach is come to at an instant, ms; `place` is where the reach lies, if it says nothing itself. */
export const approachRequest = (
  reach: Pick<Reach, "latitude" | "longitude" | "bearing">,
  { at, place, ...rest }: Omit<ApproachRequest, "sun"> & { at: number | undefined; place: Position | undefined },
): ApproachRequest => ({ ...rest, sun: sunFor(at, positionOf(reach) ?? place, reach.bearing) });

/** All of the request: of a reading, by its own key, a lie is known by its place. */
export const approachKey = (of: string, { lie, reading: _, ...rest }: ApproachRequest): string =>
  keyOf("approach", of, lie.x, lie.y, rest);

/** Places of all lies but one: what no line should run over. */
export const otherPlaces = ({ lies }: Pick<ReachReading, "lies">, lie: Pick<Lie, "x" | "y">) =>
  lies.filter((one) => one.x !== lie.x || one.y !== lie.y).flatMap((one) => [one, ...one.others]);

export function approachLie(field: Field, reading: ReachReading, request: ApproachRequest): Approach {
  const { lie, angler, sun, base } = request;
  const { species, visibleDepth, temperature, features } = request.reading;
  const timing = timeFor(lie, {
    visibleDepth,
    temperature,
    style: angler.style,
    feeding: angler.feeding,
    species,
    base,
  });
  if (request.leave) return { stands: [], none: {}, boat: undefined, wood: undefined, timing, left: true };
  const fish = {
    x: lie.x,
    y: lie.y,
    upCurrent: lie.upCurrent,
    eyeDepth: Math.max(0.05, lie.depth - lie.focalHeight),
    lureHeight: Math.min(lie.focalHeight, 0.5 * lie.depth),
    visibleDepth,
    height: angler.height,
    // A bait that is laid goes down on a weight that holds it.
    fall: timing.drill === "soak" ? FALLS.heavy : FALLS[angler.fall],
    casts: timing.casts,
    drill: timing.drill,
    others: otherPlaces(reading, lie),
    seams: reading.seams,
    features,
    sun,
    main: mainCurrent(field),
    ground: groundOf(field, features),
  };
  const at = { field, main: fish.main, bank: fish.ground.bank, breaks: breaksOf(field, features) };
  const seen = <T extends { x: number; y: number }>(one: T): Seen<T> => ({
    ...one,
    whereabouts: whereaboutsOf(at, one.x, one.y),
  });
  const boat = boatFor(field, fish, reading.structure.ledges);
  const { stands, none } = standsFor(field, fish);
  return {
    stands: stands.map((one) => {
      const down = [-lie.upCurrent[0], -lie.upCurrent[1]] as const;
      const landing = landingPlace(field, features ?? [], [one.x, one.y], down, fish.ground);
      return { ...seen(one), landing: landing ? seen(landing) : null };
    }),
    wood: woodNear(features ?? [], lie),
    none,
    boat: boat && seen(boat),
    timing,
    left: false,
  };
}
