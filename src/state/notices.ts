"use client";
import { create } from "zustand";

interface Way {
  label: string;
  run: () => void;
}

/** Something said in passing. */
export interface Notice {
  id: number;
  text: string;
  /** A fault stays until it is closed. */
  fault: boolean;
  action?: Way;
  /** Another way on beside it. */
  other?: Way;
  /** What waits behind its ways: each failed entry is kept until one of them is taken. */
  waiting: number;
}

interface Notices {
  list: Notice[];
  say: (text: string, action?: Way, fault?: boolean, other?: Way) => void;
  drop: (id: number) => void;
}

/** Of what is only said, so many stand at once. */
const MOST = 3;

/** Both, in their order. */
const after = (first: Way | undefined, next: Way | undefined): Way | undefined =>
  first && next
    ? {
        label: first.label,
        run: () => {
          first.run();
          next.run();
        },
      }
    : (first ?? next);

/** Does something wait behind it that was entered and not kept? */
export const keepsEntries = ({ fault, action }: Notice): boolean => fault && action !== undefined;

let count = 0;
export const useNotices = create<Notices>((set) => ({
  list: [],
  say: (text, action, fault = false, other) =>
    set(({ list }) => {
      const same = fault ? list.find((one) => one.fault && one.text === text) : undefined;
      // A fault is not told twice, but what failed with it waits behind the one that stands.
      if (same) {
        const merged = {
          ...same,
          action: after(same.action, action),
          other: after(same.other, other),
          waiting: same.waiting + (action ? 1 : 0),
        };
        return { list: list.map((one) => (one === same ? merged : one)) };
      }
      const surplus = list.filter((one) => !keepsEntries(one)).slice(0, 1 - MOST);
      const stands = list.filter((one) => !surplus.includes(one));
      return { list: [...stands, { id: ++count, text, action, fault, other, waiting: action ? 1 : 0 }] };
    }),
  drop: (id) => set(({ list }) => ({ list: list.filter((notice) => notice.id !== id) })),
}));

/** Says something in passing; with an action it stays long enough to be undone. */
export const say = (text: string, action?: Way): void => useNotices.getState().say(text, action);
