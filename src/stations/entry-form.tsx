"use client";
import type { FormEvent, ReactNode } from "react";
import { act, type Unkept } from "../state/act";
import { Button } from "../widgets/button";
import { NotKept } from "./not-kept";

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
  fault?: Unkept;
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
      {fault && <NotKept fault={fault} />}
      <div className="flex flex-wrap justify-between gap-2">
        <Button tone="next" type="submit" disabled={busy}>
          {keep}
        </Button>
        {more}
      </div>
    </form>
  );
}

/** Something that cannot both be true, asked about before it is saved. */
export const Ask = ({ text }: { text: string }) => (
  <p role="alert" className="rounded-md border-2 border-clay px-3 py-2 font-semibold">
    <span aria-hidden>▲ </span>
    {text}
  </p>
);
