import { type Message, message } from "../quantity/message";
import { FARTHEST, HIGHEST } from "../quantity/bounds";
import { InputError } from "../quantity/fault";
import { type LineCounts, type Rejection, Tally } from "./tally";

/** What the two coordinates of a sounding are. */
export type Frame =
  /** Longitude and latitude, degrees (WGS 84). */
  | "geographic"
  /** Easting and northing, m. */
  | "projected"
  /** Distance down the reach and from its left edge, m. */
  | "reach";

export interface Sounding {
  a: number;
  b: number;
  /** Depth under the water's surface, m; where the file gives heights, the height of the bed, m, up. */
  value: number;
  /** ms since 1970 UTC, where the file tells. */
  time?: number;
  line: number;
}

export interface SoundingsFile {
  frame: Frame;
  measure: "depth" | "height";
  soundings: Sounding[];
  rejected: Rejection[];
  /** What became of the data lines: the three add up to all of them. */
  lines: LineCounts;
  notes: Message[];
}

/** Soundings read at most. */
const MOST = 500_000;
/** Deepest water that is believed, m. */
const DEEPEST = 120;

/** Gathers soundings and what was refused. */
export class SoundingsGathering {
  readonly soundings: Sounding[] = [];
  readonly tally = new Tally();
  readonly notes: Message[] = [];

  constructor(
    private readonly frame: Frame,
    private readonly measure: SoundingsFile["measure"],
    private readonly file?: string,
  ) {}

  reject(line: number, reason: Message): void {
    this.tally.reject(line, reason);
  }

  take(line: number, a: number, b: number, value: number, time?: number): void {
    if (!Number.isFinite(a) || !Number.isFinite(b)) return this.reject(line, message("no-place"));
    if (this.frame === "geographic" && (Math.abs(a) > 180 || Math.abs(b) > 90))
      return this.reject(line, message("not-a-position", { b, a }));
    if (!Number.isFinite(value)) return this.reject(line, message("no-value", { measure: this.measure }));
    if (this.frame !== "geographic" && (Math.abs(a) > FARTHEST || Math.abs(b) > FARTHEST))
      return this.reject(line, message("not-on-earth", { a, b }));
    if (this.measure === "height" && Math.abs(value) > HIGHEST)
      return this.reject(line, message("impossible-height", { value }));
    if (this.measure === "depth" && (value < 0 || value > DEEPEST))
      return this.reject(line, message("impossible-depth", { value }));
    if (this.soundings.length >= MOST)
      throw new InputError("too-many-soundings", { most: MOST }, { file: this.file, line });
    this.tally.read();
    this.soundings.push(time === undefined ? { a, b, value, line } : { a, b, value, time, line });
  }

  finish(): SoundingsFile {
    if (this.soundings.length === 0) {
      const first = this.tally.ordered()[0];
      throw new InputError(
        "no-soundings",
        { measure: this.measure, line: first?.line, reason: first?.reason },
        { file: this.file, line: first?.line },
      );
    }
    return {
      frame: this.frame,
      measure: this.measure,
      soundings: this.soundings,
      rejected: this.tally.ordered(),
      lines: this.tally.counts,
      notes: this.notes,
    };
  }
}
