import { bytes } from "../../core/flow/kernel-bytes/double";
import type { Kernel } from "../../core/flow/kernel";

/** The kernel in 64-bit lanes: what the closed forms are held against where single precision would hide the scheme. */
export const DOUBLE: Kernel = { bytes, bits: 64, shared: false };
