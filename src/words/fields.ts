import { inSentence } from "./text";

/** What the parts of records are called; a part that is not here is told by its own name, its words parted. */
const NAMES: Readonly<Record<string, string>> = {
  bed: "bed",
  z: "heights",
  nx: "number of cells along",
  ny: "number of cells across",
  cell: "cell size",
  downstream: "foot of the reach",
  features: "objects",
  poolDepth: "depth of the pool",
  wiggle: "swing",
  slope: "slope",
  roughness: "roughness",
  angle: "angle",
  schema: "kind of record",
  id: "number of the record",
  updatedAt: "time of the last change",
  forkLength: "length of the fish",
  x: "place along",
  y: "place across",
  gaugings: "pairs of the rating",
  constituents: "constituents of the tide",
};

const nameOf = (step: string): string =>
  NAMES[step] ?? inSentence(step.replace(/([a-z])([A-Z])/g, "$1 $2").replace(/[-_]/g, " ")).toLowerCase();

/** Where in a record something lies, in words: "slope of the bed", "diameter of no. 3 of the objects". */
export function fieldWords(path: string): string {
  const steps = [...path.matchAll(/\[(\d+)\]|([^.[\]]+)/g)].map(([, index, step]) =>
    index === undefined ? { name: nameOf(step!) } : { no: Number(index) + 1 },
  );
  return steps
    .reverse()
    .map((step, k) => ("no" in step ? `no. ${step.no}` : k === 0 ? step.name : `the ${step.name}`))
    .join(" of ");
}
