"use client";
import { useCallback, useState } from "react";
import type { Undo } from "../../store/change";
import { act } from "../../state/act";
import { buzz } from "../../state/use-bank";
import { clockNow } from "../../state/clock";

/** What was done last, with the way back. */
export interface BankAction {
  text: string;
  at: number;
  undo: (() => void) | undefined;
}

/**
 * Does things with a buzz, each told in one line with its undo once it is on the disk; what cannot be kept is told by
 * a notice.
 */
export function useBankAction() {
  const [last, setLast] = useState<BankAction | undefined>();
  const run = useCallback((text: string, command: (at: number) => Promise<Undo>) => {
    const at = clockNow();
    buzz();
    act(async () => {
      const undo = await command(at);
      setLast({
        text,
        at,
        undo: () => {
          buzz([20, 40, 20]);
          act(async () => {
            await undo();
            setLast({ text: `${text}: undone`, at, undo: undefined });
          });
        },
      });
    });
  }, []);
  return { last, run };
}
export type BankActions = ReturnType<typeof useBankAction>;
