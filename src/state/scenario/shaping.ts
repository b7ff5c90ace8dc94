import { create } from "zustand";
import type { Reach } from "../../core/flow/reach-schema";

/**
 * A bed under the hand: what the reach would be if the stone, wall or bank were let go where it is now. Nothing of it
 * is in the book.
 */
export const useDraft = create<{ reach: Reach | undefined }>(() => ({ reach: undefined }));

export const setDraft = (reach: Reach): void => useDraft.setState({ reach });

/** The hand has gone elsewhere, or what it let go of could not be kept. */
export const dropDraft = (): void => useDraft.setState({ reach: undefined });
