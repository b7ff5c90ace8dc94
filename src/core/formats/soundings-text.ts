import { type Message, message } from "../quantity/message";
import { InputError } from "../quantity/fault";
import { type Rejection } from "./gauge-text";

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
  notes: Message[];
}

/** Soundings read at most. */
const MOST = 500_000;
/** Deepest water that is believed, m. */
const DEEPEST = 120;

/** Gathers soundings and what was refused. */
export class SoundingsGathering {
  readonly soundings: Sounding[] = [];
  readonly rejected: Rejection[] = [];
  readonly notes: Message[] = [];

  constructor(
    private readonly frame: Frame,
    private readonly measure: SoundingsFile["measure"],
    private readonly file?: string,
  ) {}

  reject(line: number, reason: Message): void {
    this.rejected.push({ line, reason });
  }

  take(line: number, a: number, b: number, value: number, time?: number): void {
    if (!Number.isFinite(a) || !Number.isFinite(b)) return this.reject(line, message("no-place"));
    if (this.frame === "geographic" && (Math.abs(a) > 180 || Math.abs(b) > 90))
      return this.reject(line, message("not-a-position", { b, a }));
    if (!Number.isFinite(value)) return this.reject(line, message("no-value", { measure: this.measure }));
    if (this.measure === "depth" && (value < 0 || value > DEEPEST))
      return this.reject(line, message("impossible-depth", { value }));
    if (this.soundings.length >= MOST)
      throw new InputError("too-many-soundings", { most: MOST }, { file: this.file, line });
    this.soundings.push(time === undefined ? { a, b, value, line } : { a, b, value, time, line });
  }

  finish(): SoundingsFile {
    if (this.soundings.length === 0) {
      const first = this.rejected[0];
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
      rejected: this.rejected,
      notes: this.notes,
    };
  }
}
