"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { StationRecord } from "../../core/book/records";
import type { ColumnMatch } from "../../core/formats/gauge-csv";
import { showText } from "../../core/quantity/show";
import { waterWorker } from "../../store/water-client";
import type { GaugeImport } from "../../store/water.worker";
import { Button, Dialog, FaultNote, Select, TextField } from "../../ui/parts";
import { useSettings } from "../../ui/settings";
import { say } from "../../ui/toasts";
import { dayAndTime } from "../../ui/words";
import { MatchColumns, type PreviewColumn, remembering, signatureOf } from "./match-columns";

const NAMES = {
  discharge: "discharge",
  stage: "stage",
  waterTemperature: "water temperature",
  turbidity: "turbidity",
  airPressure: "air pressure",
  other: "other",
} as const;
const SHOWN = {
  discharge: "discharge",
  stage: "depth",
  waterTemperature: "temperature",
  turbidity: "turbidity",
} as const;
/** The zone of this device, for clock times without an offset. */
const ownZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;
/** Faults that matching the columns by hand may mend. */
const MATCHABLE = new Set([
  "no-time-column",
  "no-known-column",
  "unknown-unit",
  "wrong-unit",
  "wrong-columns",
  "no-readings",
]);

interface Found extends GaugeImport {
  name: string;
}

/** Opens gauge files: read in a worker, shown with what was refused, kept only when the angler says so. */
export function ImportGauge({
  open,
  onOpenChange,
  stations,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  stations: readonly StationRecord[];
}) {
  const router = useRouter();
  const { system, columns: remembered, set } = useSettings();
  const [zone, setZone] = useState(ownZone);
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | undefined>();
  const [files, setFiles] = useState<readonly File[]>([]);
  const [found, setFound] = useState<Found | undefined>();
  const [columns, setColumns] = useState<readonly PreviewColumn[] | undefined>();
  const [matching, setMatching] = useState(false);
  const [target, setTarget] = useState("new");
  const [name, setName] = useState("");
  const [place, setPlace] = useState({ latitude: "", longitude: "" });
  const own = stations.filter((station) => !station.demo);

  async function read(chosen: readonly File[], wantedZone: string, match?: readonly ColumnMatch[]): Promise<void> {
    setBusy(true);
    setFault(undefined);
    setFiles(chosen);
    try {
      await readFiles(chosen, wantedZone, match);
    } catch {
      // The browser could not hand over the file: it was moved, or taken away, since it was chosen.
      setFound(undefined);
      setFault(`${chosen[0]!.name} could not be read from the disk.`);
    } finally {
      setBusy(false);
    }
  }

  async function readFiles(chosen: readonly File[], wantedZone: string, match?: readonly ColumnMatch[]): Promise<void> {
    const preview = await waterWorker().columns(chosen[0]!);
    const kept = preview.ok ? remembered[signatureOf(preview.value)] : undefined;
    const answer = await waterWorker().open(chosen, { zone: wantedZone, columns: match ?? kept });
    setColumns(
      preview.ok
        ? preview.value.map((column, k) => ({ ...column, match: (match ?? kept)?.[k] ?? column.match }))
        : undefined,
    );
    if (!answer.ok) {
      const { message, line, file, code } = answer.fault;
      setFound(undefined);
      setMatching(preview.ok && preview.value.length > 1 && MATCHABLE.has(code));
      setFault(`${chosen.length > 1 && file ? `${file}: ` : ""}${message}${line ? ` (line ${line})` : ""}`);
      return;
    }
    if (match && preview.ok) set({ columns: remembering(remembered, signatureOf(preview.value), match) });
    setMatching(false);
    const title = chosen.length > 1 ? `${chosen.length} files` : chosen[0]!.name;
    setFound({ ...answer.value, name: title });
    setName((before) => before || answer.value.summary.station.name || chosen[0]!.name.replace(/\.[^.]+$/, ""));
  }

  const latitude = place.latitude.trim() === "" ? null : Number(place.latitude);
  const longitude = place.longitude.trim() === "" ? null : Number(place.longitude);
  const placeFault = [latitude, longitude].some(
    (value, k) => value !== null && !(Math.abs(value) <= (k === 0 ? 90 : 180)),
  );

  async function keep(): Promise<void> {
    if (!found || placeFault) return;
    setBusy(true);
    try {
      const id = await waterWorker().keep({
        station: target === "new" ? undefined : target,
        name: name.trim() || "My gauge",
        zone,
        latitude,
        longitude,
      });
      useSettings.getState().set({ station: id });
    } catch {
      setFault("The browser could not keep this record: its disk may be full.");
      return;
    } finally {
      setBusy(false);
    }
    say(`${found.name} is in the book.`);
    setFound(undefined);
    setColumns(undefined);
    setMatching(false);
    setName("");
    onOpenChange(false);
    router.push("/water");
  }

  const now = found?.summary.now;
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Open a gauge file"
      about="CSV, the tab-separated RDB that agencies publish, or WaterML 2.0; several files of one gauge at once. Nothing is kept until you say so."
    >
      <div className="grid gap-4">
        <div className="grid gap-3 sm:grid-cols-2">
          <div>
            <label htmlFor="gauge-file" className="mb-1 block text-sm text-soft">
              File
            </label>
            <input
              id="gauge-file"
              type="file"
              multiple
              accept=".csv,.txt,.tsv,.rdb,.xml,.wml,.waterml"
              disabled={busy}
              className="block min-h-11 w-full rounded-md border border-line p-2 file:mr-3 file:rounded file:border-0 file:bg-deep file:px-3 file:py-1"
              onChange={(event) => {
                const chosen = [...(event.target.files ?? [])];
                if (chosen.length) void read(chosen, zone);
              }}
            />
          </div>
          <TextField
            label="Zone of clock times without an offset"
            value={zone}
            onChange={(event) => setZone(event.target.value)}
            onBlur={() => {
              if (found) void read(files, zone);
            }}
            hint="Such as Europe/Dublin or America/Chicago"
          />
        </div>
        {busy && <p role="status">{found ? "Keeping …" : "Reading …"}</p>}
        {fault && (
          <FaultNote
            message={fault}
            todo={
              matching
                ? "Nothing was changed. Say below what the columns hold, or choose another file."
                : "Nothing was changed. Mend the file or choose another."
            }
          />
        )}
        {matching && columns && (
          <MatchColumns
            key={signatureOf(columns)}
            columns={columns}
            busy={busy}
            onMatch={(match) => void read(files, zone, match)}
          />
        )}
        {found && (
          <>
            <table className="w-full text-left" aria-label="What the file holds">
              <thead>
                <tr className="border-b border-line text-sm text-soft">
                  <th className="py-1 font-normal">Series</th>
                  <th className="font-normal">Readings</th>
                  <th className="font-normal">Gaps</th>
                  <th className="font-normal">Least</th>
                  <th className="font-normal">Most</th>
                </tr>
              </thead>
              <tbody>
                {found.summary.series.map((series) => {
                  const kind = SHOWN[series.parameter as keyof typeof SHOWN];
                  const value = (x: number | null) => (kind ? showText(x, kind, system) : `${x ?? "–"} ${series.unit}`);
                  return (
                    <tr key={series.parameter} className="border-b border-line">
                      <th scope="row" className="py-1 font-semibold">
                        {NAMES[series.parameter]}
                      </th>
                      <td>{series.count}</td>
                      <td>{series.missing}</td>
                      <td>{value(series.min)}</td>
                      <td>{value(series.max)}</td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
            {now && (
              <p>
                Last reading {dayAndTime(now.at)}: <strong>{showText(now.discharge, "discharge", system)}</strong>
                {now.trend && `, ${now.trend}`}.
              </p>
            )}
            {found.notes.map((note) => (
              <p key={note} className="text-soft">
                {note}
              </p>
            ))}
            {Object.keys(found.codes).length > 0 && (
              <p className="text-soft">
                Codes in place of numbers, kept as gaps:{" "}
                {Object.entries(found.codes)
                  .map(([code, count]) => `${code} × ${count}`)
                  .join(", ")}
                .
              </p>
            )}
            {columns && columns.length > 1 && !matching && (
              <button
                type="button"
                className="min-h-10 justify-self-start text-left underline"
                onClick={() => setMatching(true)}
              >
                The columns mean something else
              </button>
            )}
            {found.rejected.length > 0 && (
              <details className="rounded-md border border-clay p-3" open={found.rejected.length <= 5}>
                <summary className="font-semibold">
                  {found.rejected.length} {found.rejected.length === 1 ? "line" : "lines"} refused
                </summary>
                <ul className="mt-2 max-h-40 overflow-auto text-sm">
                  {found.rejected.slice(0, 200).map((one, k) => (
                    <li key={k}>
                      {one.file && `${one.file}, `}line {one.line}: {one.reason}
                    </li>
                  ))}
                </ul>
                {found.rejected.length > 200 && (
                  <p className="text-sm text-soft">and {found.rejected.length - 200} more</p>
                )}
              </details>
            )}
            {own.length > 0 && (
              <Select
                label="Goes to"
                value={target}
                onChange={setTarget}
                choices={[
                  { value: "new", label: "A new gauge" },
                  ...own.map((station) => ({ value: station.id, label: station.name })),
                ]}
              />
            )}
            {target === "new" && (
              <div className="grid gap-3 sm:grid-cols-3">
                <TextField
                  label="Name of the gauge"
                  value={name}
                  onChange={(event) => setName(event.target.value)}
                  maxLength={120}
                />
                <TextField
                  label="Latitude (for the light)"
                  inputMode="decimal"
                  value={place.latitude}
                  onChange={(event) => setPlace({ ...place, latitude: event.target.value })}
                  error={placeFault ? "From −90 to 90, and −180 to 180." : undefined}
                />
                <TextField
                  label="Longitude"
                  inputMode="decimal"
                  value={place.longitude}
                  onChange={(event) => setPlace({ ...place, longitude: event.target.value })}
                />
              </div>
            )}
            <Button tone="next" onClick={() => void keep()} disabled={placeFault || busy}>
              Keep this record
            </Button>
          </>
        )}
      </div>
    </Dialog>
  );
}
