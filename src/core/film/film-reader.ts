import type { Seam } from "../water/seams";
import type { Frame } from "./frame";
import { type FilmSpeeds, filmSpeeds, type ViewedFrame } from "./film-speeds";
import type { Homography, Point } from "./homography";
import { fromAbove, planViewOf } from "./plan-view";
import { follower, LEARNT_FROM, standing, stillPatches } from "./stabilise";
import { filmSeams } from "./surface-field";

/** Of more frames a second every second one does, s: water is followed over longer waits anyway. */
const LEAST_STEP = 1 / 32;
/** Frames that are looked at, in bursts spread over the film: what drifts by changes, and the camera is steadier. */
const FRAMES = 90;
const BURSTS = 5;
const BURST = FRAMES / BURSTS / 30;

/** What a film shows: speeds, seams, and how many of its frames were used and lost. */
export interface FilmedWater extends FilmSpeeds {
  /** On the film's own plane, m. */
  seams: Seam[];
  used: number;
  lost: number;
}

/** What was marked on a film's first frame, px. */
export interface FilmMarks {
  toPlane: Homography;
  /** Corners of the water that is measured, in order. */
  water: readonly Point[];
  /** Points that stand still. */
  still: readonly Point[];
}

/** Reads a film frame by frame, in order. */
export interface FilmReader {
  add: (frame: Frame) => void;
  /** @throws InputError as filmSpeeds */
  measure: () => Generator<number, FilmedWater>;
}

/**
 * A reader of a film so long, s, from its first frame on.
 * @throws InputError as planViewOf
 */
export function filmReader({ toPlane, water, still }: FilmMarks, first: Frame, seconds: number): FilmReader {
  const view = planViewOf(toPlane, water);
  const patches = stillPatches(first, water, still);
  const seen: ViewedFrame[] = [];
  /** The first frames wait until it is known what stands. */
  let begun: Frame[] | undefined = [];
  let follow: ReturnType<typeof follower>;
  let [last, lost] = [-Infinity, 0];
  const wanted = (at: number) => {
    const into = ((at - first.seconds) * (BURSTS - 1)) / Math.max(BURST, seconds - BURST);
    return seconds <= FRAMES * LEAST_STEP || (into % 1) * (seconds - BURST) <= BURST * (BURSTS - 1);
  };
  const read = (frame: Frame) => {
    const moved = follow(frame);
    if (!moved) lost++;
    else if (wanted(frame.seconds) && seen.length < FRAMES)
      seen.push({ seen: fromAbove(view, frame, moved), seconds: frame.seconds });
  };
  const learn = () => {
    if (!begun) return;
    follow = follower(standing(patches, begun));
    begun.forEach(read);
    begun = undefined;
  };
  return {
    add: (frame) => {
      if (frame.seconds - last < LEAST_STEP) return;
      last = frame.seconds;
      if (!begun) return read(frame);
      begun.push(frame);
      if (begun.length >= LEARNT_FROM) learn();
    },
    *measure() {
      learn();
      const speeds = yield* filmSpeeds(view, seen);
      return { ...speeds, seams: filmSeams(speeds), used: seen.length, lost };
    },
  };
}
