/** A stretch of a scale that rates are told by. */
export interface Band {
  key: string;
  low: number | null;
  high: number | null;
}

/** Is a figure in a band? Its lower limit belongs to it, its upper to the next. */
export const isIn = (value: number | null, band: Pick<Band, "low" | "high">): boolean =>
  value !== null && (band.low === null || value >= band.low) && (band.high === null || value < band.high);

const trim = (value: number): string => String(Number(value.toPrecision(3)));

/** Bands from one edge to the next, in order. */
export const bandsBetween = (edges: readonly number[]): Band[] =>
  edges.slice(1).map((high, k) => ({ key: `${trim(edges[k]!)}-${trim(high)}`, low: edges[k]!, high }));
