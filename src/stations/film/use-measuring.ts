"use client";
import { type RefObject, useEffect, useRef, useState } from "react";
import { filmMarks } from "../../core/film/film-ground";
import { asFault } from "../../core/quantity/answer";
import type { Fault } from "../../core/quantity/fault";
import { act } from "../../state/act";
import { clockNow } from "../../state/clock";
import { type FilmDraft, useFilm } from "../../state/film";
import { measureFilm, seek } from "../../state/measure-film";

export interface Measuring {
  busy: boolean;
  /** 0 to 1 while it is busy. */
  done: number;
  fault: Fault | undefined;
  start: () => void;
  stop: () => void;
}

const groundOf = ({ knownBy, points, distances, level, fieldOfView, water }: FilmDraft) =>
  knownBy === "distances"
    ? { knownBy, points, distances }
    : { knownBy, points: points.slice(0, 2), distance: distances.ab, level, fieldOfView, water };

/** Measuring the film that is open; leaving the page ends it. */
export function useMeasuring(video: RefObject<HTMLVideoElement | null>): Measuring {
  const [done, setDone] = useState<number | undefined>();
  const [fault, setFault] = useState<Fault | undefined>();
  const running = useRef<AbortController>(undefined);
  useEffect(() => () => running.current?.abort(), []);
  const run = async () => {
    const { draft } = useFilm.getState();
    const element = video.current;
    if (!draft || !element) return;
    const own = new AbortController();
    running.current?.abort();
    running.current = own;
    setFault(undefined);
    try {
      const marks = filmMarks(groundOf(draft), draft);
      setDone(0);
      const outcome = await measureFilm(element, draft, marks, setDone, own.signal);
      if (outcome.ok) useFilm.setState({ measured: { name: draft.name, at: clockNow(), water: outcome.value } });
      else if (!outcome.cancelled) setFault(outcome.fault);
    } catch (error) {
      setFault(asFault(error));
    } finally {
      if (running.current === own) {
        running.current = undefined;
        setDone(undefined);
        // Back to where the points were marked.
        act(() => seek(element, draft.from));
      }
    }
  };
  return {
    busy: done !== undefined,
    done: done ?? 0,
    fault,
    start: () => act(run),
    stop: () => running.current?.abort(),
  };
}
