/**
 * Territory of a stream salmonid by its length: log10 A(m2) = 2.61 log10 L(cm) - 2.83 (Grant & Kramer 1990, Can. J.
 * Fish. Aquat. Sci. 47; from memory).
 * Returned as the distance across it, m: that of a circle of the same area.
 */
export const territoryAcross = (forkCm: number): number =>
  2 * Math.sqrt(10 ** (2.61 * Math.log10(forkCm) - 2.83) / Math.PI);
