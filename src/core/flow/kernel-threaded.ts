import { bytes } from "./kernel-bytes/threaded";
import type { Kernel } from "./kernel";

/** The kernel for several threads: asked for only where memory can be shared. */
export const THREADED: Kernel = { bytes, bits: 32, shared: true };
