/** Casting distance where none is given, m. Common practice, no source. */
export const CAST = 9;
/** Height of the rod tip over the water as a share of its length, and its least, m: held up at a slant. */
const TIP = { share: 0.7, least: 1 };
/** Line within the rod's reach is held off the water: its length and half a metre of arm, m. Common practice. */
const ARM = 0.5;

/** Height of the rod tip over the water, m, of a rod of a length, m. */
export const tipOver = (rod: number): number => Math.max(TIP.least, TIP.share * rod);

/** Line that a rod of a length holds off the water, m. */
export const rodReach = (rod: number): number => rod + ARM;
