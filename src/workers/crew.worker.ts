import { instanceOn } from "../core/flow/kernel";

/** A thread of the solver: an instance of its own on the shared memory, serving its band until it is told to end. */
export interface Enlisted {
  compiled: WebAssembly.Module;
  memory: WebAssembly.Memory;
  thread: number;
}

self.onmessage = ({ data }: MessageEvent<Enlisted>) => {
  instanceOn(data.compiled, data.memory).serve(data.thread);
};
