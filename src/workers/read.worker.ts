import { expose } from "comlink";
import { type Answer, answer } from "../core/answer";
import { readSoundings } from "../core/formats/soundings-file";
import type { Field } from "../core/flow/grid";
import { survey, type Survey, type SurveyOptions } from "../core/flow/survey";
import type { SoundingsFile } from "../core/formats/soundings-text";
import { type Reading, type ReadOptions, readWater } from "../core/lies/read";
import { adviseRig, type RigAdvice, type RigRequest } from "../core/rig/advise";
import type { UnitSystem } from "../core/quantity/units";

const api = {
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
