import type { ThreadTask } from "../core/flow/thread-pool";
import { instanceOn } from "../core/flow/kernel";

/** A thread of the solver: serves its band with an instance of its own until it is told to end. */
self.onmessage = ({ data }: MessageEvent<ThreadTask>) => {
  instanceOn(data.compiled, data.memory).serve(data.thread);
};
self.postMessage("ready");
