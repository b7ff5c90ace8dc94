/**
 * How a lie is worked. Drift: near, middle and far along the lines of current, nearer fish first. Walk: lanes across
 * the break, the lure walked along the bottom with the current. Soak: a bait that lies still on the bottom, its scent
 * running down to the fish. Common practice, no source.
 */
export type Drill = "drift" | "walk" | "soak";

const DRILLS: Readonly<Record<string, Drill>> = {
  walleye: "walk",
  zander: "walk",
  "channel-catfish": "soak",
  "flathead-catfish": "soak",
  barbel: "soak",
};

/** By the id of a fish that ships, whose habits hold for profiles copied from it. */
export const drillOf = (species: string): Drill => DRILLS[species] ?? "drift";
