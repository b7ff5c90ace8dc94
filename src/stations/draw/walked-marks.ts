import type { Track, WalkFile } from "../../core/formats/tracks";
import { planeAbout } from "../../core/trace/georeference";
import type { MarkName } from "../../core/trace/marks";
import type { PlacedMark } from "../../core/trace/edit";
import { markedPlace } from "../../core/trace/on-the-way";
import { type WalkedLine, walkedLine } from "../../core/trace/walked";
import { newId } from "../../store/identity";

/** What a track is of the reach; "none" is left out. */
export const TRACK_KINDS = ["left-bank", "right-bank", "middle", "none"] as const;
export type TrackKind = (typeof TRACK_KINDS)[number];

/** A track as a line on the plane about its first fix. */
export function lineOfTrack({ fixes }: Track): WalkedLine {
  const { toPlane } = planeAbout(fixes[0]!.at);
  return walkedLine(fixes.map(({ at, time }) => ({ at: toPlane(at), ...(time !== undefined && { time }) })));
}

/** Tracks by what they are, and what was marked on the way; places that say nothing of the river are counted. */
export function marksOfWalk(
  { tracks, places }: WalkFile,
  kinds: readonly TrackKind[],
  height: number,
): { marks: PlacedMark[]; unknown: number } {
  const lines = tracks.flatMap((track, k): PlacedMark[] => {
    const kind = kinds[k] ?? "none";
    if (kind === "none") return [];
    const { toPosition } = planeAbout(track.fixes[0]!.at);
    return [{ id: newId(), kind: kind as MarkName, positions: lineOfTrack(track).line.map(toPosition) }];
  });
  const points = places.flatMap(({ at, name }): PlacedMark[] => {
    const known = markedPlace(name, height);
    return known ? [{ id: newId(), ...known, positions: [at] }] : [];
  });
  return { marks: [...lines, ...points], unknown: places.length - points.length };
}

/** A first guess at what a track is, by its name. */
export const guessKind = ({ name }: Track): TrackKind =>
  /left/i.test(name)
    ? "left-bank"
    : /right/i.test(name)
      ? "right-bank"
      : /mid|centre|center/i.test(name)
        ? "middle"
        : "none";
