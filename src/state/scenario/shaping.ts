import { create } from "zustand";
import type { Reach } from "../../core/flow/reach-schema";

/**
 * A bed under the hand: what the reach would be if the stone, wall or bank were let go where it is now, and the reach
 * of the book that the hand works on. Nothing of it is in the book.
 */
export interface Draft {
  reach: Reach;
  over: Reach;
}

export const useDraft = create<{ draft: Draft | undefined }>(() => ({ draft: undefined }));

export const setDraft = (draft: Draft): void => useDraft.setState({ draft });

/** The hand has gone elsewhere, or what it let go of is in the book, or could not be kept. */
export const dropDraft = (): void => useDraft.setState({ draft: undefined });
