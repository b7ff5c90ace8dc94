/** Feed a place before it is fished, and come back; or when they stop, and rest it meanwhile; or not at all. */
export const FEEDINGS = ["none", "ahead", "after"] as const;
export type Feeding = (typeof FEEDINGS)[number];
