"use client";
import { create } from "zustand";

interface NoticeAction {
  label: string;
  run: () => void;
}

/** Something said in passing. */
export interface Notice {
  id: number;
  text: string;
  /** A fault stays until it is closed. */
  fault: boolean;
  action?: NoticeAction;
  /** Another way on beside it. */
  other?: NoticeAction;
  /** What waits behind its ways: each failed entry is kept until one of them is taken. */
  waiting: number;
}

interface Notices {
  list: Notice[];
  say: (text: string, action?: NoticeAction, fault?: boolean) => void;
  /** Tells what could not be kept: it waits behind the notice until one of the ways is taken. */
  wait: (text: string, again: NoticeAction, other?: NoticeAction) => void;
  drop: (id: number) => void;
}

/** Of what is only said, so many stand at once. */
const MOST = 3;

/** Both, in their order. */
const after = (first: NoticeAction | undefined, next: NoticeAction | undefined): NoticeAction | undefined =>
  first && next
    ? {
        label: first.label,
        run: () => {
          first.run();
          next.run();
        },
      }
    : (first ?? next);

/** The notices with one more; of those behind which nothing waits the oldest go. */
function withNotice(list: readonly Notice[], notice: Omit<Notice, "id">): Notice[] {
  const surplus = list.filter((one) => one.waiting === 0).slice(0, 1 - MOST);
  return [...list.filter((one) => !surplus.includes(one)), { ...notice, id: ++count }];
}

let count = 0;
export const useNotices = create<Notices>((set) => ({
  list: [],
  say: (text, action, fault = false) =>
    set(({ list }) =>
      // A fault that stands there already is not told twice.
      fault && list.some((one) => one.fault && one.text === text)
        ? { list }
        : { list: withNotice(list, { text, action, fault, waiting: 0 }) },
    ),
  wait: (text, again, other) =>
    set(({ list }) => {
      const same = list.find((one) => one.fault && one.text === text);
      if (!same) return { list: withNotice(list, { text, action: again, other, fault: true, waiting: 1 }) };
      const both = {
        ...same,
        action: after(same.action, again),
        other: after(same.other, other),
        waiting: same.waiting + 1,
      };
      return { list: list.map((one) => (one === same ? both : one)) };
    }),
  drop: (id) => set(({ list }) => ({ list: list.filter((notice) => notice.id !== id) })),
}));

/** Takes back what was said last with an undo; false where there is nothing to take back. */
export function undoLast(): boolean {
  const { list, drop } = useNotices.getState();
  const last = list.findLast(({ action }) => action?.label === "Undo");
  if (!last) return false;
  drop(last.id);
  last.action!.run();
  return true;
}

/** Says something in passing; with an action it stays long enough to be undone. */
export const say = (text: string, action?: NoticeAction): void => useNotices.getState().say(text, action);
