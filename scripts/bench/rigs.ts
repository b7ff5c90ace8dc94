import { performance } from "node:perf_hooks";
import { speciesById } from "../../src/core/fish/species";
import type { Field } from "../../src/core/flow/grid";
import type { Reach } from "../../src/core/flow/reach-schema";
import { adviseRig } from "../../src/core/rig/advise";
import { wayFrom } from "../../src/core/rig/ways";
import { methodsFor } from "../../src/core/tactics/fished-with";
import { mainCurrent } from "../../src/core/water/main-current";
import { approachLie, USUAL_ANGLER } from "../../src/scenario/approach";
import { readReach } from "../../src/scenario/read";
import { readingRequest } from "../../src/scenario/reading";
import { rigRequest } from "../../src/scenario/rig";

const SPECIES = "brown-trout";
const CONDITIONS = { visibleDepth: 1, temperature: 12, light: "day" as const };

const timed = <T>(work: () => T): [number, T] => {
  const from = performance.now();
  const value = work();
  return [performance.now() - from, value];
};

/** Milliseconds of a rig, and of a cast solved for the first lie, by method; the reading of the reach beside them. */
export function timeRigs(field: Field, reach: Reach): void {
  const species = speciesById(SPECIES);
  const request = readingRequest(species, CONDITIONS, reach.features);
  readReach(field, request);
  const [read, reading] = timed(() => readReach(field, request));
  const lie = reading.lies[0]!;
  const { stands } = approachLie(field, reading, {
    lie,
    reading: request,
    angler: USUAL_ANGLER,
    base: SPECIES,
    sun: undefined,
    leave: false,
  });
  const stand = { school: stands[0]!.school, at: [stands[0]!.x, stands[0]!.y] as const };
  const main = mainCurrent(field);
  console.log(`rigs and casts (the reading of the reach takes ${read.toFixed(0)} ms)`);
  for (const method of methodsFor(SPECIES)) {
    const asked = rigRequest(field, lie, CONDITIONS, SPECIES, { method, distance: 9 });
    adviseRig(asked);
    const [rig] = timed(() => adviseRig(asked));
    const question = {
      field,
      species,
      fish: lie,
      stands: [stand],
      ways: { field, features: reach.features ?? [], others: [] },
      main,
      request: () => asked,
      liked: [],
    };
    wayFrom(question, method, stand);
    const [cast] = timed(() => wayFrom(question, method, stand));
    console.log(
      `  ${method.padEnd(8)} rig ${rig.toFixed(1)} ms, cast ${cast.toFixed(0)} ms, ${(cast / read).toFixed(2)} x the reading`,
    );
  }
}
