/** A small fixed-spool reel: line for each turn, m, and the turns a second that a hand keeps up. Common practice. */
export const TURNS = { perTurn: 0.7, most: 2.5 };

/** Fastest that line comes in, m/s. */
export const reelSpeed = (tackle: { perTurn?: number }): number => (tackle.perTurn ?? TURNS.perTurn) * TURNS.most;
