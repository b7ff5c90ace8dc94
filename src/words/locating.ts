/** Why there is no position of the device yet; nothing once there is one. */
export const LOCATING_WORDS: Readonly<
  Record<"off" | "waiting" | "on" | "refused" | "unavailable", string | undefined>
> = {
  off: "Waiting for a position …",
  waiting: "Waiting for a position …",
  on: undefined,
  refused: "This browser may not know its position. Allow it for this page, then try again.",
  unavailable: "No position from this device. Try under the open sky.",
};
