"use client";
import { CircleHelp } from "lucide-react";
import * as Popover from "radix-ui/popover";
import type { ReactNode } from "react";

/** A figure with its unit and what it is; where it comes from is one press away. */
export function Figure({
  label,
  figure,
  unit,
  note,
  source,
}: {
  label: string;
  figure: string;
  unit?: string;
  note?: string;
  source?: string;
}) {
  return (
    <div>
      <p className="flex items-center gap-1 text-sm text-soft">
        {label}
        {source && <Source of={label}>{source}</Source>}
      </p>
      <p className="text-2xl font-semibold">
        {figure}
        {unit && <span className="ml-1 text-base font-normal">{unit}</span>}
      </p>
      {note && <p className="text-sm text-soft">{note}</p>}
    </div>
  );
}

/** Where a figure comes from and how sure it is: a small button that tells it. */
export function Source({ of, children }: { of: string; children: ReactNode }) {
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`Where “${of}” comes from`}
        className="tap mr-2.5 grid size-6 shrink-0 place-items-center rounded-full text-soft hover:bg-deep hover:text-ink"
      >
        <CircleHelp size={15} aria-hidden />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={4}
          collisionPadding={12}
          className="z-[60] max-w-80 rounded-md border border-line bg-paper p-3 text-base text-ink shadow-lg"
        >
          {children}
          <Popover.Arrow className="fill-(--line)" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
