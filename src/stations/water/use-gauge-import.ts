"use client";
import { useState } from "react";
import type { DateOrder } from "../../core/formats/date-order";
import type { ColumnMatch, CsvOptions, PreviewColumn } from "../../core/formats/gauge-csv";
import type { LoneJump } from "../../core/gauge/lone-jumps";
import { message } from "../../core/quantity/message";
import type { Fault } from "../../core/quantity/fault";
import { valueOf } from "../../state/query";
import { useSettings } from "../../state/settings";
import { waterWorker } from "../../store/water-client";
import type { GaugeImport } from "../../store/water-api";
import { faultText } from "../../words/messages";
import { remembering, signatureOf } from "./column-match";

/** Faults that matching the columns by hand may mend. */
const MATCHABLE = new Set([
  "no-time-column",
  "no-known-column",
  "unknown-unit",
  "wrong-unit",
  "wrong-columns",
  "no-readings",
  "unit-not-said",
]);

/** Faults that saying the order of dates mends. */
const DATED = new Set(["ambiguous-dates", "mixed-dates"]);

/** What was read of the files chosen last. */
interface Opened {
  files: readonly File[];
  /** How they were read. */
  options: CsvOptions;
  /** Their name, or how many there are. */
  title: string;
  columns: readonly PreviewColumn[] | undefined;
  found: GaugeImport | undefined;
  fault: Fault | undefined;
}

/** Reads gauge files in the worker, which holds them until they are kept or others are opened. */
export function useGaugeImport() {
  const { system, columns: remembered, set } = useSettings();
  const [busy, setBusy] = useState(false);
  const [opened, setOpened] = useState<Opened | undefined>();
  const [matching, setMatching] = useState(false);

  async function read(
    files: readonly File[],
    zone: string,
    { match, dates }: { match?: readonly ColumnMatch[]; dates?: DateOrder } = {},
  ): Promise<Opened> {
    setBusy(true);
    let next: Opened;
    try {
      next = await open(files, { zone, dates, columns: match }, remembered);
      if (match && next.columns && next.found)
        set({ columns: remembering(remembered, signatureOf(next.columns), match) });
    } catch {
      // The browser could not hand over the file: it was moved, or taken away, since it was chosen.
      const fault = message("file-lost", { name: files[0]!.name });
      next = { files, options: { zone }, title: files[0]!.name, columns: undefined, found: undefined, fault };
    }
    setOpened(next);
    setMatching(next.fault !== undefined && (next.columns?.length ?? 0) > 1 && MATCHABLE.has(next.fault.code));
    setBusy(false);
    return next;
  }

  return {
    busy,
    opened,
    fault: opened?.fault && faultIn(opened, opened.fault, system),
    matching,
    /** The order of the dates is asked for, or was said. */
    asksDates: opened !== undefined && (DATED.has(opened.fault?.code ?? "") || opened.options.dates !== undefined),
    match: () => setMatching(true),
    read,
    forget: () => {
      setOpened(undefined);
      setMatching(false);
    },
  };
}

/** A fault, with its file where there are several. */
const faultIn = ({ files }: Opened, fault: Fault, system: "metric" | "us"): string =>
  `${files.length > 1 && fault.file ? `${fault.file}: ` : ""}${faultText(fault, system)}`;

async function open(
  files: readonly File[],
  { columns: match, ...said }: CsvOptions,
  remembered: Record<string, ColumnMatch[]>,
): Promise<Opened> {
  const preview = await waterWorker.ask(async (api) => api.columns(files[0]!));
  const known = match ?? (preview.ok ? remembered[signatureOf(preview.value)] : undefined);
  const options = { ...said, columns: known, askUnits: true };
  const answer = await waterWorker.ask(async (api) => api.open(files, options));
  return {
    files,
    options,
    title: files.length > 1 ? `${files.length} files` : files[0]!.name,
    columns: preview.ok
      ? preview.value.map((column, k) => ({ ...column, match: known?.[k] ?? column.match }))
      : undefined,
    found: answer.ok ? answer.value : undefined,
    fault: answer.ok ? undefined : answer.fault,
  };
}

/** Keeps what was read; the station's id. Throws its fault. */
export const keepOpened = async (
  { files, options }: Pick<Opened, "files" | "options">,
  target: { station?: string; name: string; zone: string; latitude: number | null; longitude: number | null },
  without: readonly LoneJump[],
): Promise<string> => valueOf(await waterWorker.ask(async (api) => api.keep(files, options, target, without)));
