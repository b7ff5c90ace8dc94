"use client";
import type { DateOrder } from "../../core/formats/date-order";
import type { ColumnMatch, PreviewColumn } from "../../core/formats/gauge-csv";
import { FaultNote } from "../../widgets/fault-note";
import { signatureOf } from "./column-match";
import { DateOrderChoice } from "./date-order-choice";
import { MatchColumns } from "./match-columns";

/** What the angler says of a file that does not tell it. */
export interface Said {
  match?: readonly ColumnMatch[];
  dates?: DateOrder;
}

/** Why a file could not be read, and what is asked of it: what its columns hold, which comes first in its dates. */
export function ImportAsked({
  opened,
  fault,
  matching,
  asksDates,
  busy,
  onSay,
}: {
  opened: { columns: readonly PreviewColumn[] | undefined; options: Said } | undefined;
  fault: string | undefined;
  matching: boolean;
  asksDates: boolean;
  busy: boolean;
  onSay: (said: Said) => void;
}) {
  const todo = asksDates
    ? "Choose below which comes first."
    : matching
      ? "Match the columns below, or choose another file."
      : "Fix the file or choose another.";
  return (
    <>
      {fault && <FaultNote message={fault} todo={`Nothing changed. ${todo}`} />}
      {matching && opened?.columns && (
        <MatchColumns
          key={signatureOf(opened.columns)}
          columns={opened.columns}
          busy={busy}
          onMatch={(match) => onSay({ match })}
        />
      )}
      {asksDates && opened?.columns && (
        <DateOrderChoice
          columns={opened.columns}
          value={opened.options.dates}
          busy={busy}
          onChoose={(dates) => onSay({ dates })}
        />
      )}
    </>
  );
}
