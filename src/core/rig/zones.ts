import type { StrikeZone } from "./strike-zone";

/** A fish as a lure comes past it: its place and height over the bed, m, and which way it faces (a unit vector). */
export interface Fish {
  x: number;
  y: number;
  focalHeight: number;
  upCurrent: readonly [number, number];
}

/** Is a lure at a place and height over the bed, m, where the fish takes it? */
export function inZone(zone: StrikeZone, fish: Fish, x: number, y: number, height: number): boolean {
  const [dx, dy] = [x - fish.x, y - fish.y];
  const [ux, uy] = fish.upCurrent;
  const along = dx * ux + dy * uy;
  const side = Math.abs(dx * uy - dy * ux);
  return (
    along >= -zone.behind &&
    along <= zone.ahead &&
    side <= zone.side &&
    Math.abs(height - fish.focalHeight) <= zone.height
  );
}
