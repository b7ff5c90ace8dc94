"use client";
import type { FormEvent, ReactNode } from "react";
import { act } from "../state/act";
import { Button } from "../widgets/button";
import { FaultNote } from "../widgets/fault-note";

/** The form of a dialog: its fields, what could not be kept and why, and the button that keeps it. */
export function EntryForm({
  onSubmit,
  fault,
  keep,
  busy = false,
  more,
  children,
}: {
  onSubmit: (event: FormEvent) => Promise<void>;
  fault?: string;
  /** On the button that keeps what was entered. */
  keep: string;
  busy?: boolean;
  /** Other buttons beside it. */
  more?: ReactNode;
  children: ReactNode;
}) {
  return (
    <form noValidate className="grid gap-4" onSubmit={(event) => act(() => onSubmit(event))}>
      {children}
      {fault && <FaultNote message={fault} todo="Nothing was changed." />}
      <div className="flex flex-wrap justify-between gap-2">
        <Button tone="next" type="submit" disabled={busy}>
          {keep}
        </Button>
        {more}
      </div>
    </form>
  );
}
