"use client";
import { create } from "zustand";

/** Something said in passing. */
export interface Notice {
  id: number;
  text: string;
  /** A fault stays until it is closed. */
  fault: boolean;
  action?: { label: string; run: () => void };
}

interface Notices {
  list: Notice[];
  say: (text: string, action?: Notice["action"], fault?: boolean) => void;
  drop: (id: number) => void;
}

let count = 0;
export const useNotices = create<Notices>((set) => ({
  list: [],
  say: (text, action, fault = false) =>
    set(({ list }) => ({ list: [...list.slice(-2), { id: ++count, text, action, fault }] })),
  drop: (id) => set(({ list }) => ({ list: list.filter((notice) => notice.id !== id) })),
}));

/** Says something in passing; with an action it stays long enough to be undone. */
export const say = (text: string, action?: Notice["action"]): void => useNotices.getState().say(text, action);
