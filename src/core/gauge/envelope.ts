import { indexAtOrBefore, type Series } from "./series";

/**
 * The readings between two instants thinned to about `most` points so that no peak and no trough is lost: of each box
 * of time the
 * first, least, greatest and last reading stay, in their order. A gap stays a gap (NaN).
 */
export function envelope(series: Series, from: number, to: number, most: number): [number, number][] {
  const first = Math.max(0, indexAtOrBefore(series, from));
  const last = indexAtOrBefore(series, to);
  const out: [number, number][] = [];
  if (last < first) return out;
  const each = Math.max(1, Math.ceil((4 * (last - first + 1)) / most));
  for (let start = first; start <= last; start += each) {
    const end = Math.min(last, start + each - 1);
    const keep = new Set<number>([start, end]);
    let [least, greatest] = [-1, -1];
    for (let k = start; k <= end; k++) {
      const value = series.values[k]!;
      if (Number.isNaN(value)) {
        keep.add(k);
        continue;
      }
      if (least < 0 || value < series.values[least]!) least = k;
      if (greatest < 0 || value > series.values[greatest]!) greatest = k;
    }
    if (least >= 0) keep.add(least).add(greatest);
    for (const k of [...keep].sort((a, b) => a - b)) out.push([series.times[k]!, series.values[k]!]);
  }
  return out;
}
