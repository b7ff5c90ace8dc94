"use client";
import { create } from "zustand";

/** Something said in passing. */
export interface Notice {
  id: number;
  text: string;
  /** A fault stays until it is closed. */
  fault: boolean;
  action?: { label: string; run: () => void };
  /** Another way on beside it. */
  other?: Notice["action"];
}

interface Notices {
  list: Notice[];
  say: (text: string, action?: Notice["action"], fault?: boolean, other?: Notice["action"]) => void;
  drop: (id: number) => void;
}

let count = 0;
export const useNotices = create<Notices>((set) => ({
  list: [],
  say: (text, action, fault = false, other) =>
    set(({ list }) =>
      // A fault that stands there already is not told twice.
      fault && list.some((one) => one.fault && one.text === text)
        ? { list }
        : { list: [...list.slice(-2), { id: ++count, text, action, fault, other }] },
    ),
  drop: (id) => set(({ list }) => ({ list: list.filter((notice) => notice.id !== id) })),
}));

/** Says something in passing; with an action it stays long enough to be undone. */
export const say = (text: string, action?: Notice["action"]): void => useNotices.getState().say(text, action);
