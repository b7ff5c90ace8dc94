import type { Enlisted } from "../core/flow/crew";
import { instanceOn } from "../core/flow/kernel";

/** A thread of the solver: serves its band with an instance of its own until it is told to end. */
self.onmessage = ({ data }: MessageEvent<Enlisted>) => {
  instanceOn(data.compiled, data.memory).serve(data.thread);
};
self.postMessage("ready");
