import type { Walk } from "../../core/trace/walked";
import type { PlacedMark } from "../../core/trace/edit";
import { markedPlace } from "../../core/trace/on-the-way";
import { newId } from "../../store/identity";

/** What a track is of the reach; "none" is left out. */
export const TRACK_KINDS = ["left-bank", "right-bank", "middle", "none"] as const;
export type TrackKind = (typeof TRACK_KINDS)[number];

/** Tracks by what they are, and what was marked on the way; places that say nothing of the river are counted. */
export function marksOfWalk(
  { tracks, places }: Walk,
  kinds: readonly TrackKind[],
  height: number,
): { marks: PlacedMark[]; unknown: number } {
  const lines = tracks.flatMap((track, k): PlacedMark[] => {
    const kind = kinds[k] ?? "none";
    if (kind === "none") return [];
    return [{ id: newId(), kind, positions: track.positions }];
  });
  const points = places.flatMap(({ at, name }): PlacedMark[] => {
    const known = markedPlace(name, height);
    return known ? [{ id: newId(), ...known, positions: [at] }] : [];
  });
  return { marks: [...lines, ...points], unknown: places.length - points.length };
}

/** A first guess at what a track is, by its name. */
export const guessKind = ({ name }: { name: string }): TrackKind =>
  /left/i.test(name)
    ? "left-bank"
    : /right/i.test(name)
      ? "right-bank"
      : /mid|centre|center/i.test(name)
        ? "middle"
        : "none";
