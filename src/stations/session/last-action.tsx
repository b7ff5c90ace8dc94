"use client";
import { clock } from "../../words/river";
import type { BankActions } from "./use-bank-action";

/** What was done last, with its undo. */
export const LastAction = ({ actions: { last } }: { actions: BankActions }) => (
  <p role="status" className="mt-2 min-h-12 text-center leading-[3rem] text-soft tabular-nums">
    {last && (
      <>
        {clock(last.at)} {last.text}
        {last.undo && (
          <>
            {" · "}
            <button type="button" onClick={last.undo} className="min-h-12 px-2 underline">
              undo
            </button>
          </>
        )}
      </>
    )}
  </p>
);
