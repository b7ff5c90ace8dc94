"use client";
import { useState } from "react";
import type { Survey, SurveyOptions } from "../../core/flow/survey";
import type { SoundingsFile } from "../../core/formats/soundings-text";
import type { Fault } from "../../core/quantity/fault";
import { message } from "../../core/quantity/message";
import { asFault } from "../../core/quantity/answer";
import { seriesOf } from "../../core/gauge/summary";
import { keyOf } from "../../scenario/key";
import { database } from "../../store/database";
import { newId } from "../../store/identity";
import { gaugeOf } from "../../store/river";
import { type Stage, useStage, valueOf } from "../../state/query";
import { reader } from "../../workers/clients";

interface OpenedSoundings {
  id: string;
  name: string;
  read: SoundingsFile;
}

/** A file of soundings, read in the worker. */
export function useSoundingsFile() {
  const [file, setFile] = useState<OpenedSoundings | undefined>();
  const [fault, setFault] = useState<Fault | undefined>();
  const [busy, setBusy] = useState(false);
  /** @returns whether it could be read */
  const open = async (chosen: File): Promise<boolean> => {
    setBusy(true);
    setFault(undefined);
    try {
      const read = valueOf(await reader.ask(async (api) => api.soundings(chosen)));
      setFile({ id: newId(), name: chosen.name, read });
      return true;
    } catch (error) {
      setFile(undefined);
      const found = asFault(error);
      setFault(found.code === "internal" ? message("file-lost", { name: chosen.name }) : found);
      return false;
    } finally {
      setBusy(false);
    }
  };
  return { file, fault, busy, open };
}

/** The file laid out along the river by what the angler says of it; with a gauge, brought to one water level. */
export const useSurvey = (
  file: OpenedSoundings | undefined,
  options: Omit<SurveyOptions, "stage"> | undefined,
  gauge: string | null,
): Stage<Survey> =>
  useStage(
    "survey",
    file && options && keyOf("survey", file.id, options, gauge),
    async () => {
      const record = gauge === null ? undefined : await gaugeOf(database(), gauge);
      const stage = record && seriesOf(record, "stage");
      return valueOf(await reader.ask(async (api) => api.survey(file!.read, { ...options!, stage })));
    },
    // While another measure is tried the survey of the same file stays in sight.
    file?.id,
  );
