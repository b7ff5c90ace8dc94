"use client";
import { Toast } from "radix-ui";
import { create } from "zustand";

interface Notice {
  id: number;
  text: string;
  action?: { label: string; run: () => void };
}

interface Notices {
  list: Notice[];
  say: (text: string, action?: Notice["action"]) => void;
  drop: (id: number) => void;
}

let count = 0;
export const useNotices = create<Notices>((set) => ({
  list: [],
  say: (text, action) => set(({ list }) => ({ list: [...list.slice(-2), { id: ++count, text, action }] })),
  drop: (id) => set(({ list }) => ({ list: list.filter((notice) => notice.id !== id) })),
}));

/** Says something in passing; with an action it stays long enough to be undone. */
export const say = (text: string, action?: Notice["action"]): void => useNotices.getState().say(text, action);

export function Toasts() {
  const { list, drop } = useNotices();
  return (
    <Toast.Provider swipeDirection="right" label="Notice">
      {list.map((notice) => (
        <Toast.Root
          key={notice.id}
          duration={notice.action ? 12_000 : 5_000}
          onOpenChange={(open) => !open && drop(notice.id)}
          className="flex items-center gap-3 rounded-md bg-ink px-4 py-3 text-paper shadow-lg"
        >
          <Toast.Description className="flex-1">{notice.text}</Toast.Description>
          {notice.action && (
            <Toast.Action asChild altText={notice.action.label}>
              <button
                className="min-h-10 rounded border border-paper/50 px-3 font-semibold"
                onClick={notice.action.run}
              >
                {notice.action.label}
              </button>
            </Toast.Action>
          )}
        </Toast.Root>
      ))}
      <Toast.Viewport className="fixed right-3 bottom-20 z-50 flex w-[min(26rem,calc(100vw-1.5rem))] flex-col gap-2 lg:bottom-4" />
    </Toast.Provider>
  );
}
