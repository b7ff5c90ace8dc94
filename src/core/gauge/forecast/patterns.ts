import type { Fill } from "./flow-grid";
import { middleOf } from "./middle";

/** What repeats itself by day and by week, and what a river comes back to. */

/** Days whose shape makes a daily pattern, weeks whose middle makes a weekly one, days of late. Common practice. */
const DAYS = 5;
const WEEKS = 8;
const RECENT_DAYS = 14;

/** Today's flow with the mean shape of the last days. */
export function dailyPattern(y: Float64Array, day: number): Fill {
  return (k, out) => {
    for (let h = 0; h < out.length; h++) {
      if (h >= day) {
        out[h] = out[h - day]!;
        continue;
      }
      let [sum, count] = [0, 0];
      for (let back = 1; back <= DAYS; back++) {
        const change = y[k + h + 1 - back * day]! - y[k - back * day]!;
        if (Number.isNaN(change)) continue;
        sum += change;
        count++;
      }
      out[h] = count > 0 ? y[k]! + sum / count : NaN;
    }
  };
}

/** The middle of the last weeks at that hour of that weekday. */
export function weeklyPattern(y: Float64Array, day: number): Fill {
  const found = new Float64Array(WEEKS);
  return (k, out) => {
    for (let h = 0; h < out.length; h++) {
      let count = 0;
      for (let week = 1; week <= WEEKS; week++) {
        const value = y[k + h + 1 - week * 7 * day];
        if (value !== undefined && !Number.isNaN(value)) found[count++] = value;
      }
      out[h] = middleOf(found, count, WEEKS / 2);
    }
  };
}

/** The middle of the last days, to which a river comes back. */
export function recentMiddle(y: Float64Array, day: number): Fill {
  const found = new Float64Array(RECENT_DAYS * day);
  return (k, out) => {
    let count = 0;
    for (let n = Math.max(0, k + 1 - found.length); n <= k; n++) if (!Number.isNaN(y[n]!)) found[count++] = y[n]!;
    out.fill(middleOf(found, count, found.length / 2));
  };
}
