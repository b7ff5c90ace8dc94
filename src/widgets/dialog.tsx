"use client";
import { X } from "lucide-react";
import * as RadixDialog from "radix-ui/dialog";
import { type ReactNode, useRef } from "react";

export function Dialog({
  open,
  onOpenChange,
  title,
  about,
  children,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  about?: string;
  children: ReactNode;
}) {
  // Dialogs here are opened by what is not their own trigger: where the focus was is kept by hand.
  const from = useRef<Element | null>(null);
  const back = (event: Event) => {
    event.preventDefault();
    const to = from.current?.isConnected ? from.current : document.getElementById("station");
    if (to instanceof HTMLElement || to instanceof SVGElement) to.focus();
  };
  return (
    <RadixDialog.Root open={open} onOpenChange={onOpenChange}>
      <RadixDialog.Portal>
        <RadixDialog.Overlay className="fixed inset-0 z-40 bg-ink/50" />
        <RadixDialog.Content
          onOpenAutoFocus={() => (from.current = document.activeElement)}
          onCloseAutoFocus={back}
          className="fixed inset-x-0 bottom-0 z-50 max-h-[92dvh] overflow-y-auto rounded-t-xl border border-line bg-paper p-5 shadow-xl sm:inset-auto sm:top-1/2 sm:left-1/2 sm:w-[min(38rem,92vw)] sm:-translate-x-1/2 sm:-translate-y-1/2 sm:rounded-xl"
        >
          <div className="sticky -top-5 z-10 -mx-5 -mt-5 mb-3 flex items-start gap-4 bg-paper px-5 pt-5 pb-1">
            <div className="flex-1">
              <RadixDialog.Title className="text-xl font-semibold">{title}</RadixDialog.Title>
              <RadixDialog.Description className={about ? "mt-1 text-soft" : "sr-only"}>
                {about ?? title}
              </RadixDialog.Description>
            </div>
            <RadixDialog.Close
              aria-label="Close"
              data-close=""
              className="sticky top-0 grid size-11 place-items-center rounded-md bg-paper hover:bg-deep"
            >
              <X size={20} aria-hidden />
            </RadixDialog.Close>
          </div>
          {children}
        </RadixDialog.Content>
      </RadixDialog.Portal>
    </RadixDialog.Root>
  );
}
