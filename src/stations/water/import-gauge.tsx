"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { StationRecord } from "../../core/book/records";
import type { GaugeFile } from "../../core/formats/gauge-text";
import type { GaugeSummary } from "../../core/gauge/summary";
import { showText } from "../../core/quantity/show";
import { database } from "../../store/database";
import { keepGauge } from "../../store/river";
import { Button, Dialog, FaultNote, Select, TextField } from "../../ui/parts";
import { useSettings } from "../../ui/settings";
import { say } from "../../ui/toasts";
import { dayAndTime } from "../../ui/words";
import { readWorker } from "../../workers/clients";

const NAMES = { discharge: "discharge", stage: "stage", waterTemperature: "water temperature", turbidity: "turbidity", airPressure: "air pressure", other: "other" } as const;
const SHOWN = { discharge: "discharge", stage: "depth", waterTemperature: "temperature", turbidity: "turbidity" } as const;
/** The zone of this device, for clock times without an offset. */
const ownZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;
const LARGEST = 64 * 1024 * 1024;

/** Opens a gauge file: read in a worker, shown with what was refused, kept only when the angler says so. */
export function ImportGauge({ open, onOpenChange, stations }: { open: boolean; onOpenChange: (open: boolean) => void; stations: readonly StationRecord[] }) {
  const router = useRouter();
  const system = useSettings((settings) => settings.system);
  const [zone, setZone] = useState(ownZone);
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | undefined>();
  const [found, setFound] = useState<{ file: GaugeFile; summary: GaugeSummary; text: string; fileName: string } | undefined>();
  const [target, setTarget] = useState("new");
  const [name, setName] = useState("");
  const [place, setPlace] = useState({ latitude: "", longitude: "" });
  const own = stations.filter((station) => !station.demo);

  async function read(text: string, fileName: string, wantedZone: string): Promise<void> {
    setBusy(true);
    setFault(undefined);
    const answer = await readWorker().gauge(text, { zone: wantedZone, file: fileName });
    setBusy(false);
    if (!answer.ok) {
      setFound(undefined);
      setFault(`${answer.fault.message}${answer.fault.line ? ` (line ${answer.fault.line})` : ""}`);
      return;
    }
    setFound({ ...answer.value, text, fileName });
    setName((before) => before || answer.value.file.station.name || fileName.replace(/\.[^.]+$/, ""));
  }

  async function open_(file: File): Promise<void> {
    if (file.size > LARGEST) {
      setFault(`${file.name} is larger than 64 MB.`);
      return;
    }
    await read(await file.text(), file.name, zone);
  }

  const latitude = place.latitude.trim() === "" ? null : Number(place.latitude);
  const longitude = place.longitude.trim() === "" ? null : Number(place.longitude);
  const placeFault = [latitude, longitude].some((value, k) => value !== null && !(Math.abs(value) <= (k === 0 ? 90 : 180)));

  async function keep(): Promise<void> {
    if (!found || placeFault) return;
    const id = await keepGauge(database(), found.file, { station: target === "new" ? undefined : target, name: name.trim() || "My gauge", zone, latitude, longitude });
    useSettings.getState().set({ station: id });
    say(`${found.fileName} is in the book.`);
    setFound(undefined);
    setName("");
    onOpenChange(false);
    router.push("/water");
  }

  const now = found?.summary.now;
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Open a gauge file" about="CSV with named columns, or the tab-separated RDB that agencies publish. Nothing is kept until you say so.">
      <div className="grid gap-4">
        <div className="grid gap-3 sm:grid-cols-2">
          <div>
            <label htmlFor="gauge-file" className="mb-1 block text-sm text-soft">File</label>
            <input id="gauge-file" type="file" accept=".csv,.txt,.tsv,.rdb" disabled={busy} className="block min-h-11 w-full rounded-md border border-line p-2 file:mr-3 file:rounded file:border-0 file:bg-deep file:px-3 file:py-1" onChange={(event) => { const file = event.target.files?.[0]; if (file) void open_(file); }} />
          </div>
          <TextField label="Zone of clock times without an offset" value={zone} onChange={(event) => setZone(event.target.value)} onBlur={() => found && void read(found.text, found.fileName, zone)} hint="Such as Europe/Dublin or America/Chicago" />
        </div>
        {busy && <p role="status">Reading …</p>}
        {fault && <FaultNote message={fault} todo="Nothing was changed. Mend the file or choose another." />}
        {found && (
          <>
            <table className="w-full text-left" aria-label="What the file holds">
              <thead><tr className="border-b border-line text-sm text-soft"><th className="py-1 font-normal">Series</th><th className="font-normal">Readings</th><th className="font-normal">Gaps</th><th className="font-normal">Least</th><th className="font-normal">Most</th></tr></thead>
              <tbody>
                {found.summary.series.map((series) => {
                  const kind = SHOWN[series.parameter as keyof typeof SHOWN];
                  const value = (x: number | null) => (kind ? showText(x, kind, system) : `${x ?? "–"} ${series.unit}`);
                  return <tr key={series.parameter} className="border-b border-line"><th scope="row" className="py-1 font-semibold">{NAMES[series.parameter]}</th><td>{series.count}</td><td>{series.missing}</td><td>{value(series.min)}</td><td>{value(series.max)}</td></tr>;
                })}
              </tbody>
            </table>
            {now && <p>Last reading {dayAndTime(now.at)}: <strong>{showText(now.discharge, "discharge", system)}</strong>{now.trend && `, ${now.trend}`}.</p>}
            {found.file.notes.map((note) => <p key={note} className="text-soft">{note}</p>)}
            {Object.keys(found.file.codes).length > 0 && <p className="text-soft">Codes in place of numbers, kept as gaps: {Object.entries(found.file.codes).map(([code, count]) => `${code} × ${count}`).join(", ")}.</p>}
            {found.file.rejected.length > 0 && (
              <details className="rounded-md border border-clay p-3" open={found.file.rejected.length <= 5}>
                <summary className="font-semibold">{found.file.rejected.length} {found.file.rejected.length === 1 ? "line" : "lines"} refused</summary>
                <ul className="mt-2 max-h-40 overflow-auto text-sm">{found.file.rejected.slice(0, 200).map((one, k) => <li key={k}>line {one.line}: {one.reason}</li>)}</ul>
                {found.file.rejected.length > 200 && <p className="text-sm text-soft">and {found.file.rejected.length - 200} more</p>}
              </details>
            )}
            {own.length > 0 && <Select label="Goes to" value={target} onChange={setTarget} choices={[{ value: "new", label: "A new gauge" }, ...own.map((station) => ({ value: station.id, label: station.name }))]} />}
            {target === "new" && (
              <div className="grid gap-3 sm:grid-cols-3">
                <TextField label="Name of the gauge" value={name} onChange={(event) => setName(event.target.value)} maxLength={120} />
                <TextField label="Latitude (for the light)" inputMode="decimal" value={place.latitude} onChange={(event) => setPlace({ ...place, latitude: event.target.value })} error={placeFault ? "From −90 to 90, and −180 to 180." : undefined} />
                <TextField label="Longitude" inputMode="decimal" value={place.longitude} onChange={(event) => setPlace({ ...place, longitude: event.target.value })} />
              </div>
            )}
            <Button tone="next" onClick={() => void keep()} disabled={placeFault}>Keep this record</Button>
          </>
        )}
      </div>
    </Dialog>
  );
}
