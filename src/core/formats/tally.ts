import type { Message } from "../quantity/message";

/** A line that was not taken, with its number in the file (from 1) and why. */
export interface Rejection {
  line: number;
  reason: Message;
}

/** What became of the data lines of a file: the three add up to all of them. */
export interface LineCounts {
  read: number;
  /** Without a reading: the gauge gave none. */
  gaps: number;
  /** Refused, wholly or in a cell. */
  rejected: number;
}

/** Refusals that are kept one by one: beyond them lines are only counted. */
const MOST_TOLD = 5000;

/** Accounts for each data line of a file: read, a gap, or refused with its number and why. */
export class Tally {
  readonly counts: LineCounts = { read: 0, gaps: 0, rejected: 0 };
  readonly rejected: Rejection[] = [];
  private last: number | undefined;

  /** A line is refused; of a line refused before, one more reason. */
  reject(line: number, reason: Message): void {
    if (line !== this.last) this.counts.rejected++;
    this.last = line;
    if (this.rejected.length < MOST_TOLD) this.rejected.push({ line, reason });
  }

  read(): void {
    this.counts.read++;
  }

  gap(): void {
    this.counts.gaps++;
  }

  /** A line that was read, or a gap, is refused after all. */
  withdraw(line: number, was: "read" | "gaps", reason: Message): void {
    this.counts[was]--;
    this.last = undefined;
    this.reject(line, reason);
  }

  /** One more reason for a line that was refused before. */
  add(line: number, reason: Message): void {
    if (this.rejected.length < MOST_TOLD) this.rejected.push({ line, reason });
  }

  /** Refusals in the order of their lines. */
  ordered(): Rejection[] {
    return this.rejected.sort((a, b) => a.line - b.line);
  }
}

/** Two counts as one. */
export const addLines = (a: LineCounts, b: LineCounts): LineCounts => ({
  read: a.read + b.read,
  gaps: a.gaps + b.gaps,
  rejected: a.rejected + b.rejected,
});
