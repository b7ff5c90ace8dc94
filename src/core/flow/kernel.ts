import { bytes as singleBytes } from "./kernel-bytes/single";
import { RINGS, strideOf } from "./ghosts";
import type { Grid } from "./grid";

/** A compiled form of the kernel (src/core/flow/kernel): the width of its numbers, and whether its memory is shared. */
export interface Kernel {
  readonly bytes: string;
  readonly bits: 32 | 64;
  readonly shared: boolean;
}

export const SINGLE: Kernel = { bytes: singleBytes, bits: 32, shared: false };

/** What the kernel exports. */
export interface Calls {
  configure: () => void;
  refresh: () => void;
  run: (steps: number, seconds: number, every: number) => void;
  serve: (thread: number) => void;
}

export type Reals = Float32Array | Float64Array;

const modules = new WeakMap<Kernel, WebAssembly.Module>();

/** The kernel compiled for this machine, once. */
export function moduleOf(kernel: Kernel): WebAssembly.Module {
  const known = modules.get(kernel);
  if (known) return known;
  const text = atob(kernel.bytes);
  const made = new WebAssembly.Module(Uint8Array.from(text, (letter) => letter.charCodeAt(0)));
  modules.set(kernel, made);
  return made;
}

/**
 * What an instance is given by its host. Waiting is among it: WebAssembly's own memory.atomic.wait32 loses a local
 * variable in Node 20 now and then, so that a thread began work that nobody had asked for (seen as solves that differed
 * from run to run, and waits of ten seconds). Whole in itself: a thread of the command line is begun from its text.
 */
export function hostOf(memory: WebAssembly.Memory) {
  const words = new Int32Array(memory.buffer);
  return {
    env: {
      memory,
      abort() {},
      rest(word: number, value: number, most: number) {
        Atomics.wait(words, word >> 2, value, most);
      },
      wake(word: number) {
        Atomics.notify(words, word >> 2);
      },
    },
  };
}

/** An instance of the kernel on a memory: one for each thread. */
export const instanceOn = (module: WebAssembly.Module, memory: WebAssembly.Memory): Calls =>
  new WebAssembly.Instance(module, hostOf(memory)).exports as unknown as Calls;

// Places in memory, the same as in kernel/memory.ts.
const HEAD = 1024;
const NUMBERS = HEAD + 256;
const TOTALS = HEAD + 512;
const LEDGER_KINDS = 9;
const CLIPPED = 8;
const GO = 4096;
const LOST = GO + 384;
const ENDED = GO + 512;
/** A thread that has been told to end is waited for so long, ms, before its memory is left to it. */
const FAREWELL = 5;
const FIRST = 32768;
const MARGIN = 128;
const STATE_PARTS = 4;
const MEANS = 5;
const BUFFER_ROWS = 20;
const PAGE = 65536;
/** 2 GiB: what the kernel is compiled for. */
const MOST_PAGES = 32768;

/** Memories given back, for the next solve: a browser grants few at a time, and takes its time to collect them. */
const spare: { memory: WebAssembly.Memory; shared: boolean }[] = [];
const MOST_SPARE = 4;
/** A spare memory is not taken for a grid that needs less than this share of it. */
const LEAST_USED = 0.25;

function memoryOf(pages: number, shared: boolean): WebAssembly.Memory {
  const fits = spare.findIndex((one) => {
    const own = one.memory.buffer.byteLength / PAGE;
    return one.shared === shared && own >= pages && own * LEAST_USED <= pages;
  });
  if (fits < 0) return new WebAssembly.Memory({ initial: pages, maximum: MOST_PAGES, shared });
  const [{ memory }] = spare.splice(fits, 1) as [(typeof spare)[number]];
  new Uint8Array(memory.buffer).fill(0);
  return memory;
}

/** The kernel's memory for one grid: where each array lies, and views on them. */
export class KernelMemory {
  readonly memory: WebAssembly.Memory;
  readonly z: Reals;
  readonly n: Reals;
  /** Depth, speeds and nu h of the present state. */
  readonly state: readonly Reals[];
  /** Time integrals of depth, both unit discharges, speed and its square. */
  readonly means: readonly Reals[];
  private readonly whole: Int32Array;
  private readonly numbers: Float64Array;
  private readonly totals: Float64Array;
  /** m3 clipped, by row. */
  private readonly clips: Float64Array;

  constructor(
    grid: Grid,
    private readonly kernel: Kernel,
    readonly threads: number,
  ) {
    const stride = strideOf(grid);
    const rows = grid.ny + 2 * RINGS;
    const count = stride * rows;
    const size = kernel.bits / 8;
    const array = count * size + MARGIN;
    const row = stride * size + MARGIN;
    let next = FIRST;
    const take = (bytes: number) => {
      const at = next;
      next += Math.ceil((bytes + MARGIN) / MARGIN) * MARGIN;
      return at;
    };
    const [z, n] = [take(array), take(array)];
    const masks = [take(row), take(row)];
    const states = take(2 * STATE_PARTS * array);
    const spans = take(2 * 8 * rows);
    const buffers = take(BUFFER_ROWS * threads * row);
    const means = take(MEANS * array);
    const ledger = take(8 * LEDGER_KINDS * rows);
    const pages = Math.ceil((next + PAGE) / PAGE);
    this.memory = memoryOf(pages, kernel.shared);
    const { buffer } = this.memory;
    const view = (at: number, length = count): Reals =>
      kernel.bits === 32 ? new Float32Array(buffer, at, length) : new Float64Array(buffer, at, length);
    this.z = view(z);
    this.n = view(n);
    this.state = Array.from({ length: STATE_PARTS }, (_, part) => view(states + part * array));
    this.means = Array.from({ length: MEANS }, (_, part) => view(means + part * array));
    this.whole = new Int32Array(buffer, HEAD, 32);
    this.numbers = new Float64Array(buffer, NUMBERS, 16);
    this.totals = new Float64Array(buffer, TOTALS, 16);
    this.whole.set([grid.nx, grid.ny, stride, threads, 0, 0, z, n, ...masks, states, spans, buffers, means, ledger]);
    this.clips = new Float64Array(buffer, ledger + 8 * CLIPPED * rows, rows);
  }

  /** Column masks: bytes of ones in columns from..to (excluded) of mask 0 (inner cells) or 1 (faces with stress). */
  mask(which: 0 | 1, from: number, to: number): void {
    const size = this.z.BYTES_PER_ELEMENT;
    new Uint8Array(this.memory.buffer, this.whole[8 + which]! + from * size, (to - from) * size).fill(255);
  }

  /** Kinds of the edges up and downstream, and the numbers that belong to the steps. */
  settings(up: number, down: number, numbers: readonly number[]): void {
    this.whole[4] = up;
    this.whole[5] = down;
    this.numbers.set(numbers);
  }

  total(k: number): number {
    return this.totals[k]!;
  }

  clearMeans(): void {
    for (const one of this.means) one.fill(0);
    this.totals[5] = 0;
  }

  /** Volume made by holding depths at zero, m3. */
  clipped(): number {
    let sum = 0;
    for (const volume of this.clips) sum += volume;
    return sum;
  }

  /** Has a thread been given up? */
  get lost(): boolean {
    return this.kernel.shared && Atomics.load(new Int32Array(this.memory.buffer, LOST, 1), 0) !== 0;
  }

  /**
   * Ends the other threads' service and gives the memory back for another solve, unless one of them may still look at
   * it; the views on it are not to be used any more.
   */
  giveBack(): void {
    if (this.threads > 1) {
      this.tell(-1);
      const ended = new Int32Array(this.memory.buffer, ENDED, 1);
      const until = performance.now() + FAREWELL;
      for (let count = Atomics.load(ended, 0); count < this.threads - 1; count = Atomics.load(ended, 0)) {
        const left = until - performance.now();
        if (left <= 0) return;
        Atomics.wait(ended, 0, count, left);
      }
    }
    spare.push({ memory: this.memory, shared: this.kernel.shared });
    if (spare.length > MOST_SPARE) spare.shift();
  }

  /** Asks the other threads for so many steps, or to end (-1). */
  private tell(steps: number): void {
    const words = new Int32Array(this.memory.buffer, GO, 16);
    words[4] = steps;
    Atomics.add(words, 0, 1);
    Atomics.notify(words, 0);
  }
}
