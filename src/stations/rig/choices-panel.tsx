"use client";
import { useState } from "react";
import type { RigRequest } from "../../core/rig/request";
import type { Rigging } from "../../state/scenario/use-rigging";
import { later } from "../../widgets/later";
import { methodName } from "../../words/methods";

const Choices = later(() => import("./choices").then(({ Choices: part }) => part));

/** What anglers quarrel over, for the method that is shown; fetched and worked out only where it is looked at. */
export function ChoicesPanel({ asked, timing }: Pick<Rigging, "timing"> & { asked: RigRequest }) {
  const [open, setOpen] = useState(false);
  return (
    <details className="mt-6 print:hidden" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-11 cursor-pointer py-2 text-lg font-semibold">
        Your choices: {methodName(asked.method).toLowerCase()}
      </summary>
      {open && <Choices asked={asked} timing={timing} />}
    </details>
  );
}
