import { targetsFor } from "../core/approach/targets";
import type { Field } from "../core/flow/grid";
import { type NoWay, type Way, waysFor } from "../core/rig/ways";
import { timeFor } from "../core/tactics/time";
import { mainCurrent } from "../core/water/main-current";
import { otherPlaces } from "./approach";
import type { ReachReading } from "./reading";
import { rigRequest } from "./rig";
import type { WaysRequest } from "./ways-request";

export interface Ways {
  ways: Way[];
  without: NoWay[];
}

/** Fifth stage: every way to fish a lie, each with its rig and its cast, from where one can stand. */
export function waysOf(field: Field, reading: ReachReading, request: WaysRequest): Ways {
  const { lie, conditions, base, phase, own, stands, liked, style } = request;
  const { species, features = [], temperature, visibleDepth } = request.reading;
  const ways = { field, features, others: otherPlaces(reading, lie) };
  const main = mainCurrent(field);
  return waysFor({
    field,
    species,
    fish: lie,
    stands,
    ways,
    main,
    targets: ({ method, retrieveKind: retrieve, lure: { lasts } }, from, fall) => {
      const worked = { method, retrieve, lasts };
      const { casts, drill } = timeFor(lie, { visibleDepth, temperature, style, species, base, ...worked });
      const height = Math.min(lie.focalHeight, 0.5 * lie.depth);
      return targetsFor(field, reading.seams, { x: lie.x, y: lie.y, from, height, fall, casts, drill, main, ways });
    },
    request: (method, distance) => rigRequest(field, lie, conditions, base, { method, distance, phase, features }, own),
    liked,
  });
}
