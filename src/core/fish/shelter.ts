import { cellsOf } from "../flow/grid";

/** A shelter has cover of at least this, and speed at the fish of at most that, m/s. Common practice, no source. */
export const SHELTER_COVER = 0.55;
const SHELTER_SPEED = 0.18;

/**
 * How well each cell shelters a fish that does not feed: by its cover, what of it is refuge, and its slack. NaN where
 * no fish can hold (the score is NaN), or it is too open or too fast.
 */
export const shelterOf = (
  score: ArrayLike<number>,
  focalSpeed: ArrayLike<number>,
  cover: ArrayLike<number>,
  refuge: ArrayLike<number>,
): Float64Array =>
  cellsOf(new Float64Array(score.length), (k) =>
    Number.isNaN(score[k]!) || focalSpeed[k]! > SHELTER_SPEED || cover[k]! < SHELTER_COVER
      ? NaN
      : cover[k]! * refuge[k]! * (1 - focalSpeed[k]! / SHELTER_SPEED),
  );
