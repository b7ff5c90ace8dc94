import { type Marks, type ReadingScore, scoreReading } from "../core/drills/score-reading";
import { onLies, percentileOf, type PlacedFish, placesOf } from "../core/fish/agreement";
import { type FlowBand, flowBand, scoreNear } from "../core/fish/flow-band";
import type { ScoreScale } from "../core/fish/judgement";
import { scoreWater } from "../core/fish/read";
import type { Field } from "../core/flow/grid";
import { survey, type Survey, type SurveyOptions } from "../core/flow/survey";
import { LARGEST_FILE } from "../core/formats/largest-file";
import { InputError } from "../core/quantity/fault";
import { readSoundings } from "../core/formats/soundings-file";
import type { SoundingsFile } from "../core/formats/soundings-text";
import { type Answer, answer, answerLater } from "../core/quantity/answer";
import { speciesById } from "../core/fish/species";
import type { RigAdvice } from "../core/rig/advice";
import { adviseRig, parseRigRequest } from "../core/rig/advise";
import { choicesFor } from "../core/rig/choices";
import type { RigRequest } from "../core/rig/request";
import { type Approach, type ApproachRequest, approachLie } from "../scenario/approach";
import type { ReachReading, ReadingRequest } from "../scenario/reading";
import { readReach, readReachWithScore } from "../scenario/read";
import { type Ways, waysOf } from "../scenario/ways";
import type { WaysRequest } from "../scenario/ways-request";
import { offer } from "./alive";

/** Scores at the precomputed flows of one reach, seen in one way: kept, since they are asked for place by place. */
let scores: {
  key: string;
  flows: Map<number, ScoreScale & { nx: number; ny: number; cell: number; score: Float32Array }>;
} = { key: "", flows: new Map() };

/** A lie whose flows are asked for. */
export interface BandRequest {
  x: number;
  y: number;
  /** It pays at the flow that it was read at. */
  pays: boolean;
}

const api = {
  read: (field: Field, request: ReadingRequest): Answer<ReachReading> => answer(() => readReach(field, request)),
  approach: (field: Field, reading: ReachReading, request: ApproachRequest): Answer<Approach> =>
    answer(() => approachLie(field, reading, request)),
  rig: (request: RigRequest): Answer<RigAdvice> => answer(() => adviseRig(request)),
  choices: (request: RigRequest): Answer<ReturnType<typeof choicesFor>> =>
    answer(() => choicesFor(parseRigRequest(request), speciesById(request.species))),
  ways: (field: Field, reading: ReachReading, request: WaysRequest): Answer<Ways> =>
    answer(() => waysOf(field, reading, request)),
  /** How the model of a day stands to a fish that was had then at a place. */
  placed: (field: Field, request: ReadingRequest, x: number, y: number): Answer<PlacedFish> =>
    answer(() => {
      const { reading, score } = readReachWithScore(field, request);
      return {
        percentile: percentileOf(score, field, x, y),
        ...onLies(placesOf(reading.lies), field, x, y, request.species.territory),
      };
    }),
  /** Marks of a reader of the water, held against it. */
  drill: (field: Field, request: ReadingRequest, marks: Marks): Answer<{ reading: ReachReading; told: ReadingScore }> =>
    answer(() => {
      const { reading, score } = readReachWithScore(field, request);
      return { reading, told: scoreReading(marks, reading, score, field, request.species) };
    }),
  /** Flows already scored under a key. */
  scoredFlows: (key: string): number[] => (scores.key === key ? [...scores.flows.keys()] : []),
  /** Scores one precomputed flow under a key; another key forgets what was before. */
  scoreFlow: (key: string, field: Field, request: ReadingRequest): Answer<null> =>
    answer(() => {
      if (scores.key !== key) scores = { key, flows: new Map() };
      const { score, best, medianScore } = scoreWater(field, request);
      const { nx, ny, cell } = field;
      scores.flows.set(field.discharge, { nx, ny, cell, score: Float32Array.from(score), best, medianScore });
      return null;
    }),
  /** The flows at which lies of a flow fish, from those scored under a key; one that does not pay has no band. */
  bands: (key: string, lies: readonly BandRequest[], flow: number): (FlowBand | undefined)[] =>
    lies.map(({ x, y, pays }) =>
      scores.key !== key || !pays
        ? undefined
        : flowBand(
            [...scores.flows].map(([discharge, { score, best, medianScore, ...grid }]) => ({
              discharge,
              score: scoreNear(score, grid, x, y),
              best,
              medianScore,
            })),
            flow,
          ),
    ),
  soundings: (file: File): Promise<Answer<SoundingsFile>> =>
    answerLater(async () => {
      if (file.size > LARGEST_FILE)
        throw new InputError("file-too-large", { megabytes: LARGEST_FILE / 1048576 }, { file: file.name });
      return readSoundings(await file.text(), file.name);
    }),
  survey: (file: SoundingsFile, options: SurveyOptions): Answer<Survey> => answer(() => survey(file, options)),
};

export type ReadApi = typeof api;
offer(api);
