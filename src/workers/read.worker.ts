import { expose } from "comlink";
import { type Answer, answer } from "../core/quantity/answer";
import { readSoundings } from "../core/formats/soundings-file";
import type { Field } from "../core/flow/grid";
import { survey, type Survey, type SurveyOptions } from "../core/flow/survey";
import type { SoundingsFile } from "../core/formats/soundings-text";
import { type FlowBand, flowBand, scoreNear } from "../core/fish/flow-band";
import { onLies, percentileOf, type PlacedFish } from "../core/fish/agreement";
import { boatFor, type BoatStand } from "../core/approach/boat";
import type { Ledge } from "../core/water/ledges";
import { type Approach, type Stand, standsFor } from "../core/approach/stands";
import { type Reading, type ReadOptions, readWater, readWithScore, scoreWater } from "../core/fish/read";
import { adviseRig, type RigAdvice, type RigRequest } from "../core/rig/advise";
import type { UnitSystem } from "../core/quantity/units";

/** Scores at the rungs of one ladder, seen in one way: kept here, since they are asked for place by place. */
let scores: {
  key: string;
  rungs: Map<number, { nx: number; ny: number; cell: number; score: Float32Array; median: number }>;
} = { key: "", rungs: new Map() };

const api = {
  stands: (
    field: Field,
    approach: Approach,
    ledges: readonly Ledge[],
  ): { stands: Stand[]; boat: BoatStand | undefined } => ({
    stands: standsFor(field, approach),
    boat: boatFor(field, approach, ledges),
  }),
  /** How the model of a day stands to a fish that was had then at a place. */
  placed(field: Field, options: ReadOptions, x: number, y: number): PlacedFish {
    const { reading, score } = readWithScore(field, options);
    return {
      percentile: percentileOf(score, field, x, y),
      ...onLies(reading.lies, field, x, y, options.species.territory),
    };
  },
  /** Flows already scored under a key. */
  scoredRungs: (key: string): number[] => (scores.key === key ? [...scores.rungs.keys()] : []),
  /** Scores one rung under a key; another key forgets what was before. */
  scoreRung(key: string, field: Field, options: ReadOptions): void {
    if (scores.key !== key) scores = { key, rungs: new Map() };
    const { score, medianScore } = scoreWater(field, options);
    scores.rungs.set(field.discharge, {
      nx: field.nx,
      ny: field.ny,
      cell: field.cell,
      score: Float32Array.from(score),
      median: medianScore,
    });
  },
  /** The flows at which places fish, from the rungs scored under a key. */
  bands: (key: string, places: readonly { x: number; y: number }[]): (FlowBand | undefined)[] =>
    places.map(({ x, y }) =>
      scores.key !== key
        ? undefined
        : flowBand(
            [...scores.rungs].map(([discharge, rung]) => ({
              discharge,
              score: scoreNear(rung.score, rung, x, y),
              median: rung.median,
            })),
          ),
    ),
  read: (field: Field, options: ReadOptions): Answer<Reading> => answer(() => readWater(field, options)),
  rig: (request: RigRequest, system: UnitSystem): Answer<RigAdvice> => answer(() => adviseRig(request, system)),
  soundings: async (file: File): Promise<Answer<SoundingsFile>> => {
    const text = await file.text();
    return answer(() => readSoundings(text, file.name));
  },
  survey: (file: SoundingsFile, options: SurveyOptions): Answer<Survey> => answer(() => survey(file, options)),
};

export type ReadApi = typeof api;
expose(api);
