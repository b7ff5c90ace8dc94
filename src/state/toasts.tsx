"use client";
import { X } from "lucide-react";
import * as Toast from "radix-ui/toast";
import { useNotices } from "./notices";

/** Escape closes an open dialog before any notice, though the notice came later. */
function closeDialogFirst(event: KeyboardEvent): void {
  const dialogs = document.querySelectorAll<HTMLElement>("[role=dialog] [data-close]");
  const last = dialogs[dialogs.length - 1];
  if (!last) return;
  event.preventDefault();
  last.click();
}

/** Notices: what was done, with its undo; and faults, which stay until they are closed. */
export function Toasts() {
  const { list, drop } = useNotices();
  return (
    <Toast.Provider swipeDirection="right" label="Notice">
      {list.map((notice) => (
        <Toast.Root
          key={notice.id}
          type={notice.fault ? "foreground" : "background"}
          duration={notice.fault ? Infinity : notice.action ? 12_000 : 5_000}
          onOpenChange={(open) => !open && drop(notice.id)}
          onEscapeKeyDown={closeDialogFirst}
          className={`flex items-center gap-3 ${notice.fault ? "flex-wrap" : ""} rounded-md px-4 py-3 shadow-lg ${notice.fault ? "border-2 border-clay bg-paper text-ink" : "bg-ink text-paper"}`}
        >
          <Toast.Description
            className={notice.fault ? "basis-full" : "flex-1"}
            role={notice.fault ? "alert" : undefined}
          >
            {notice.fault && <span aria-hidden>▲ </span>}
            {notice.text}
            {notice.waiting > 1 && ` ${notice.waiting} entries are waiting to be saved.`}
          </Toast.Description>
          {[notice.action, notice.other].map(
            (way) =>
              way && (
                <Toast.Action key={way.label} asChild altText={way.label}>
                  <button
                    className={`min-h-11 shrink-0 rounded border px-3 font-semibold ${notice.fault ? "border-edge" : "border-paper/50"}`}
                    onClick={() => {
                      // It is taken with what waits behind it, before anything else can take that.
                      drop(notice.id);
                      way.run();
                    }}
                  >
                    {way.label}
                  </button>
                </Toast.Action>
              ),
          )}
          <Toast.Close aria-label="Dismiss notice" className="ml-auto grid size-11 place-items-center rounded-md">
            <X size={18} aria-hidden />
          </Toast.Close>
        </Toast.Root>
      ))}
      <Toast.Viewport
        // An open dialog leaves what is live to those who hear and press it.
        aria-live="off"
        className="pointer-events-auto fixed right-3 bottom-20 z-[70] flex w-[min(26rem,calc(100vw-1.5rem))] flex-col gap-2 lg:bottom-4"
      />
    </Toast.Provider>
  );
}
